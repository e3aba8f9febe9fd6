import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { Messages } from '@lingui/core';
import axe from 'axe-core';
import { messages as english } from '../data/languages/en';
import { messages as portuguese } from '../data/languages/pt';
import { arrives, PLACES, SAID } from './support/places';
import { snapshotOf } from './support/records';
import { servedBuild } from './support/served';

const { phone, wide, address } = servedBuild();

/** Texts without a value, by their ids. */
const plainTexts = (messages: Messages) =>
  new Map(
    Object.entries(messages).flatMap(([id, message]) =>
      message.length === 1 && typeof message[0] === 'string' ? [[id, message[0].trim()] as const] : [],
    ),
  );
const PORTUGUESE_BY_ID = plainTexts(portuguese);
/** English texts that Portuguese says otherwise. */
const ENGLISH = new Set(
  [...plainTexts(english)].flatMap(([id, text]) => (PORTUGUESE_BY_ID.get(id) === text ? [] : [text])),
);
const PORTUGUESE = new Set(PORTUGUESE_BY_ID.values());

const AXE = `
  const [only, done] = arguments;
  // Off by itself, for it is new; here it holds.
  const rules = only.type === 'tag' ? { 'label-content-name-mismatch': { enabled: true } } : {};
  axe.run(document, { runOnly: only, rules, resultTypes: ['violations'] }).then(
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

/** The rules of WCAG 2.2 AA and what is good practice beyond them. On a wide screen the same elements stand elsewhere: what depends on that is looked at again. */
const WCAG = { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'] };
const OF_LAYOUT = {
  type: 'rule',
  values: ['target-size', 'scrollable-region-focusable', 'link-in-text-block'],
};
/** Where a wide screen shows what a phone does not: the rail and panes of its own, whose colours are looked at too. */
const WIDE_ONLY = new Set([
  '/',
  '/week',
  '/recipes/silk-glaze',
  '/pantry',
  '/hair/works',
  '/hair/log',
  '/people/backup',
]);

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
    // What was said in English in between is said again.
    await browser.goto('/people/settings');
    await browser.press('English');
    await browser.sees('How it looks and sounds');
    for (const place of ['/', '/week', '/hair']) {
      await browser.goto(place);
      await browser.lacks('Working out');
    }
    await browser.goto('/people/settings');
    await browser.press('Português');
    await browser.sees('Idioma');
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
