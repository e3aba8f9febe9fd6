import { cpSync, mkdtempSync, readdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { By } from 'selenium-webdriver';
import { addDays } from '../src/core/base/measures';
import { headsIn } from '../src/core/hair/history';
import { valueOf } from '../src/core/lab/testing';
import { readBackup, type Backup } from '../src/core/records/files';
import { ofKind } from '../src/core/records/shapes';
import { Browser, PHONE } from './support/browser';
import { testToday } from './support/clock';
import { serveBuild } from './support/serveBuild';
import { servedBuild } from './support/served';

const { phone, wide } = servedBuild();

/** The file that a press brings, once all of it is there, put out of the way of the next one. */
async function fileFrom(browser: Browser, press: () => Promise<void>, ending: string): Promise<string> {
  await press();
  const name = await browser.waits(
    async () => readdirSync(browser.downloads).find((each) => each.endsWith(ending)) ?? '',
    'no file comes',
  );
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'velvet-file-')), name);
  renameSync(path.join(browser.downloads, name), file);
  return file;
}

const backupIn = (file: string): Backup => valueOf(readBackup(readFileSync(file, 'utf8')));

async function chooses(browser: Browser, file: string): Promise<void> {
  await (await browser.byTestId('backup-file')).sendKeys(file);
}

async function keeping(browser: Browser): Promise<void> {
  await browser.goto('/people/backup');
  await browser.sees('records, all stored');
}

describe('everything out, away, and in again', () => {
  it.each([
    ['a phone', phone],
    ['a wide screen', wide],
  ])('is the same to the byte, on %s', async (_, open) => {
    const browser = await open();
    await browser.opensDemo();
    await keeping(browser);
    const first = await fileFrom(browser, () => browser.pressId('export'), '.json');
    await browser.sees('last saved to a file today');
    await browser.pressId('delete-all');
    await browser.sees('nobody can bring them back');
    await browser.pressId('delete-sure');
    await browser.sees('Soft, firm, or in between?');
    await browser.press('Read a file in');
    await browser.sees('Nothing is kept yet');
    await chooses(browser, first);
    await browser.sees(/\d+ new, 0 already here/);
    await browser.pressId('take-backup');
    await browser.sees('records, all stored');
    const second = await fileFrom(browser, () => browser.pressId('export'), '.json');
    const text = (file: string) => readFileSync(file, 'utf8').replace(/"exportedAt": "[^"]*"/, '');
    expect(text(second)).toBe(text(first));
  });

  it('takes the place of what is here when asked to, and a copy leads back', async () => {
    const browser = await phone();
    await browser.opensDemo();
    await keeping(browser);
    const file = await fileFrom(browser, () => browser.press('Export Pip'), '.json');
    const handed = backupIn(file);
    expect(headsIn(handed.records).map(({ name }) => name)).toEqual(['Pip']);
    expect(ofKind(handed.records, 'pantry')).toEqual([]);
    const count = Number(/(\d+) records, all stored/.exec(await browser.text())?.[1]);
    await chooses(browser, file);
    await browser.sees(`0 new, ${handed.records.length} already here`);
    await browser.pressId('replace-all');
    await browser.sees(`${count - handed.records.length} records would go`);
    await browser.pressId('replace-sure');
    await browser.sees(`${handed.records.length} records, all stored`);
    await browser.reloads();
    await browser.sees(`${handed.records.length} records, all stored`);
    await browser.press(/^Look into the copy/);
    await browser.sees('Not here any more');
    await browser.pressId('copy-back');
    await browser.sees(`${count} records, all stored`);
  });

  it('in another tab is followed here', async () => {
    const browser = await phone();
    await browser.opensDemo();
    await keeping(browser);
    const first = await browser.driver.getWindowHandle();
    await browser.newTab();
    await keeping(browser);
    await browser.pressId('delete-all');
    await browser.pressId('delete-sure');
    await browser.sees('Soft, firm, or in between?');
    await browser.driver.switchTo().window(first);
    await browser.sees('Nothing is kept yet');
  });
});

describe('a part of it', () => {
  it('recipes go to a friend, who has them beside her own', async () => {
    const browser = await phone();
    await browser.opensDemo();
    await keeping(browser);
    const file = await fileFrom(browser, () => browser.pressId('export-recipes'), '.json');
    const friend = await phone();
    await friend.goto('/people/backup');
    await friend.sees('Nothing is kept yet');
    await chooses(friend, file);
    await friend.sees(/new: .*Furnace-day cream/);
    await friend.pressId('take-file');
    await friend.goto('/recipes');
    await friend.sees('10 recipes');
    await friend.goto('/people/backup');
    await chooses(friend, file);
    await friend.sees('no recipe that is not here already');
  });

  it('readings go to a spreadsheet; a row that is changed there corrects the reading here', async () => {
    const browser = await wide();
    await browser.opensDemo();
    await keeping(browser);
    const file = await fileFrom(browser, () => browser.pressId('export-readings'), '.csv');
    const rows = readFileSync(file, 'utf8').split('\r\n');
    const index = rows.findIndex((row) => row.includes(',"Maren",'));
    const changed = path.join(browser.downloads, 'changed.csv');
    const headings = (rows[0] ?? '').replace('\uFEFF', '').replaceAll('"', '').split(',');
    const cells = (rows[index] ?? '').split(',');
    cells[headings.indexOf('shine')] = '4';
    rows[index] = cells.join(',');
    writeFileSync(changed, rows.join('\r\n'));
    await chooses(browser, changed);
    await browser.sees(/0 new checks, 1 corrected, \d+ as they are here/);
    await browser.pressId('take-file');
    await browser.sees('Added: 1 row.');
    await chooses(browser, changed);
    await browser.sees('was changed or removed since');
    await browser.sees('Nothing was changed');
    // A slip of the year is asked about; what is beside it can be taken without it.
    const rowOn = (day: string) =>
      cells.map((cell, at) => (headings[at] === 'day' ? day : headings[at] === 'id' ? '' : cell)).join(',');
    const [old, right] = [rowOn('0001-05-10'), rowOn(addDays(testToday(), -300))];
    const slip = path.join(browser.downloads, 'slip.csv');
    writeFileSync(slip, [rows[0], old, right].join('\r\n'));
    await chooses(browser, slip);
    await browser.sees('1 record is older than any hair');
    await browser.pressId('take-rest');
    await browser.sees('Added: 1 record.');
  });

  it('hostile text is text: nothing in a file runs, and what is no file of ours is refused', async () => {
    const browser = await phone();
    await browser.opensDemo();
    await keeping(browser);
    const file = await fileFrom(browser, () => browser.pressId('export'), '.json');
    const evil = path.join(browser.downloads, 'evil.json');
    const script = '<img src=x onerror=window.hit=1>';
    const text = readFileSync(file, 'utf8').replaceAll('Maren', script).replaceAll('"id": "', '"id": "e-');
    writeFileSync(evil, text.replace(/"headId": "maren"/g, '"headId": "evil"'));
    await chooses(browser, evil);
    await browser.sees(/\d+ new/);
    await browser.pressId('take-backup');
    await browser.sees(/Added: \d+ records/);
    await browser.goto('/people');
    await browser.sees(script);
    expect(await browser.driver.executeScript('return window.hit')).toBeNull();
    const poem = path.join(browser.downloads, 'poem.txt');
    writeFileSync(poem, 'Roses are red');
    await browser.goto('/people/backup');
    await chooses(browser, poem);
    await browser.sees('none of the files that Velvet Rhythm reads');
  });
});

describe('settings', () => {
  it('change how the page looks at once, and stay', async () => {
    const browser = await wide();
    await browser.opensDemo('/people/settings');
    const zoom = () => browser.driver.executeScript<string>('return document.documentElement.style.zoom');
    await browser.press('largest');
    await browser.waits(async () => (await zoom()) === '1.5');
    await browser.press('Sunday');
    await browser.press('none');
    await browser.reloads();
    await browser.waits(async () => (await zoom()) === '1.5');
    await browser.goto('/people/maren');
    await browser.sees('Free minutes on each day');
    const order = await browser.driver.executeScript<string[]>(
      'return [...document.querySelectorAll("[data-testid^=free-]")].map((each) => each.dataset.testid)',
    );
    expect(order[0]).toBe('free-0');
  });

  it('what counts is hers to change: the recipes that become another kind are named, and one tap goes back', async () => {
    const browser = await wide();
    await browser.opensDemo('/people/settings');
    await browser.press('What counts, and how much');
    await browser.sees('None of your recipes becomes another kind.');
    const choose = (part: string, at: number) =>
      browser.driver
        .findElements(By.css(`[data-testid="counts-${part}"] [role="radio"]`))
        .then((options) => options[at]?.click());
    await choose('soft', 2);
    await browser.sees(/\(was \w+/);
    await browser.pressId('counts-back');
    await browser.sees('None of your recipes becomes another kind.');
    await browser.driver
      .findElements(By.css('[data-testid="comfort-low"] [role="radio"]'))
      .then((options) => options[2]?.click());
    await browser.sees(/The comfort zone of .+ is set\./);
  });

  it('what the house lacks is planned around, and can be taken back', async () => {
    const browser = await phone();
    await browser.opensDemo('/people');
    await browser.pressId('kit-freezer');
    await browser.sees('Nothing is put by frozen');
    await browser.goto('/shelf');
    await browser.pressRow('open-', 'Bench gel');
    await browser.sees('Move to room warmth');
    expect(await browser.text()).not.toContain('Freeze it');
    await browser.goto('/people');
    await browser.pressId('kit-freezer');
    await browser.waits(async () => !(await browser.text()).includes('Nothing is put by frozen'));
  });

  it('schools are chosen for a head, each with its other side', async () => {
    const browser = await phone();
    await browser.opensDemo('/people/opinions');
    await browser.sees('Yours: by my hair.');
    await browser.press('any protein');
    await browser.sees('Yours: any protein.');
    await browser.pressId('school-zones-line');
    await browser.press('the ends first');
    await browser.sees('Yours: the ends first.');
    await browser.goto('/recipes/kefir-mango');
    await browser.sees('For you, by what you count: protein');
  });
});

describe('with the server gone', () => {
  const isKept = (browser: Browser) =>
    browser.waits(
      () => browser.driver.executeScript<boolean>('return navigator.serviceWorker.controller !== null'),
      'the application is not kept in the browser',
    );

  it('everything opens and works as before', async () => {
    const server = await serveBuild();
    const browser = await Browser.open(server.address, PHONE);
    await browser.opensDemo();
    await isKept(browser);
    server.close();
    await browser.reloads();
    await browser.sees('Maren');
    await browser.goto('/week');
    await browser.sees('Last time and next time');
    await browser.goto('/recipes/kefir-mango');
    await browser.sees('For you, by what you count');
    await browser.goto('/hair/tally');
    await browser.sees('detangle');
    await browser.goto('/people/backup');
    await browser.sees('records, all stored');
    await browser.close();
  });

  it('a new version is offered and taken when she says so', async () => {
    const dist = mkdtempSync(path.join(tmpdir(), 'velvet-dist-'));
    cpSync('dist', dist, { recursive: true });
    const server = await serveBuild({}, dist);
    const browser = await Browser.open(server.address, PHONE);
    await browser.opensDemo();
    await isKept(browser);
    const newer = `${readFileSync(path.join(dist, 'sw.js'), 'utf8')}\n// a newer one\n`;
    writeFileSync(path.join(dist, 'sw.js'), newer);
    writeFileSync(path.join(dist, 'sw.js.br'), brotliCompressSync(newer));
    writeFileSync(path.join(dist, 'sw.js.gz'), gzipSync(newer));
    await browser.reloads();
    await browser.sees('A new version is here');
    await browser.driver.executeScript('window.before = 1');
    await browser.press('Use the new version now');
    // The page begins anew by itself, with the records that it had.
    await browser.waits(
      () =>
        browser.driver.executeScript<boolean>(
          `return window.before !== 1 && (document.body?.innerText ?? '').includes('Maren')`,
        ),
      'the page does not begin anew',
    );
    await browser.lacks('A new version');
    await browser.close();
    server.close();
  });
});
