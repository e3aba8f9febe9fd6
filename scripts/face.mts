/**
 * Measures the face on a phone, from the demo: words of ours in the first view of each main place (names of ingredients,
 * her log and how she makes it are hers), what can be pressed there, how far from the top the headline ends and how long
 * the page is; then ten jobs, each from Today, with taps and the seconds that the product itself takes for them.
 */
import { readdirSync } from 'node:fs';
import { By } from 'selenium-webdriver';
import { Browser, PHONE } from '../e2e/support/browser';
import { PLACES } from '../e2e/support/places';
import { pseudoCatalogue } from '../e2e/support/pseudo';
import { demoOfToday, snapshotOf } from '../e2e/support/records';
import { CATALOGUE } from '../src/core/recipe/ingredients';
import { NO_SERVICE_WORKER, serveBuild } from '../e2e/support/serveBuild';

const MAIN = [
  '/',
  '/week',
  '/week/rules',
  '/recipes',
  '/recipes/silk-glaze',
  '/recipes/new',
  '/hair',
  '/hair/measure',
  '/hair/log',
  '/shelf',
  '/pantry',
  '/people',
];

interface FirstView {
  /** With signs on their letters: of the catalogue. */
  readonly ours: number;
  readonly all: number;
  readonly controls: number;
  /** Pixels from the top to the end of the headline. */
  readonly headEnds: number;
  readonly height: number;
}

/** Only letters of the pseudo catalogue have signs. */
const FIRST_VIEW = `
  const HERS = '[data-testid="method"], [data-testid="log-treatments"], [data-testid="log-readings"], [data-testid="log-events"], [data-testid="log-shelf"]';
  const words = [];
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    if (!node.parentElement.checkVisibility() || /^(SCRIPT|NOSCRIPT|STYLE)$/.test(node.parentElement.tagName)) continue;
    // Her log's entries and how she makes it are hers, though our words put them together.
    const isHers = node.parentElement.closest(HERS) !== null;
    const range = document.createRange();
    range.selectNodeContents(node);
    const at = range.getBoundingClientRect();
    if (at.bottom <= 0 || at.top >= innerHeight || at.width < 2) continue;
    const { clientWidth, scrollWidth } = node.parentElement;
    const seen = node.textContent.split(/\\s+/).filter((word) => /\\p{L}/u.test(word));
    // Of what is cut at the end of its line only the part that is seen.
    const fits = clientWidth > 0 && clientWidth < scrollWidth ? clientWidth / scrollWidth : 1;
    words.push(...seen.slice(0, Math.round(seen.length * fits)).map((word) => ({ word, isHers })));
  }
  const scroller = document.querySelector('[data-scrolls]');
  const head = document.querySelector('[role="heading"][aria-level="1"], h1');
  const pressed = [...document.querySelectorAll('a, button, input, textarea, select, [role="button"], [role="radio"]')].filter((each) => {
    const at = each.getBoundingClientRect();
    return each.checkVisibility() && at.top < innerHeight && at.bottom > 0;
  });
  return {
    ours: words.filter(({ word, isHers }) => !isHers && /[^\\u0000-\\u007f\\u2010-\\u2027%°·]/.test(word)).length,
    all: words.length,
    controls: pressed.length,
    headEnds: Math.round(head.getBoundingClientRect().bottom),
    height: scroller?.scrollHeight ?? document.documentElement.scrollHeight,
  };
`;

/** What she has is hers, though the catalogue names it. */
const [place, script] = pseudoCatalogue(0, new Set(CATALOGUE.map(({ name }) => name)));
const marked = await serveBuild({ ...NO_SERVICE_WORKER, [place]: [200, script] });
const viewer = await Browser.open(marked.address, PHONE);
await viewer.stores(snapshotOf(demoOfToday(), { language: 'pt' }));
await viewer.loads('/');
await viewer.sees('Maren');
for (const where of MAIN) {
  if (!PLACES.includes(where)) throw new Error(`${where} is no place of the application`);
  await viewer.loads(where);
  await viewer.headline();
  await viewer.waits(() => viewer.driver.executeScript<boolean>('return document.readyState === "complete"'));
  await viewer.sees(/\p{L}/u);
  await new Promise((resolve) => setTimeout(resolve, 1500));
  const { ours, all, controls, headEnds, height } = await viewer.driver.executeScript<FirstView>(FIRST_VIEW);
  console.log(
    `${where}: ${ours} words of ours (${all} with hers), ${controls} to press in the first view; headline ends at ${headEnds} px; ${height} px long`,
  );
}
await viewer.close();
marked.close();

interface Job {
  readonly name: string;
  readonly does: (browser: Browser, tap: (what: () => Promise<void>) => Promise<void>) => Promise<void>;
}

const RECIPE = '3 tbsp linseed, soaked\n200 ml water\n1 tbsp honey';

/** Each begins on Today; what is pasted or typed is no tap. */
const JOBS: readonly Job[] = [
  {
    name: 'verdict of a pasted recipe',
    does: async (browser, tap) => {
      await tap(() => browser.press('Recipes'));
      await tap(() => browser.press('New recipe'));
      await browser.write('recipe-text', RECIPE);
      await browser.sees(/Moisture, /);
    },
  },
  {
    name: 'check of hair',
    does: async (browser, tap) => {
      await tap(() => browser.press('springy'));
      await browser.sees(/is logged|is stored|Undo/);
    },
  },
  {
    name: 'this week',
    does: async (browser, tap) => {
      await tap(() => browser.press('Week'));
      await browser.byTestId(`treatment-main-${nextMain}`);
    },
  },
  {
    name: 'start wash',
    does: async (browser, tap) => {
      await tap(() => browser.pressId('wash-now'));
      await tap(() => browser.pressId('begin-wash'));
      await browser.sees(/of \d+/);
    },
  },
  { name: 'last protein', does: (browser) => browser.sees(/Protein\s*\d+ days ago/) },
  {
    name: 'move a treatment',
    does: async (browser, tap) => {
      await tap(() => browser.press('Week'));
      await tap(() => browser.pressId(`treatment-main-${nextMain}`));
      await tap(() => browser.press(/^Move .* to another day/));
      await tap(() => browser.press(/Put .* on /));
      await browser.sees('The plan changed because of what you decided');
    },
  },
  {
    name: 'make and shelve',
    does: async (browser, tap) => {
      await tap(() => browser.press('Recipes'));
      await tap(() => browser.pressAt(By.css('a[href="/recipes/silk-glaze"]')));
      await tap(() => browser.pressId('make-recipe'));
      await tap(() => browser.pressId('made-it'));
      await tap(() => browser.pressId('save-batch'));
      await browser.sees('is on the shelf');
    },
  },
  {
    name: 'log a past treatment',
    does: async (browser, tap) => {
      await tap(() => browser.pressId('log-treatment'));
      await tap(() => browser.press('yesterday'));
      await tap(() => browser.press('Okra slip'));
      await tap(() => browser.pressId('save-log'));
      await browser.sees(/Okra slip/);
    },
  },
  {
    name: 'export',
    does: async (browser, tap) => {
      await tap(() => browser.press('People'));
      await tap(() => browser.press('Backup & export'));
      await tap(() => browser.pressId('export'));
      await browser.waits(() => readdirSync(browser.downloads).some((each) => each.endsWith('.json')));
    },
  },
  {
    name: 'oil tonight',
    does: async (browser, tap) => {
      await tap(() => browser.press(/^I did .*Sesame evening/));
      await browser.sees('is logged');
    },
  },
];

const RUNS = 3;
const { address, close } = await serveBuild();
const worker = await Browser.open(address, PHONE);
await worker.opensDemo('/week');
const nextMain = await worker.waits(() =>
  worker.driver.executeScript<string>(
    `return document.querySelector('[data-testid^="treatment-main-"]')?.dataset.testid.slice('treatment-main-'.length) ?? ''`,
  ),
);
for (const { name, does } of JOBS) {
  const times: number[] = [];
  let taps = 0;
  for (let run = 0; run < RUNS; run++) {
    await worker.renewed(address, PHONE);
    await worker.opensDemo('/');
    await worker.sees('To do today');
    taps = 0;
    const began = performance.now();
    await does(worker, async (what) => {
      taps += 1;
      await what();
    });
    times.push((performance.now() - began) / 1000);
  }
  times.sort((a, b) => a - b);
  console.log(
    `${name}: ${taps} taps; ${times[1]?.toFixed(1)} s of the product and the driver (${times[0]?.toFixed(1)} to ${times[2]?.toFixed(1)})`,
  );
}
await worker.close();
close();
process.exit(0);
