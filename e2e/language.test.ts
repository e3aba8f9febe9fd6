import { By } from 'selenium-webdriver';
import type { Browser } from './support/browser';
import { servedBuild } from './support/served';

const { phone } = servedBuild();

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
  await browser.goto('/people/settings');
  await browser.press(name);
  await browser.sees(seen);
}

describe('in the middle of a recipe', () => {
  it('language and units change, and what was typed and its verdict stay', async () => {
    const browser = await phone();
    await browser.opensDemo('/recipes/new');
    await browser.write('recipe-text', '2 tbsp honey\n1 cup plain yogurt\n1 tsp olive oil');
    await browser.write('recipe-name', 'Halfway');
    await browser.sees('plain yogurt');
    await browser.lacks('What is in the bowl?');
    const before = await browser.headline();

    // Gone where the page is opened anew.
    await browser.driver.executeScript('window.sameAsBefore = true');
    await speaks(browser, 'Português', 'Idioma');
    await browser.press('métrica, 250 ml');
    await browser.press('colheres');
    await browser.goto('/recipes/new');
    await browser.sees('iogurte natural');
    await browser.valueBecomes('recipe-text', '2 tbsp honey\n1 cup plain yogurt\n1 tsp olive oil');
    await browser.valueBecomes('recipe-name', 'Halfway');
    await browser.pressId('save-recipe');
    await browser.sees('Halfway está salva.');

    await speaks(browser, 'English', 'How it looks and sounds');
    expect(await browser.driver.executeScript('return window.sameAsBefore')).toBe(true);
    await browser.goto('/recipes');
    await browser.pressAt(By.partialLinkText('Halfway'));
    await browser.sees('plain yogurt');
    await browser.sees(before);
    // Nothing of the draft is left over.
    await browser.goto('/recipes/new');
    await browser.valueBecomes('recipe-text', '');
  });

  it('a draft that is not wanted is put away', async () => {
    const browser = await phone();
    await browser.opensDemo('/recipes/new');
    await browser.write('recipe-text', '2 tbsp honey');
    await browser.sees('until you save it or put it away');
    await browser.waits(() => browser.driver.executeAsyncScript<boolean>(IS_DRAFT_STORED));
    await browser.reloads();
    await browser.sees('until you save it or put it away');
    await browser.valueBecomes('recipe-text', '2 tbsp honey');
    await browser.pressId('start-over');
    await browser.valueBecomes('recipe-text', '');
    await browser.goto('/recipes/new');
    await browser.valueBecomes('recipe-text', '');
  });
});

it('lengths and weights are shown and typed in inches and ounces, and kept as they are', async () => {
  const browser = await phone();
  await browser.opensDemo('/people/settings');
  await browser.press('inches and ounces');
  await browser.goto('/people');
  await browser.sees('18.1 in');
  await browser.goto('/people/maren');
  await browser.write('head-length', '20');
  await browser.pressId('save-head');
  await browser.sees('20 in');
  await browser.goto('/pantry');
  await browser.sees(/\d oz · /);
  await browser.goto('/people/settings');
  await browser.press('centimetres and grams');
  await browser.goto('/people');
  await browser.sees('50.8 cm');
});

it('a browser that asks for Portuguese gets it from the first screen on', async () => {
  const browser = await phone();
  await browser.command('Emulation.setUserAgentOverride', { userAgent: 'test', acceptLanguage: 'pt-PT,en' });
  await browser.goto('/');
  await browser.sees('Macio, firme, ou no meio?');
  await browser.press('Começar com o meu cabelo');
  await browser.sees('De quem é o cabelo');
});
