import { By } from 'selenium-webdriver';
import english from '../data/languages/en.json';
import portuguese from '../data/languages/pt.json';
import type { Browser } from './support/browser';
import { servedBuild } from './support/served';

jest.setTimeout(360_000);
const { phone, wide } = servedBuild();

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
const PLACES = [
  '/',
  '/week',
  '/week/days',
  '/week/rules',
  '/week/try',
  '/bench',
  '/bench/new',
  '/bench/silk-glaze',
  '/bench/make/silk-glaze',
  '/bench/card/silk-glaze',
  '/bench/compare',
  '/shelf',
  '/pantry',
  '/pantry/honey',
  '/pantry/new',
  '/strand',
  '/strand/take',
  '/strand/stretch',
  '/strand/feel',
  '/strand/tally',
  '/strand/porosity',
  '/strand/length',
  '/strand/photo',
  '/strand/reading',
  '/strand/log',
  '/strand/works',
  '/strand/trials',
  '/strand/trials/new',
  '/strand/event',
  '/strand/report',
  '/heads',
  '/heads/maren',
  '/heads/new',
  '/heads/schools',
  '/heads/settings',
  '/heads/keeping',
  '/wash',
  '/nowhere',
];

/** Whether the last letter that was typed lies in the browser's store. */
const IS_DRAFT_STORED = `
  const done = arguments[0];
  const open = indexedDB.open('velvet-rhythm');
  open.onsuccess = () => {
    const [table] = open.result.objectStoreNames;
    const entry = open.result.transaction(table).objectStore(table).get('drafts');
    entry.onsuccess = () => done(JSON.stringify(entry.result ?? '').includes('2 tbsp honey'));
  };
`;

async function speaks(browser: Browser, name: string, seen: string): Promise<void> {
  await browser.goto('/heads/settings');
  await browser.press(name);
  await browser.sees(seen);
}

describe.each([
  ['a phone', phone],
  ['a wide screen', wide],
])('Portuguese on %s', (_, open) => {
  it('is said at every place, and nothing is left in English', async () => {
    const browser = await open();
    await speaks(browser, 'Português', 'Como se vê e se ouve');
    await browser.opensDemo();
    expect(await browser.driver.executeScript('return document.documentElement.lang')).toBe('pt-BR');
    const left: string[] = [];
    let counted = 0;
    for (const place of PLACES) {
      await browser.goto(place);
      await browser.headline();
      await browser.driver.wait(async () => !(await browser.text()).includes('Calculando'), 60_000);
      const said = await browser.driver.executeScript<string[]>(SAID);
      counted += said.filter((text) => PORTUGUESE.has(text)).length;
      left.push(...said.filter((text) => ENGLISH.has(text)).map((text) => `${place}: ${text}`));
    }
    expect(left).toEqual([]);
    // What was looked at was there: hundreds of texts that Portuguese says.
    expect(counted).toBeGreaterThan(500);
  });
});

describe('in the middle of a recipe', () => {
  it('language and units change, and what was typed and its verdict stay', async () => {
    const browser = await phone();
    await browser.opensDemo();
    await browser.goto('/bench/new');
    await browser.write('recipe-text', '2 tbsp honey\n1 cup plain yogurt\n1 tsp olive oil');
    await browser.write('recipe-name', 'Halfway');
    await browser.sees('honey');
    const before = await browser.headline();

    await speaks(browser, 'Português', 'Idioma');
    await browser.press('métrica, 250 ml');
    await browser.press('colheres');
    await browser.goto('/bench/new');
    await browser.sees('iogurte natural');
    expect(await browser.valueOf('recipe-text')).toBe('2 tbsp honey\n1 cup plain yogurt\n1 tsp olive oil');
    expect(await browser.valueOf('recipe-name')).toBe('Halfway');
    await browser.pressId('save-recipe');
    await browser.sees('Halfway está salva.');

    await speaks(browser, 'English', 'How it looks and sounds');
    await browser.goto('/bench');
    await browser.pressAt(By.partialLinkText('Halfway'));
    await browser.sees('plain yogurt');
    expect(await browser.headline()).toBe(before);
    // Nothing of the draft is left over.
    await browser.goto('/bench/new');
    expect(await browser.valueOf('recipe-text')).toBe('');
  });

  it('a draft that is not wanted is put away', async () => {
    const browser = await phone();
    await browser.opensDemo();
    await browser.goto('/bench/new');
    await browser.write('recipe-text', '2 tbsp honey');
    await browser.sees('until you save it or put it away');
    await browser.driver.wait(() => browser.driver.executeAsyncScript<boolean>(IS_DRAFT_STORED), 15_000);
    await browser.driver.navigate().refresh();
    await browser.sees('until you save it or put it away');
    expect(await browser.valueOf('recipe-text')).toBe('2 tbsp honey');
    await browser.pressId('start-over');
    expect(await browser.valueOf('recipe-text')).toBe('');
    await browser.goto('/bench/new');
    expect(await browser.valueOf('recipe-text')).toBe('');
  });
});

it('a browser that asks for Portuguese gets it from the first screen on', async () => {
  const browser = await phone();
  await browser.command('Emulation.setUserAgentOverride', { userAgent: 'test', acceptLanguage: 'pt-PT,en' });
  await browser.goto('/');
  await browser.sees('Macio, firme, ou no meio?');
  await browser.press('Começar com o meu cabelo');
  await browser.sees('De quem é o cabelo?');
});
