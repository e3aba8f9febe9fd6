import type { Browser } from './browser';

/** Every place of the application, with the demo in it. */
export const PLACES = [
  '/',
  '/week',
  '/week/days',
  '/week/try',
  '/week/rules',
  '/bench',
  '/bench/silk-glaze',
  '/bench/annealing-cream',
  '/bench/edit/silk-glaze',
  '/bench/compare?a=silk-glaze&b=cold-kiln-set',
  '/bench/compare',
  '/bench/new',
  '/bench/make/furnace-day-cream',
  '/bench/card/silk-glaze',
  '/shelf',
  '/pantry',
  '/pantry/linseed',
  '/pantry/honey',
  '/pantry/new',
  '/strand',
  '/strand/report',
  '/strand/take',
  '/strand/reading',
  '/strand/stretch',
  '/strand/tally',
  '/strand/porosity',
  '/strand/feel',
  '/strand/length',
  '/strand/photo',
  '/strand/event',
  '/strand/works',
  '/strand/trials',
  '/strand/trials/new',
  '/strand/log',
  '/wash',
  '/heads',
  '/heads/first',
  '/heads/new',
  '/heads/maren',
  '/heads/schools',
  '/heads/settings',
  '/heads/unknown',
  '/heads/counts',
  '/heads/keeping',
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
