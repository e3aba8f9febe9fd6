import { readFileSync } from 'node:fs';
import path from 'node:path';
import axe from 'axe-core';
import english from '../data/languages/en.json';
import portuguese from '../data/languages/pt.json';
import type { Browser } from './support/browser';
import { snapshotOf } from './support/records';
import { servedBuild } from './support/served';

const { phone, wide, address } = servedBuild();

const PLACES = [
  '/',
  '/week',
  '/week/days',
  '/week/try',
  '/week/rules',
  '/bench',
  '/bench/silk-glaze',
  '/bench/annealing-cream',
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
  '/heads/keeping',
  '/nowhere',
];

/** Texts of a page, and what it tells those who do not see it. */
const SAID = `
  const said = [];
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    if (!/^(SCRIPT|STYLE|TEXTAREA)$/.test(node.parentElement.tagName)) said.push(node.textContent.trim());
  }
  for (const name of ['aria-label', 'placeholder', 'aria-valuetext']) {
    for (const each of document.querySelectorAll('[' + name + ']')) said.push(each.getAttribute(name));
  }
  return said;
`;
/** English texts that Portuguese says otherwise, and no value stands in. */
const ENGLISH = new Set(
  Object.entries(english).flatMap(([key, text]) =>
    (portuguese as Record<string, string>)[key] === text || text.includes('{{') ? [] : [text.trim()],
  ),
);
const PORTUGUESE = new Set(Object.values(portuguese));

const AXE = `
  const [only, done] = arguments;
  axe.run(document, { runOnly: only, resultTypes: ['violations'] }).then(
    ({ violations }) => done(violations.map(({ id, nodes }) => id + ': ' + nodes[0].html.slice(0, 160))),
    (error) => done([String(error)]),
  );
`;
/** Headlines and fields that touch the edge of the page. @param arguments[0] pixels that are left free */
const AT_THE_EDGE = `
  const main = document.querySelector('[role="main"]');
  const { left, right } = main.getBoundingClientRect();
  return [...main.querySelectorAll('h1, [role="heading"], input, textarea')]
    .map((each) => ({ each, at: each.getBoundingClientRect() }))
    .filter(({ at }) => at.width > 1 && (at.left < left + arguments[0] || at.right > right - arguments[0]))
    .map(({ each }) => 'at the edge: ' + (each.textContent || each.getAttribute('aria-label') || each.tagName));
`;
const LEAST_MARGIN_PX = 12;

/** The rules of WCAG 2.2 AA. On a wide screen the same elements stand elsewhere: what depends on that is looked at again. */
const WCAG = { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'] };
const OF_LAYOUT = {
  type: 'rule',
  values: ['target-size', 'scrollable-region-focusable', 'link-in-text-block'],
};
/** Where a wide screen shows what a phone does not: the rail and panes of its own, whose colours are looked at too. */
const WIDE_ONLY = new Set([
  '/',
  '/week',
  '/bench/silk-glaze',
  '/pantry',
  '/strand/works',
  '/strand/log',
  '/heads/keeping',
]);

/** Whether the place is there: what it computes too, and not the one before it. */
async function arrives(browser: Browser, place: string, before: string): Promise<void> {
  await browser.waits(async () => {
    const [headline, text] = [await browser.headline(), await browser.text()];
    return headline !== '' && headline !== 'Um momento' && !text.includes('Calculando') && text !== before;
  }, `${place} does not come`);
}

describe.each([
  ['a phone', phone, () => WCAG],
  ['a wide screen', wide, (place: string) => (WIDE_ONLY.has(place) ? WCAG : OF_LAYOUT)],
])('every place on %s', (_, open, rulesAt) => {
  it('is said in Portuguese with nothing left in English, keeps off the edge, and has no accessibility violation', async () => {
    const browser = await open();
    // Names of the demo are in the language in which it is made.
    await browser.stores(snapshotOf([], { language: 'pt' }));
    await browser.loads('/?start=demo');
    await browser.sees('Maren');
    expect(await browser.driver.executeScript('return document.documentElement.lang')).toBe('pt-BR');
    await browser.driver.executeScript(axe.source);
    const wrong: string[] = [];
    let counted = 0;
    let before = '';
    for (const place of PLACES) {
      await browser.goto(place);
      await arrives(browser, place, before);
      before = await browser.text();
      const said = await browser.driver.executeScript<string[]>(SAID);
      counted += said.filter((text) => PORTUGUESE.has(text)).length;
      wrong.push(...said.filter((text) => ENGLISH.has(text)).map((text) => `${place}: ${text}`));
      const violations = await browser.driver.executeAsyncScript<string[]>(AXE, rulesAt(place));
      const edges = await browser.driver.executeScript<string[]>(AT_THE_EDGE, LEAST_MARGIN_PX);
      wrong.push(...[...violations, ...edges].map((each) => `${place} ${each}`));
    }
    expect(wrong).toEqual([]);
    // What was looked at was there: hundreds of texts that Portuguese says.
    expect(counted).toBeGreaterThan(500);
  });
});

/** The most compressed JavaScript that the first screen may load, kilobytes; see "Weight" in the README. */
const { firstScreenKilobytes } = JSON.parse(readFileSync(path.join(__dirname, 'budget.json'), 'utf8')) as {
  firstScreenKilobytes: number;
};

interface Loaded {
  readonly name: string;
  readonly encodedBodySize: number;
}

describe('the first screen', () => {
  it('asks nobody else and stays within its weight', async () => {
    const browser = await phone();
    await browser.opensDemo();
    const loaded = await browser.driver.executeScript<Loaded[]>(
      'return performance.getEntriesByType("resource").map(({name, encodedBodySize}) => ({name, encodedBodySize}))',
    );
    expect(loaded.filter(({ name }) => !name.startsWith(address()) && !name.startsWith('blob:'))).toEqual([]);
    const scripts = loaded.filter(({ name }) => name.endsWith('.js') && !/(estimator|solver)-/.test(name));
    const kilobytes = scripts.reduce((sum, { encodedBodySize }) => sum + encodedBodySize, 0) / 1024;
    expect(kilobytes).toBeGreaterThan(50);
    expect(kilobytes).toBeLessThanOrEqual(firstScreenKilobytes);
  });
});
