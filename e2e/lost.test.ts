import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { writeBackup } from '../src/core/records/files';
import { ofKind, type StoredRecord } from '../src/core/records/shapes';
import { demoOfToday, snapshotOf } from './support/records';
import { servedBuild } from './support/served';

const { phone, wide, address } = servedBuild();

/** The same server by a name of the network, as another device at home would call it: no browser trusts that over plain HTTP. */
const byName = () => address().replace('localhost', 'velvet.test');

/** From now on the connection that is open is closed, as a browser does that clears or loses its storage. */
const CLOSE_DATABASE = `
  const real = IDBDatabase.prototype.transaction;
  let closed = null;
  IDBDatabase.prototype.transaction = function (...asked) {
    closed ??= this;
    if (this === closed) throw new DOMException('The database connection is closing.', 'InvalidStateError');
    return real.apply(this, asked);
  };
`;

async function savesRecipe(browser: Awaited<ReturnType<typeof phone>>, name: string): Promise<void> {
  await browser.goto('/recipes/new');
  await browser.write('recipe-text', '2 tbsp honey\n100 ml water');
  await browser.write('recipe-name', name);
  await browser.pressId('save-recipe');
  await browser.sees(`${name} is saved.`);
}

describe('what is written down', () => {
  it('is stored by a page that is opened over plain HTTP from another device', async () => {
    const browser = await phone(byName());
    await browser.opensDemo('/recipes');
    expect(await browser.driver.executeScript('return [isSecureContext, typeof crypto.randomUUID]')).toEqual([
      false,
      'undefined',
    ]);
    await savesRecipe(browser, 'From the kitchen tablet');
    await browser.reloads();
    await browser.sees('From the kitchen tablet');
    expect(await browser.text()).not.toContain('Saving failed');
  });

  it('is stored though the browser closed its database meanwhile', async () => {
    const browser = await phone();
    await browser.opensDemo('/recipes');
    await browser.driver.executeScript(CLOSE_DATABASE);
    await savesRecipe(browser, 'After the cut');
    await browser.goto('/people/backup');
    await browser.sees('records, all stored');
    await browser.reloads();
    await browser.goto('/recipes');
    await browser.sees('After the cut');
  });

  it('in two places as the same version of a recipe is there twice, told apart', async () => {
    const demo = demoOfToday();
    const recipe = ofKind(demo, 'recipe').find(({ recipeId }) => recipeId === 'okra-slip');
    if (!recipe) throw new Error('the demo has that recipe');
    const version = (id: string, minute: number, name: string): StoredRecord => ({
      ...recipe,
      id,
      version: recipe.version + 1,
      name,
      recordedAt: `2026-11-01T10:0${minute}:00Z`,
    });
    const browser = await wide();
    await browser.stores(
      snapshotOf([
        ...demo,
        version('here', 1, 'Okra of one phone'),
        version('there', 2, 'Okra of the other'),
      ]),
    );
    await browser.loads('/recipes/okra-slip');
    const [first, second] = [String(recipe.version + 1), `${recipe.version + 1}b`];
    await browser.sees(`${first} and ${second} are both kept`);
    await browser.pressId('more-recipe');
    await browser.press(/^Compare: Compare Okra|^Compare Okra/);
    await browser.sees(`Okra of one phone, version ${first} beside Okra of the other, version ${second}`);
  });

  it('comes back from the file that it came from, when that was undone', async () => {
    const browser = await phone();
    await browser.loads('/people/backup');
    await browser.sees('Nothing is kept yet');
    const file = path.join(browser.downloads, 'mine.json');
    writeFileSync(file, writeBackup(demoOfToday(), '2026-11-01T10:00:00Z'));
    const choose = async () => (await browser.byTestId('backup-file')).sendKeys(file);
    await choose();
    await browser.pressId('take-backup');
    await browser.sees('records, all stored');
    await browser.pressId('undo');
    await browser.goto('/recipes');
    await browser.sees('No recipe');
    await browser.goto('/people/backup');
    await choose();
    await browser.pressId('bring-back');
    await browser.goto('/recipes');
    await browser.sees('10 recipes');
  });

  it('is not touched by the address of the demo, and that is said', async () => {
    const browser = await phone();
    const [recipe] = ofKind(demoOfToday(), 'recipe');
    if (!recipe) throw new Error('the demo has a recipe');
    // Something, though no head: a recipe alone.
    await browser.stores(snapshotOf([recipe]));
    await browser.loads('/?start=demo');
    await browser.sees('The demo was not opened');
    await browser.goto('/recipes');
    await browser.sees('1 recipe');
  });
});

it('the build tells whose work is in it', async () => {
  const notices = await (await fetch(`${address()}/NOTICES.txt`)).text();
  for (const part of [
    /^react 19/m,
    /^highs 1/m,
    /atkinson-hyperlegible-next/,
    /bricolage-grotesque/,
    /^zod 4/m,
  ])
    expect(notices).toMatch(part);
  expect(notices).toContain('MIT');
  expect(notices).not.toContain('/home/');
});
