import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { Key } from 'selenium-webdriver';
import { valueOf } from '../src/core/lab/testing';
import { readBackup } from '../src/core/records/files';
import { Browser, PHONE } from './support/browser';
import { serveBuild } from './support/serveBuild';
import { servedBuild } from './support/served';

const { phone, wide } = servedBuild();

const keys = (browser: Browser, ...pressed: string[]) =>
  browser.driver
    .actions()
    .sendKeys(...pressed)
    .perform();

describe('keys', () => {
  it('lead to places, are listed on ?, rest while she writes, and can be switched off', async () => {
    const browser = await wide();
    await browser.opensDemo();
    await keys(browser, '2');
    await browser.sees('Last time and next time');
    await keys(browser, '?');
    await browser.sees('Go anywhere by its name');
    await browser.sees('Check hair');
    await keys(browser, Key.ESCAPE);
    await keys(browser, 'n');
    await browser.byTestId('recipe-text');
    await browser.write('recipe-text', '2 tbsp honey');
    await browser.sees('measured out');
    expect(await browser.driver.getCurrentUrl()).toContain('/recipes/new');
    await browser.goto('/people/settings');
    await browser.press('no');
    await browser.press('Week');
    await browser.sees('Last time and next time');
    await keys(browser, '3');
    expect(await browser.driver.getCurrentUrl()).toContain('/week');
  });

  it('open a list that goes anywhere by its name: a place, a recipe, a head', async () => {
    const browser = await wide();
    await browser.opensDemo();
    await browser.sees('Maren');
    await browser.driver.actions().keyDown(Key.CONTROL).sendKeys('k').keyUp(Key.CONTROL).perform();
    await browser.byTestId('palette');
    await keys(browser, 'kefir', Key.ENTER);
    await browser.byTestId('make-recipe');
    expect(await browser.driver.getCurrentUrl()).toContain('/recipes/kefir-mango');
    await browser.goto('/');
    await browser.sees('Maren');
    await keys(browser, '/');
    await browser.byTestId('palette');
    await keys(browser, 'backup', Key.ENTER);
    await browser.sees('records, all stored');
    await keys(browser, '/');
    await browser.byTestId('palette');
    await keys(browser, 'xqzvw');
    await browser.sees('Nothing is called that.');
  });
});

describe('a screen that breaks', () => {
  it('says so plainly, gives the backup out, and opens again', async () => {
    const server = await serveBuild({ '/_expo/static/js/web/rooms': [404] });
    const browser = await Browser.open(server.address, PHONE);
    await browser.opensDemo('/hair');
    await browser.sees('A piece of the app did not load');
    await browser.pressId('broken-export');
    await browser.sees(/In the file: \d+ records/);
    const name = await browser.waits(
      async () => readdirSync(browser.downloads).find((each) => each.endsWith('.json')) ?? '',
    );
    const backup = valueOf(readBackup(readFileSync(path.join(browser.downloads, name), 'utf8')));
    expect(backup.records.length).toBeGreaterThan(100);
    await browser.press('Go to today');
    await browser.sees('Maren');
    await browser.close();
    server.close();
  });
});

describe('a recipe', () => {
  it('goes on one sheet of paper, and to a friend as a file of its own', async () => {
    const browser = await phone();
    await browser.opensDemo('/recipes/kefir-mango');
    await browser.pressId('pass-on');
    await browser.pressId('pass-file');
    await browser.waits(async () =>
      readdirSync(browser.downloads).some((each) => each === 'kefir-mango.json'),
    );
    await browser.pressId('more-recipe');
    await browser.pressId('recipe-card');
    await browser.sees('For hair only, not food');
    await browser.sees('1. Blend a quarter of a small mango');
    expect(await browser.printedSheets()).toBe(1);
    expect(await browser.onPaperAt(30, 3)).toContain('Kefir');
  });

  it('goes on paper whole, without bars and buttons', async () => {
    const browser = await wide();
    await browser.opensDemo('/recipes/silk-glaze');
    await browser.sees('What would turn it');
    expect(await browser.printedSheets()).toBeGreaterThan(1);
    const shown = await browser.onPaper(() =>
      browser.driver.executeScript<string[]>(
        `return [...document.querySelectorAll('h1, h2, [role="heading"], [role="navigation"], [data-screen-only]')]
          .filter((each) => each.checkVisibility()).map((each) => each.textContent)`,
      ),
    );
    expect(shown).toEqual(expect.arrayContaining(['Method', 'Take care']));
    expect(shown).not.toContain('Make');
    expect(shown.join()).not.toContain('People');
  });

  it('goes to other programs, and comes from them as a telling', async () => {
    const browser = await phone();
    await browser.opensDemo('/recipes/kefir-mango');
    await browser.pressId('pass-on');
    await browser.pressId('pass-jsonld');
    const file = path.join(browser.downloads, 'kefir-mango.jsonld');
    await browser.waits(async () => existsSync(file));
    await browser.goto('/people/backup');
    await (await browser.byTestId('backup-file')).sendKeys(file);
    await browser.sees('kefir-mango.jsonld: a recipe in words.');
    await browser.pressId('tell-file');
    await browser.sees(/Protein|Moisture|Balanced/);
    await browser.sees(/mango/i);
  });
});

describe('a page', () => {
  it('has its name, takes the focus to its headline, and stands where it was left when one goes back', async () => {
    const browser = await phone();
    await browser.opensDemo();
    await browser.press('Recipes');
    await browser.headlineBecomes(/^\d+ recipes$/);
    await browser.press('Pantry');
    await browser.headlineBecomes(/in the pantry$/);
    const [name, focused] = await browser.driver.executeScript<string[]>(
      'return [document.title, document.activeElement.textContent]',
    );
    expect(name).toBe(`${await browser.headline()} · Velvet Rhythm`);
    expect(focused).toBe(await browser.headline());

    const down = () =>
      browser.driver.executeScript<number>(
        `return Math.max(0, ...[...document.querySelectorAll('[role="main"] *')].map((each) => each.scrollTop))`,
      );
    const LAST_ROW = `[...document.querySelectorAll('[role="main"] a')].findLast((each) => /left|some/.test(each.textContent))`;
    // A page is told of its scrolling with the next frame: nobody's finger is faster than that.
    await browser.driver.executeAsyncScript(`
      const done = arguments[0];
      const told = () => requestAnimationFrame(() => requestAnimationFrame(done));
      document.addEventListener('scroll', told, { capture: true, once: true });
      ${LAST_ROW}.scrollIntoView();
    `);
    const left = await down();
    expect(left).toBeGreaterThan(300);
    await browser.driver.executeScript(`${LAST_ROW}.click()`);
    await browser.sees('Also read as');
    expect(await down()).toBeLessThan(50);
    await browser.driver.navigate().back();
    await browser.headlineBecomes(/in the pantry$/);
    await browser.waits(
      async () => Math.abs((await down()) - left) < 50,
      'the page does not stand where it was',
    );
  });

  it('is sent by Enter, and brings whoever fills it in to what is wrong', async () => {
    const browser = await phone();
    await browser.goto('/people/new');
    await (await browser.byTestId('head-length')).sendKeys('32', Key.ENTER);
    await browser.sees('Give the person a name');
    expect(await browser.driver.executeScript('return document.activeElement.dataset.testid')).toBe(
      'head-name',
    );
    await browser.driver.switchTo().activeElement().sendKeys('Ada', Key.ENTER);
    await browser.sees('Anything to be careful about?');
  });
});
