/**
 * Wash days through the real interface, one every three days, with reloads, pauses, skips and ends at random; afterwards
 * everything that was written down must be there, and every reload must lead back to the same step.
 *
 *   npm run soak -- 200 7        how many, and the seed
 */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { randomLcg } from 'd3-random';
import { By } from 'selenium-webdriver';
import { ofKind } from '../src/core/records/shapes';
import { readBackup } from '../src/core/records/files';
import { Browser, PHONE } from '../e2e/support/browser';
import { passes } from '../e2e/support/clock';
import { serveBuild } from '../e2e/support/serveBuild';

const [sessions = 200, seed = 7] = process.argv.slice(2).map(Number);
/** Spread over the generator's range: its first draws of neighbouring small seeds are alike. */
const random = randomLcg((seed * 0.618_034) % 1);
const chance = (share: number) => random() < share;
const oneOf = <T,>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)];

const DAYS_BETWEEN = 3;
/** More taps than this and a wash day does not end. */
const MOST_TAPS = 120;

const served = await serveBuild();
const browser = await Browser.open(served.address, PHONE);
await browser.opensDemo();

let reloads = 0;
let endedEarly = 0;
const begun = Date.now();

async function reloaded(): Promise<void> {
  const before = await stepName();
  await browser.driver.navigate().refresh();
  await browser.byTestId('wash-step');
  const after = await stepName();
  if (after !== before) throw new Error(`A reload at “${before}” led to “${after}”.`);
  reloads++;
}

const stepName = () => browser.headline();

const buttons = () =>
  browser.driver.executeScript<string[]>(
    `return [...document.querySelectorAll('[role="button"]')].filter((each) => each.getAttribute('aria-disabled') !== 'true').map((each) => each.innerText.trim())`,
  );

const isOver = async () =>
  (await browser.driver.findElements(By.css('[data-testid="save-wash"]'))).length > 0;

async function washDay(): Promise<void> {
  await browser.goto('/wash');
  await browser.byTestId('begin-wash');
  const masks = await browser.driver.executeScript<string[]>(
    `return [...document.querySelector('[aria-label="What goes on"][role="radiogroup"]').querySelectorAll('[role="radio"]')].map((each) => each.innerText.trim())`,
  );
  const mask = oneOf(masks);
  if (mask !== undefined) await browser.press(mask);
  await browser.pressId('begin-wash');
  await browser.byTestId('wash-step');
  for (let tap = 0; tap < MOST_TAPS; tap++) {
    if (await isOver()) return;
    if (chance(0.12)) await reloaded();
    await passes(browser, Math.round(12 * random()));
    const here = await buttons();
    const felt = here.filter((name) => /^(Soft|Just right|Firm|Rough)/.test(name));
    if (felt.length > 0) {
      const start = (oneOf(felt) ?? '').split('\n')[0] ?? '';
      await browser.pressAt(By.xpath(`//*[@role='button'][starts-with(normalize-space(.), '${start}')]`));
    } else if (chance(0.02)) {
      await browser.pressId('wash-more');
      await browser.pressId('end-early');
      endedEarly++;
    } else if (chance(0.05) && here.includes('Pause')) {
      await browser.press('Pause');
      if (chance(0.5)) await reloaded();
      await browser.press('Go on');
    } else if (chance(0.04) && here.includes('Back')) await browser.press('Back');
    else if (chance(0.06)) await browser.press('Skip');
    else
      await browser.press(here.find((name) => /^(All done|Off with it|Done|Part \d)/.test(name)) ?? 'Done');
  }
  throw new Error('a wash day does not end');
}

for (let session = 1; session <= sessions; session++) {
  await washDay();
  const isWorn = (await browser.text()).includes('on for');
  if (isWorn && chance(0.5)) await browser.press('again');
  await browser.pressId('save-wash');
  await browser.sees('Maren');
  await passes(browser, DAYS_BETWEEN * 24 * 60);
  if (session % 20 === 0)
    console.log(`${session} wash days, ${reloads} reloads, ${Math.round((Date.now() - begun) / 1000)} s`);
}

await browser.goto('/people/backup');
await browser.sees('records, all stored');
await browser.pressId('export');
const name = await browser.driver.wait(
  async () => readdirSync(browser.downloads).find((each) => each.endsWith('.json')) ?? '',
  30_000,
);
const backup = readBackup(readFileSync(path.join(browser.downloads, name), 'utf8'));
if (!backup.ok) throw new Error(backup.problems[0].message);
const { records } = backup.value;
const washDays = ofKind(records, 'wash-day');
const known = new Set(records.map(({ id }) => id));
const lost = washDays.flatMap(({ uses }) => uses).filter(({ sessionId }) => !known.has(sessionId));
const complaints = await browser.complaints();
await browser.close();
served.close();
console.log(
  `${washDays.length} of ${sessions} wash days are there (${endedEarly} ended early), ${reloads} reloads, ${lost.length} treatments lost, ${complaints.length} complaints, ${records.length} records`,
);
complaints.slice(0, 5).forEach((complaint) => console.log(complaint));
if (washDays.length !== sessions || lost.length > 0 || complaints.length > 0) process.exit(1);
