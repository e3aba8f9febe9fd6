/** Takes one picture of each main view, from the demo data, into docs/screenshots/. Look at them before you commit them. */
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Browser, PHONE, WIDE } from '../e2e/support/browser';
import { serveBuild } from '../e2e/support/serveBuild';

const VIEWS = [
  { name: 'today', place: '/', size: PHONE },
  { name: 'week', place: '/week', size: PHONE },
  { name: 'week-dark', place: '/week', size: PHONE, dark: true },
  { name: 'bench', place: '/bench', size: PHONE },
  { name: 'verdict', place: '/bench/silk-glaze', size: PHONE, scrollTo: '[data-testid="verdict"]' },
  { name: 'making', place: '/bench/make/furnace-day-cream', size: PHONE, press: 'begin-making' },
  { name: 'shelf', place: '/shelf', size: PHONE },
  { name: 'strand', place: '/strand', size: PHONE },
  { name: 'ruler', place: '/strand/stretch', size: PHONE, press: 'calibrated' },
  { name: 'wash', place: '/wash', size: PHONE, press: 'begin-wash', thenPress: 'Done' },
  { name: 'heads', place: '/heads', size: PHONE },
  { name: 'keeping-wide', place: '/heads/keeping', size: WIDE },
  { name: 'week-wide', place: '/week', size: WIDE },
  { name: 'try-wide', place: '/week/try', size: WIDE, press: 'try-begin', until: 'that is overload' },
  { name: 'verdict-wide', place: '/bench/furnace-day-cream', size: WIDE },
  { name: 'compare-wide', place: '/bench/compare?a=okra-slip&b=cold-kiln-set', size: WIDE },
  { name: 'pantry-wide', place: '/pantry', size: WIDE },
  { name: 'works-wide', place: '/strand/works', size: WIDE },
  { name: 'log-wide', place: '/strand/log', size: WIDE },
] as const;

const SHOWS_PLAN: readonly string[] = ['/', '/week', '/wash'];

/** Fonts and drawings are there when the page has been still for two frames. */
const WHEN_STILL = `
  const done = arguments[0];
  document.fonts.ready.then(() => requestAnimationFrame(() => requestAnimationFrame(() => done())));
`;

const root = path.resolve(import.meta.dirname, '..');
const folder = path.join(root, 'docs/screenshots');
mkdirSync(folder, { recursive: true });
const { address, close } = await serveBuild();

for (const view of VIEWS) {
  const browser = await Browser.open(address, view.size);
  if ('dark' in view) {
    await browser.command('Emulation.setEmulatedMedia', {
      features: [{ name: 'prefers-color-scheme', value: 'dark' }],
    });
  }
  await browser.opensDemo('/', { effort: 'usual' });
  if (SHOWS_PLAN.includes(view.place)) {
    // The plan is the solver's when its gap is told, and what was agreed is shown first from then on.
    await browser.goto('/week');
    await browser.sees(/The best plan for these weeks|a better one may exist/);
  }
  if (view.place !== '/week') await browser.goto(view.place);
  await browser.headline();
  await browser.driver.wait(async () => (await browser.headline()) !== 'One moment', 10_000);
  if ('press' in view) await browser.pressId(view.press);
  if ('thenPress' in view) await browser.press(view.thenPress);
  if ('until' in view) await browser.sees(view.until, 90_000);
  if ('scrollTo' in view) {
    await browser.driver.executeScript(`document.querySelector('${view.scrollTo}').scrollIntoView()`);
  }
  await browser.driver.executeAsyncScript(WHEN_STILL);
  writeFileSync(path.join(folder, `${view.name}.png`), await browser.driver.takeScreenshot(), 'base64');
  console.log(`docs/screenshots/${view.name}.png`);
  await browser.close();
}
close();
