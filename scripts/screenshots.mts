/** Takes one picture of each main view, from the demo data, into docs/screenshots/. Look at them before you commit them. */
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Browser, PHONE, WIDE } from '../e2e/support/browser';
import { serveBuild } from '../e2e/support/serveBuild';

/** Told as a maker would, with a title, guesses and steps. */
const TELLING =
  'My Sunday pear mask. I take half a pear, two tablespoons of yoghurt and a good glug of olive oil, blend it and push it through a sieve. It stays on 40 minutes under a cap. Keeps three days in the fridge.';

const VIEWS = [
  { name: 'today', place: '/', size: PHONE },
  { name: 'today-wide', place: '/', size: WIDE },
  { name: 'week', place: '/week', size: PHONE },
  { name: 'week-dark', place: '/week', size: PHONE, dark: true },
  { name: 'week-wide', place: '/week', size: WIDE },
  { name: 'rules', place: '/week/rules', size: PHONE },
  { name: 'try-wide', place: '/week/try', size: WIDE, press: 'try-begin', until: 'that is overload' },
  { name: 'recipes', place: '/recipes', size: PHONE },
  { name: 'recipe', place: '/recipes/silk-glaze', size: PHONE },
  { name: 'recipe-wide', place: '/recipes/furnace-day-cream', size: WIDE },
  {
    name: 'telling',
    place: '/recipes/new',
    size: PHONE,
    write: ['recipe-text', TELLING],
    until: 'half a pear',
  },
  { name: 'making', place: '/recipes/make/furnace-day-cream', size: PHONE, press: 'begin-making' },
  { name: 'pantry-wide', place: '/pantry', size: WIDE },
  { name: 'hair', place: '/hair', size: PHONE },
  { name: 'ruler', place: '/hair/stretch', size: PHONE, press: 'calibrated' },
  { name: 'works-wide', place: '/hair/works', size: WIDE },
  { name: 'log', place: '/hair/log', size: PHONE },
  { name: 'wash', place: '/wash', size: PHONE, press: 'begin-wash', thenPress: 'Done' },
  { name: 'backup-wide', place: '/people/backup', size: WIDE },
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
  if ('write' in view) await browser.write(...view.write);
  if ('press' in view) await browser.pressId(view.press);
  if ('thenPress' in view) await browser.press(view.thenPress);
  if ('until' in view) await browser.sees(view.until, 90_000);
  await browser.driver.executeAsyncScript(WHEN_STILL);
  writeFileSync(path.join(folder, `${view.name}.png`), await browser.driver.takeScreenshot(), 'base64');
  console.log(`docs/screenshots/${view.name}.png`);
  await browser.close();
}
close();
