import { By } from 'selenium-webdriver';
import { addDays } from '../src/core/base/measures';
import { ofKind, type StoredRecord } from '../src/core/records/shapes';
import type { Browser } from './support/browser';
import { testToday } from './support/clock';
import { snapshotOf, unhurriedDemo, unhurriedMaren } from './support/records';
import { servedBuild } from './support/served';

const { phone, wide } = servedBuild();
const today = testToday();
const stamp = (id: string) => ({ id, recordedAt: `${addDays(today, -1)}T12:00:00Z` });

/** A day on which everything comes together: a treatment of yesterday, a batch that is past, a patch test that is over. */
function everythingDue(): StoredRecord[] {
  const records = unhurriedDemo();
  const session = ofKind(records, 'session').findLast(({ headId }) => headId === 'maren');
  const batch = ofKind(records, 'batch')[0];
  const recipe = ofKind(records, 'recipe')[0];
  if (!session || !batch || !recipe) throw new Error('the demo has a treatment, a batch and a recipe');
  return [
    ...records,
    { ...session, ...stamp('due-session'), day: addDays(today, -1) },
    { ...batch, ...stamp('due-batch'), batchId: 'due-batch', madeOn: addDays(today, -40), place: 'fridge' },
    { ...recipe, ...stamp('due-recipe'), recipeId: 'due-recipe', version: 1, name: 'Birch-leaf trial' },
    {
      ...stamp('due-patch'),
      kind: 'patch-test',
      headId: 'maren',
      recipeId: 'due-recipe',
      startedOn: addDays(today, -3),
      outcome: 'waiting',
      note: '',
    },
  ];
}

/** Pip knows a mist, and it is put on today for him. */
function mistForPip(): StoredRecord[] {
  const records = unhurriedDemo();
  const session = ofKind(records, 'session').find(({ headId }) => headId === 'pip');
  const recipe = ofKind(records, 'recipe').find(({ recipeId }) => recipeId === 'nettle-mist');
  if (!session || !recipe) throw new Error('the demo has a treatment of Pip, and a rinse');
  return [
    ...records,
    { ...recipe, ...stamp('mist-recipe'), recipeId: 'pip-mist', version: 1, name: 'Rose mist', use: 'mist' },
    { ...session, ...stamp('mist-session'), recipeId: 'pip-mist', day: addDays(today, -5) },
    {
      ...stamp('mist-decision'),
      kind: 'decision',
      headId: 'pip',
      day: today,
      slot: 'mist',
      what: 'place',
      recipeId: 'pip-mist',
    },
  ];
}

describe('a stroke on the first screen', () => {
  const stroke = async (browser: Browser, feel: number) => {
    const steps = await browser.driver.findElements(By.css('[data-testid="feel-scale"] [role="radio"]'));
    await steps[feel + 3]?.click();
  };

  it('decides the day, says why, and is asked again when it is taken back', async () => {
    const browser = await phone();
    await browser.stores(snapshotOf(unhurriedMaren()));
    await browser.goto('/');
    await browser.sees('One stroke decides');
    await stroke(browser, -2);
    await browser.sees('The check of Maren is saved.');
    await browser.pressId('why-today');
    await browser.sees(/Of the next 7 days about .* would be outside the comfort zone/);
    await browser.lacks('How does your hair feel?');
    await browser.pressId('undo');
    await browser.sees('How does your hair feel?');
  });

  it('asks once more when what was done has dried', async () => {
    const browser = await phone();
    await browser.stores(snapshotOf(unhurriedMaren()));
    await browser.goto('/');
    await browser.press(/^I did /);
    await browser.sees('Once it’s dry: how does it feel?');
    await stroke(browser, 0);
    await browser.lacks('Once it’s dry');
    // What was thought of the hair before it is told beside it.
    await browser.goto('/hair');
    await browser.sees(/Of your last 1 forecast [01] held/);
  });
});

describe('a day on which everything is due', () => {
  it.each([
    ['a phone', phone],
    ['a wide screen', wide],
  ])('says what now, each with what to do about it, on %s', async (_, open) => {
    const browser = await open();
    await browser.stores(snapshotOf(everythingDue()));
    await browser.goto('/');
    await browser.sees('treatment did, and decides today');
    await browser.sees('Throw out:');
    await browser.sees('Maren · Birch-leaf trial');
    await browser.sees('Last time and next time');
    await browser.press('The skin of Maren is clear');
    await browser.sees('Birch-leaf trial may go on Maren');
    await browser.driver.findElement(By.xpath("//*[starts-with(@aria-label, 'To the shelf')]")).click();
    await browser.sees('Throw out');
  });

  it('ticks a small treatment of another head in one tap', async () => {
    const browser = await phone();
    await browser.stores(snapshotOf(mistForPip()));
    await browser.goto('/');
    await browser.press('Maren');
    await browser.press('I did Rose mist on Pip');
    await browser.sees('Rose mist is logged for Pip.');
    await browser.waits(
      async () => !(await browser.text()).includes('Rose mist: done'),
      'what is done stays on the list',
    );
  });

  it('can be read and worked with text at twice its size on a phone', async () => {
    const browser = await phone();
    await browser.stores(snapshotOf(everythingDue()));
    // Twice the size on 390 pixels is what 195 pixels are at the usual size.
    const places = ['/', '/week', '/wash', '/hair/log', '/hair/report', 'the first step of the wash day'];
    for (const place of places) {
      await browser.goto(place.startsWith('/') ? place : '/wash');
      await browser.command('Emulation.setDeviceMetricsOverride', {
        width: 195,
        height: 422,
        deviceScaleFactor: 2,
        mobile: true,
      });
      await browser.waits(async () => (await browser.headline()) !== 'One moment');
      if (!place.startsWith('/')) await browser.pressId('begin-wash');
      const over = await browser.driver.executeScript<string[]>(`
        return [...document.querySelectorAll('[role="button"], [role="radio"], h1, [role="heading"]')]
          .filter((each) => each.offsetParent !== null && !each.closest('[role="table"], svg'))
          .filter((each) => { const box = each.getBoundingClientRect(); return box.width > 0 && (box.right > window.innerWidth + 1 || box.left < -1); })
          .map((each) => each.getAttribute('aria-label') ?? each.textContent.slice(0, 60));
      `);
      expect({ place, over }).toEqual({ place, over: [] });
    }
  });
});
