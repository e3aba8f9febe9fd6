/**
 * Measures, in headless Chromium, how long the demo takes from opening its address to its first screen, and what it weighs; then, with five
 * years of readings, how long the page is held up when one more is saved and how long the new answer takes.
 */
import { By } from 'selenium-webdriver';
import { headsIn } from '../src/core/hair/history';
import { dayOfDate } from '../src/core/base/measures';
import { feelWords } from '../src/core/hair/checks';
import { fiveYears } from '../src/core/lab/calibration';
import { demoRecords } from '../src/core/lab/simulation';
import { testRecipe } from '../src/core/lab/testing';
import { Browser, PHONE, WIDE } from '../e2e/support/browser';
import { snapshotOf } from '../e2e/support/records';
import { serveBuild } from '../e2e/support/serveBuild';

const RUNS = 7;

interface Measured {
  readonly firstScreenMs: number;
  readonly scriptKilobytes: number;
}

/** Asked for by the page itself, so that the test driver's own delays do not count. */
const WHEN_SEEN = `
  const done = arguments[0];
  const look = () => {
    const headline = document.querySelector('[role="heading"][aria-level="1"], h1');
    if (headline && document.body.innerText.includes('Maren') && headline.textContent !== 'One moment') {
      const scripts = performance.getEntriesByType('resource').filter(({ name }) => name.endsWith('.js') && !/(estimator|solver)-/.test(name));
      done({ firstScreenMs: performance.now(), scriptKilobytes: scripts.reduce((sum, { encodedBodySize }) => sum + encodedBodySize, 0) / 1024 });
    } else requestAnimationFrame(look);
  };
  look();
`;

const { address, close } = await serveBuild();

const measured: { what: string; runs: Measured[] }[] = [];
for (const [what, place] of [
  ['first visit, demo filled in', '/?start=demo'],
  ['return visit', '/'],
] as const) {
  const runs: Measured[] = [];
  for (let run = 0; run < RUNS; run++) {
    const browser = await Browser.open(address, PHONE);
    if (place === '/') {
      await browser.goto('/?start=demo');
      await browser.sees('Maren');
    }
    await browser.goto(place);
    runs.push(await browser.driver.executeAsyncScript<Measured>(WHEN_SEEN));
    await browser.close();
  }
  measured.push({ what, runs });
}

/** Longest task on the page from the press on until the new answer is on screen, and when that was. */
const SAVE_AND_WATCH = `
  const done = arguments[0];
  const tasks = [];
  new PerformanceObserver((list) => tasks.push(...list.getEntries().map(({ duration }) => duration))).observe({ entryTypes: ['longtask'] });
  const pressed = performance.now();
  document.querySelector('[data-testid="save-reading"]').click();
  let seenAt = null;
  const look = () => {
    const shown = Number(/(\\d+) checks/.exec(document.body.innerText)?.[1]);
    if (shown > window.countedBefore && seenAt === null) {
      seenAt = performance.now();
      setTimeout(() => done({ longestMs: Math.max(0, ...tasks), answerMs: seenAt - pressed }), 300);
    } else if (seenAt === null) requestAnimationFrame(look);
  };
  look();
`;
const today = dayOfDate(new Date());
const demo = demoRecords(today);
const [head] = headsIn(demo);
if (!head) throw new Error('the demo has no head');
const recipes = Array.from({ length: 30 }, (_, index) =>
  testRecipe(`y${index}`, [
    ['200 ml rice water', '3 tbsp linseed, soaked', '100 ml oat milk'][index % 3] ?? '',
    ['1 tbsp honey', '1 egg yolk', '1 tbsp hydrolysed silk', '2 tsp castor oil'][index % 4] ?? '',
  ]),
);
const browser = await Browser.open(address, PHONE);
await browser.stores(
  snapshotOf(
    [...demo.filter(({ kind }) => kind === 'head'), ...recipes, ...fiveYears(head, recipes, today)],
    { effort: 'usual' },
  ),
);
await browser.goto('/hair');
await browser.sees(/\d+ checks/);
const saved: { longestMs: number; answerMs: number }[] = [];
for (let run = 0; run < RUNS; run++) {
  const counted = Number(/(\d+) checks/.exec(await browser.text())?.[1]);
  await browser.pressId('check-hair');
  await browser.pressAt(By.css('a[href="/hair/feel"]'));
  // Another one each time: the same reading twice is one reading.
  await browser.press(feelWords()[run % feelWords().length] ?? 'springy');
  await browser.driver.executeScript(`window.countedBefore = ${counted}`);
  saved.push(await browser.driver.executeAsyncScript(SAVE_AND_WATCH));
}

/** Script time on the page from a press on a place's link to its headline, with five years of records. */
const opened: { place: string; runs: number[] }[] = [];
for (const [place, headline] of [
  ['/', /./],
  ['/hair/log', /What was written down/],
] as const) {
  const runs: number[] = [];
  for (let run = 0; run < RUNS; run++) {
    await browser.pressAt(By.css('a[href="/hair"]'));
    await browser.driver.wait(async () => /checks/.test(await browser.text()), 10_000);
    const before = await browser.scriptSeconds();
    await browser.pressAt(By.css(`a[href="${place}"]`));
    await browser.driver.wait(
      async () =>
        headline.test(await browser.headline()) &&
        (await browser.driver.getCurrentUrl()) === new URL(place, address).href,
      10_000,
    );
    runs.push(1000 * ((await browser.scriptSeconds()) - before));
  }
  opened.push({ place, runs });
}
await browser.close();

/** Longest task on the page while the solver looks twelve weeks ahead in its worker, and when its plan stands. */
const WATCH_SOLVING = `
  const done = arguments[0];
  const tasks = [];
  new PerformanceObserver((list) => tasks.push(...list.getEntries().map(({ duration }) => duration))).observe({ entryTypes: ['longtask'] });
  const pressed = performance.now();
  [...document.querySelectorAll('[role="radio"]')].find(({ textContent }) => textContent === 'Twelve weeks').click();
  let begun = false;
  const look = () => {
    const text = document.body.innerText;
    begun ||= text.includes('Looking for a better plan');
    if (begun && !text.includes('Looking for a better plan')) {
      const answerMs = performance.now() - pressed;
      setTimeout(() => done({ longestMs: Math.max(0, ...tasks), answerMs }), 300);
    } else setTimeout(look, 20);
  };
  look();
`;
const planning = await Browser.open(address, WIDE);
await planning.opensDemo('/week', { effort: 'usual' });
// The search may take as long as it takes on this machine.
await planning.driver.manage().setTimeouts({ script: 300_000 });
await planning.sees(/The best plan for these weeks|a better one may exist/);
const solved = await planning.driver.executeAsyncScript<{ longestMs: number; answerMs: number }>(
  WATCH_SOLVING,
);
await planning.close();

/** Twenty lines, typed on at a person's pace: how long each key holds the page up, and all scripts that follow from it. */
const LINES = [
  '2 tbsp honey',
  '1 cup plain yogurt',
  'half a mango',
  '3 tbsp linseed, boiled, strained',
  '11 g gelatin, dissolved',
];
const KEYS = '\n2 tbsp sesame oil, wa';
const KEY_EVERY_MS = 350;
const typing = await Browser.open(address, PHONE);
await typing.opensDemo('/recipes/new');
await typing.write(
  'recipe-text',
  Array.from({ length: 20 }, (_, line) => LINES[line % LINES.length]).join('\n'),
);
await typing.sees('gelatin, dissolved');
const field = await typing.driver.findElement(By.css('[data-testid="recipe-text"]'));
await typing.driver.executeScript(`
  window.heldMs = [];
  for (const what of ['beforeinput', 'input']) {
    addEventListener(what, () => { if (what === 'beforeinput') window.keyAt = performance.now(); }, { capture: true });
    addEventListener(what, () => { if (what === 'input') window.heldMs.push(performance.now() - window.keyAt); });
  }
`);
const typedFrom = await typing.scriptSeconds();
for (const key of KEYS) {
  await field.sendKeys(key);
  await new Promise((resolve) => setTimeout(resolve, KEY_EVERY_MS));
}
const perKey = (1000 * ((await typing.scriptSeconds()) - typedFrom)) / KEYS.length;
const held = await typing.driver.executeScript<number[]>('return window.heldMs');
await typing.close();
close();

for (const { what, runs } of measured) {
  const times = runs.map(({ firstScreenMs }) => Math.round(firstScreenMs)).sort((a, b) => a - b);
  console.log(
    `${what}: median ${times[Math.floor(RUNS / 2)]} ms (${times[0]} to ${times.at(-1)}) over ${RUNS} runs, ${Math.round(runs[0]?.scriptKilobytes ?? 0)} KB of compressed JavaScript`,
  );
}
const longest = saved.map(({ longestMs }) => Math.round(longestMs)).sort((a, b) => a - b);
const answers = saved.map(({ answerMs }) => Math.round(answerMs)).sort((a, b) => a - b);
console.log(
  `with five years of readings, one more saved: longest task on the page ${longest.at(-1)} ms (0: none over 50), new answer after ${answers[Math.floor(RUNS / 2)]} ms (median of ${RUNS})`,
);
console.log(
  `twelve weeks of two heads, by the solver in its worker: ${Math.round(solved.answerMs)} ms, longest task on the page meanwhile ${Math.round(solved.longestMs)} ms (0: none over 50)`,
);
held.sort((a, b) => a - b);
console.log(
  `typed into a recipe of 20 lines: a key holds the page for ${held[Math.floor(held.length / 2)]?.toFixed(1)} ms (median of ${held.length}, at most ${held.at(-1)?.toFixed(1)}), with all that follows in slices ${perKey.toFixed(0)} ms of scripts`,
);
for (const { place, runs } of opened) {
  const times = runs.map((ms) => Math.round(ms)).sort((a, b) => a - b);
  console.log(
    `with five years of records, ${place} opened: ${times[Math.floor(RUNS / 2)]} ms of scripts (${times[0]} to ${times.at(-1)})`,
  );
}
