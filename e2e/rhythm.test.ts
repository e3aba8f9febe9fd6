import { By } from 'selenium-webdriver';
import { addDays } from '../src/core/base/measures';
import type { Browser } from './support/browser';
import { testToday } from './support/clock';
import { snapshotOf, unhurriedMaren } from './support/records';
import { servedBuild } from './support/served';

const { phone } = servedBuild();

const withoutTrial = () => unhurriedMaren().filter(({ kind }) => kind !== 'trial' && kind !== 'trial-wash');

/** Maren with time on every day and no trial, so that nothing but her rhythm decides. */
async function opensMaren(browser: Browser, place: string): Promise<void> {
  await browser.stores(snapshotOf(withoutTrial()));
  await browser.goto(place);
}

/** What is planned in a slot of a day, as it stands on the week. */
async function planned(browser: Browser, slot: string, day: string): Promise<string> {
  const locator = By.css(`[data-testid="treatment-${slot}-${day}"]`);
  const found = await browser.waits(async () => (await browser.driver.findElements(locator))[0] ?? false);
  return (found as { getText: () => Promise<string> }).getText();
}

const SIX = [
  'Harbour mask: 4 tbsp plain conditioner, 1 tbsp honey, 2 tbsp oat milk. 30 minutes under a cap.',
  'Loft gel: 3 tbsp linseed, 2 cups water. Boil 8 minutes, strain.',
  'Rafter set: 4 g gelatin dissolved in 200 ml water, 2 tbsp plain conditioner. 20 minutes.',
  'Pre-poo of Sundays: 3 tbsp sunflower oil.',
  'Quay mist: 300 ml water, 1 tsp glycerin.',
  'Ridge cream: 100 g plain conditioner, 1 tbsp glycerin. 30 minutes.',
].join('\n\n');

describe('a maker who comes with her past', () => {
  it('tells six regulars in one go, and the plan uses them without a test', async () => {
    const browser = await phone();
    await browser.goto('/');
    await browser.pressId('start-own');
    await browser.write('head-name', 'Ada');
    await browser.write('head-length', '32');
    await browser.press('What troubles you about it?: it breaks');
    await browser.pressId('next-step');
    await browser.pressId('next-step');
    await browser.pressId('save-head');
    await browser.pressId('my-regulars');
    await browser.write('regulars-text', SIX);
    await browser.pressId('read-regulars');
    await browser.sees('Ridge cream');
    await browser.press('I use it: A protein treatment');
    await browser.pressId('save-regulars');
    await browser.sees('What you use is known');
    // The answer begins with what she said.
    await browser.headlineBecomes(/^You say it breaks/);
    await browser.lacks('New for this person');
    await browser.goto('/week');
    // Her oil goes on tonight, before tomorrow's wash with another of hers.
    expect(await planned(browser, 'pre-poo', testToday())).toContain('Pre-poo of Sundays');
    expect(await planned(browser, 'main', addDays(testToday(), 1))).toMatch(/Harbour|Loft|Rafter|Ridge/);
    await browser.lacks('Patch test');
    await browser.sees(/Protein\s*10 days ago/);
  });

  it('writes down what she did last Tuesday, in two taps from Today', async () => {
    const browser = await phone();
    await browser.opensDemo();
    await browser.pressId('log-treatment');
    await browser.press('on a day I know');
    await browser.press('Okra slip');
    await browser.pressId('save-log');
    await browser.sees('Choose the day, today or before.');
    await browser.write('log-day', addDays(testToday(), -4));
    await browser.press('Minutes, feel, a note');
    await browser.write('log-note', 'with a friend');
    await browser.pressId('save-log');
    await browser.sees(/Tue 24 Nov\s+Okra slip/);
    await browser.sees('with a friend');
  });

  it('says “Fridays until March”, and the plan has it on Fridays', async () => {
    const browser = await phone();
    await opensMaren(browser, '/week/days');
    await browser.press('Okra slip');
    await browser.press('Days: Fri');
    await browser.press('a day');
    await browser.write('rhythm-until', '2027-03-19');
    await browser.press('it goes first');
    await browser.sees('Okra slip: Fridays, until 19 March 2027');
    await browser.pressId('save-rhythm');
    await browser.sees('The plan serves it');
    await browser.goto('/week');
    expect(await planned(browser, 'main', '2026-12-04')).toContain('Okra slip');
  });

  it('puts oil on tonight in one tap, and tomorrow has its wash', async () => {
    const browser = await phone();
    await opensMaren(browser, '/');
    await browser.pressId('oil-tonight');
    await browser.sees('tonight, washed out tomorrow');
    await browser.sees('overnight');
    await browser.goto('/week');
    expect(await planned(browser, 'pre-poo', testToday())).toContain('Sesame evening');
    await planned(browser, 'main', addDays(testToday(), 1));
  });

  it('has a style next Thursday: the days before it are counted, and those after it', async () => {
    const browser = await phone();
    await opensMaren(browser, '/week/days');
    await browser.press('a protective style');
    await browser.write('occasion-from', '2026-12-03');
    await browser.write('occasion-to', '2026-12-20');
    await browser.write('take-down-hours', '5');
    await browser.press('two days');
    await browser.pressId('save-occasion');
    await browser.sees('5 h over the last two days');
    await browser.goto('/week');
    await browser.sees('5 days to the style: nothing new');
    await browser.sees('3 days to the style: protein now');
    await browser.sees('The style goes in');
    await browser.press('The week after');
    await browser.press('The week after');
    await browser.sees('The style is in: mist and scalp oil only.');
    await browser.press('The week after');
    await browser.sees('Taking the style down: about 2.5 hours today');
    await browser.sees("That's expected");
  });

  it('agrees on what to do if it feels firm, though the plan has no protein', async () => {
    const browser = await phone();
    await opensMaren(browser, '/wash');
    await browser.press('Okra slip');
    await browser.press('plain conditioner');
    await browser.pressId('begin-wash');
    await browser.byTestId('wash-step');
    for (let tap = 0; !(await browser.headline()).startsWith('How does it feel'); tap++) {
      const here = await browser.headline();
      const text = await browser.text();
      await browser.press(['All done', 'Off with it', 'Done'].find((each) => text.includes(each)) ?? 'Done');
      await browser.waits(async () => (await browser.headline()) !== here, `${here} does not end`);
      if (tap > 30) throw new Error('it is never asked how it feels');
    }
    await browser.pressAt(By.xpath("//*[@role='button'][starts-with(normalize-space(.), 'Firm')]"));
    await browser.sees('Plain conditioner, 10 minutes');
  });
});
