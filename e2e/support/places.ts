import type { Browser } from './browser';

/** Every place of the application, with the demo in it. */
export const PLACES = [
  '/',
  '/week',
  '/week/days',
  '/week/try',
  '/week/rules',
  '/recipes',
  '/recipes/silk-glaze',
  '/recipes/annealing-cream',
  '/recipes/edit/silk-glaze',
  '/recipes/compare?a=silk-glaze&b=cold-kiln-set',
  '/recipes/compare',
  '/recipes/new',
  '/recipes/make/furnace-day-cream',
  '/recipes/card/silk-glaze',
  '/shelf',
  '/pantry',
  '/pantry/linseed',
  '/pantry/honey',
  '/pantry/new',
  '/hair',
  '/hair/report',
  '/hair/measure',
  '/hair/check',
  '/hair/stretch',
  '/hair/tally',
  '/hair/porosity',
  '/hair/feel',
  '/hair/length',
  '/hair/photo',
  '/hair/event',
  '/hair/works',
  '/hair/trials',
  '/hair/trials/new',
  '/hair/log',
  '/wash',
  '/people',
  '/people/first',
  '/people/new',
  '/people/maren',
  '/people/opinions',
  '/people/settings',
  '/people/unknown',
  '/people/counts',
  '/people/backup',
  '/nowhere',
];

/** Texts of a page, and what it tells those who do not see it. */
export const SAID = `
  const said = [];
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    if (!/^(SCRIPT|NOSCRIPT|STYLE|TEXTAREA)$/.test(node.parentElement.tagName)) said.push(node.textContent.trim());
  }
  for (const name of ['aria-label', 'placeholder', 'aria-valuetext']) {
    for (const each of document.querySelectorAll('[' + name + ']')) said.push(each.getAttribute(name));
  }
  return said;
`;
/** Whether the place is there: what it computes too, and not the one before it. */
export async function arrives(
  browser: Browser,
  place: string,
  before: string,
  waiting = /^Um momento$|Calculando/,
): Promise<void> {
  await browser.waits(async () => {
    const [headline, text] = [await browser.headline(), await browser.text()];
    return headline !== '' && !waiting.test(headline) && !waiting.test(text) && text !== before;
  }, `${place} does not come`);
}
