import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { By, Key, until } from 'selenium-webdriver';
import { labelPicture, pngOf, sheetPicture } from '../src/core/lab/rendering';
import type { Browser } from './support/browser';
import { servedBuild } from './support/served';

const { phone, wide } = servedBuild();

/** Of the rendered labels and sheets, a plain one each; the rest are counted by `npm run bench:vision`. */
const LABEL = labelPicture(13);
const SHEET = sheetPicture(2);

async function givesPicture(browser: Browser, button: string, picture: Buffer): Promise<void> {
  const file = path.join(browser.downloads, 'picture.png');
  writeFileSync(file, picture);
  await browser.command('Page.setInterceptFileChooserDialog', { enabled: true });
  await browser.pressId(button);
  await (await browser.byTestId('file-input')).sendKeys(file);
}

/** Addresses that the page asked since it was opened, but its own. */
async function foreignAddresses(browser: Browser): Promise<string[]> {
  const asked = await browser.driver.executeScript<string[]>(
    `return performance.getEntriesByType('resource').map(({ name }) => name)
       .filter((name) => !name.startsWith(location.origin) && !name.startsWith('blob:') && !name.startsWith('data:'));`,
  );
  return asked;
}

describe('a strand on a photo', () => {
  it('is measured along its curve, and the length goes where it was wanted', async () => {
    const browser = await phone();
    await browser.opensDemo('/hair/stretch');
    await browser.press('No card: type the lengths');
    await givesPicture(browser, 'strand-photo', pngOf(SHEET.picture));
    await browser.sees(/mm along its curve/, 60_000);
    await browser.pressId('take-length');
    const rest = Number(await (await browser.byTestId('strand-rest')).getAttribute('value'));
    const longest = Math.max(...SHEET.hairs.map(({ lengthMm }) => lengthMm));
    expect(Math.abs(rest - longest) / longest).toBeLessThan(0.08);
  });
});

describe('a label on a photo', () => {
  it('is read where it lies: names in their order, what is doubtful asked, and the list is the label’s', async () => {
    const browser = await phone();
    await browser.opensDemo('/pantry/new');
    await givesPicture(browser, 'label-photo', pngOf(LABEL.picture));
    await browser.sees(/\d+ names/, 60_000);
    await browser.pressId('take-names');
    const field = await browser.byTestId('own-label');
    const list = ((await field.getAttribute('value')) ?? '').split(', ');
    expect(list.length).toBeGreaterThanOrEqual(Math.floor(0.85 * LABEL.names.length));
    expect(list.filter((name) => !LABEL.names.includes(name))).toEqual([]);
    expect(await foreignAddresses(browser)).toEqual([]);
  });

  it('of which only a part is wanted is read between its corners, by keyboard too', async () => {
    const browser = await wide();
    await browser.opensDemo('/pantry/new');
    await givesPicture(browser, 'label-photo', pngOf(LABEL.picture));
    await browser.sees(/\d+ names/, 60_000);
    await browser.pressId('label-corners');
    const corner = await browser.driver.wait(
      until.elementLocated(By.css('[aria-label="lower right corner"]')),
      10_000,
    );
    const top = async () => Number.parseFloat(await corner.getCssValue('top'));
    const before = await top();
    await corner.sendKeys(Key.SPACE);
    await browser.driver.wait(async () => (await corner.getAttribute('aria-pressed')) === 'true', 5000);
    await corner.sendKeys(Key.ARROW_UP);
    await browser.driver.wait(async () => (await top()) < before, 5000);
    await corner.sendKeys(Key.SPACE);
    await browser.driver.wait(async () => (await corner.getAttribute('aria-pressed')) !== 'true', 5000);
    await browser.press('Read only this');
    await browser.sees(/\d+ names/, 60_000);
  });
});

describe('hairs on a photo', () => {
  it('are followed, put right by a tap, and go into the count with their doubt', async () => {
    const browser = await phone();
    await browser.opensDemo('/hair/tally');
    await browser.pressId('show-photo');
    await givesPicture(browser, 'hair-photo', pngOf(SHEET.picture));
    await browser.sees(/\d+ broken, \d+ shed/, 60_000);
    const [, broken, shed] = (/(\d+) broken, (\d+) shed/.exec(await browser.text()) ?? []).map(Number);
    const drawn = SHEET.hairs.filter(({ hasRoot }) => !hasRoot).length;
    expect(Math.abs((broken ?? 0) - drawn)).toBeLessThanOrEqual(1);
    expect(Math.abs((broken ?? 0) + (shed ?? 0) - SHEET.hairs.length)).toBeLessThanOrEqual(1);
    const first = await browser.driver.wait(
      until.elementLocated(By.css('[aria-label="All hairs"] [role="button"]')),
      10_000,
    );
    await first.click();
    await browser.press('No hair: strike it');
    await browser.sees(`Take ${(broken ?? 0) + (shed ?? 0) - 1} hairs`);
    await browser.pressId('take-hairs');
    await browser.sees('from the photo, beside what you tap');
    await browser.pressId('pad-broken');
    await browser.pressId('save-reading');
    await browser.sees('Hair check saved');
    expect(await foreignAddresses(browser)).toEqual([]);
  });

  it('in a ball are sized, and the size goes where it is kept', async () => {
    const browser = await phone();
    await browser.opensDemo('/hair/tally');
    await browser.pressId('show-photo');
    await givesPicture(browser, 'hair-photo', pngOf(sheetPicture(404, 8, 150).picture));
    await browser.sees(/A ball .* across: \d+ to \d+ hairs/, 60_000);
    await browser.pressId('take-hairs');
    await browser.sees(/About \d+ hairs, give or take half/);
    await browser.pressId('save-reading');
    await browser.sees('Hair check saved');
  });

  it('say what to do where no card lies beside them', async () => {
    const browser = await phone();
    await browser.opensDemo('/hair/tally');
    await browser.pressId('show-photo');
    await givesPicture(browser, 'hair-photo', pngOf(LABEL.picture));
    await browser.sees('No bank card is seen', 60_000);
  });
});
