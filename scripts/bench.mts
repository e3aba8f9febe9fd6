/** Times the core on this machine. Medians; quote ratios of one run, not single times. */
import { classify } from '../src/core/recipe/classification';
import { shelfOf } from '../src/core/kitchen/batches';
import { headsIn, historyOf, larderOf } from '../src/core/hair/history';
import { packRecord, unpackRecord } from '../src/core/records/files';
import type { StoredRecord } from '../src/core/records/shapes';
import { planProblemFrom } from '../src/core/plan/question';
import { estimateHair } from '../src/core/hair/estimation';
import { addDays, calendarDay } from '../src/core/base/measures';
import { liveRecords } from '../src/core/records/log';
import { parseRecipe, RecipeSearch } from '../src/core/recipe/parsing';
import { readFileSync } from 'node:fs';
import loadHighs from 'highs';
import { solverFrom } from '../src/core/base/programme';
import { effortLimits } from '../src/core/plan/agenda';
import { solveSchedule, searchSchedule } from '../src/core/plan/scheduling';
import { fiveYears } from '../src/core/lab/calibration';
import { demoRecords } from '../src/core/lab/simulation';
import { testRecipe, testSession } from '../src/core/lab/testing';

function medianMs(runs: number, work: () => unknown): number {
  const times = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return times[Math.floor(runs / 2)] ?? 0;
}

const LINES = [
  '2 tbsp soaked linseed',
  'half a papaya',
  '1 tsp honey',
  '100 ml oat milk',
  '1/2 cup plain yogurt',
  '1 egg yolk',
  '3 tbsp aloe gel',
  '12 okra pods, boiled',
  '2 cups water',
  '1 packet gelatin (7 g)',
  '1 tbsp coconut oil',
  '2 tsp castor oil',
  '1 tbsp hydrolysed silk',
  '4 tbsp plain conditioner',
  'juice of one lemon',
  '1,5 tbsp glycerin',
  '2 green tea bags',
  '1 heaped tbsp amla powder',
  '3 drops lavender essential oil',
  '½ avocado',
];
const text = LINES.join('\n');
const verdictMs = medianMs(200, () => {
  const recipe = parseRecipe(text);
  if (!recipe.ok || !classify(recipe.value).ok) throw new Error('the bench recipe cannot be read');
});
console.log(
  `verdict of a ${LINES.length}-line recipe: ${verdictMs.toFixed(2)} ms, ${Math.round(1000 / verdictMs)} recipes a second`,
);

/** Tellings as they are kept, in seven languages, cut after so many words. */
const WORDS = 2000;
/** A worker that was just started compiles while it reads: a reading takes a fifth of the first once it is done. */
const READINGS = 50;
const tellings = new URL('../src/core/recipe/parsing/tellings/thirteenth.json', import.meta.url);
const telling = (JSON.parse(readFileSync(tellings, 'utf8')) as { text: string }[])
  .map(({ text: told }) => told)
  .join(' ')
  .split(/\s+/)
  .slice(0, WORDS)
  .join(' ');
for (const [what, said] of [
  [`${LINES.length} lines`, text],
  [`${WORDS} words`, telling],
  [`${WORDS} words in one sentence`, telling.replace(/[.!?;]/g, ',')],
] as const) {
  const first = medianMs(1, () => parseRecipe(said));
  medianMs(READINGS, () => parseRecipe(said));
  console.log(
    `reading ${what}: ${medianMs(READINGS, () => parseRecipe(said)).toFixed(1)} ms after ${READINGS} readings; the first ${first.toFixed(0)} ms`,
  );
}

const today = calendarDay('2026-11-25');
const records = demoRecords(today);
const head = headsIn(records)[0];
if (!head) throw new Error('the demo has no head');
const history = historyOf(records, head.headId);
console.log(`demo data: ${medianMs(5, () => demoRecords(today)).toFixed(0)} ms`);
console.log(
  `state from eight weeks: ${medianMs(20, () => estimateHair(head, history, today)).toFixed(1)} ms`,
);
const thirty = Array.from({ length: 30 }, (_, index) =>
  testRecipe(
    `y${index}`,
    [0, 3, 7, 12].map((step) => LINES[(index + step) % LINES.length] ?? ''),
  ),
);
const years = [
  ...records.filter(({ kind }) => kind === 'head'),
  ...thirty,
  ...fiveYears(head, thirty, today),
];
const longHistory = historyOf(years, head.headId);
console.log(
  `state from five years, ${longHistory.sessions.length} sessions with 30 recipes, ${longHistory.readings.length} readings: ${medianMs(9, () => estimateHair(head, longHistory, today)).toFixed(0)} ms`,
);
// What happens between opening the page and the first answer: on the page what is kept is read and checked and put in
// order; the state and the plan come from workers.
const kept = years.map(packRecord);
const readIn = () =>
  kept.flatMap((text) => {
    const record = unpackRecord(text);
    return record.ok ? [record.value] : [];
  });
const opened = readIn();
if (opened.length !== years.length) throw new Error('not everything that was kept is read back');
const readMs = medianMs(9, readIn);
const orderMs = medianMs(9, () => {
  larderOf(opened, liveRecords(opened));
  historyOf(opened, head.headId);
});
const openedHistory = historyOf(opened, head.headId);
const openedState = estimateHair(head, openedHistory, today);
const stateMs = medianMs(5, () => estimateHair(head, openedHistory, today));
const planMs = medianMs(5, () =>
  searchSchedule(planProblemFrom(opened, [{ head, state: openedState }], today, 1)),
);
console.log(
  `start-up with five years, ${opened.length} records: read and checked ${readMs.toFixed(0)} ms, put in order ${orderMs.toFixed(0)} ms; in workers state ${stateMs.toFixed(0)} ms, first plan ${planMs.toFixed(0)} ms`,
);
// A head with time on every day and fifteen recipes that it has used: more than the demo's.
const fifteen = thirty.slice(0, 15);
const busy = { ...head, freeMinutes: [240, 200, 200, 200, 200, 200, 240] };
const busyRecords: StoredRecord[] = [
  ...records.filter(({ kind }) => kind !== 'recipe' && kind !== 'head' && kind !== 'session'),
  busy,
  ...fifteen,
  ...fifteen.map(({ recipeId }, index) =>
    testSession(recipeId, addDays(today, -40 - index), { headId: head.headId }),
  ),
];
const busyState = estimateHair(busy, historyOf(busyRecords, head.headId), today);
const solve = solverFrom(await loadHighs());
for (const weeks of [1, 4, 12]) {
  const problem = planProblemFrom(busyRecords, [{ head: busy, state: busyState }], today, weeks);
  const first = medianMs(3, () => searchSchedule(problem));
  let gap: number | null = null;
  const best = medianMs(3, () => {
    gap = solveSchedule(problem, solve, effortLimits('usual', weeks)).plans[0]?.gap ?? null;
  });
  console.log(
    `plan of ${weeks} weeks, 15 recipes, every day free: first answer ${first.toFixed(0)} ms, with the solver ${best.toFixed(0)} ms, gap ${(100 * (gap ?? NaN)).toFixed(2)} %`,
  );
}

// Years of recipes: ten thousand, each of four of the lines above, and a thousand batches of them.
const RECIPES = 10_000;
const BATCHES = 1000;
const models = LINES.map((_, index) =>
  testRecipe(
    `m${index}`,
    [0, 3, 7, 12].map((step) => LINES[(index + step) % LINES.length] ?? ''),
  ),
);
const NAMES = ['Harbour', 'Kiln', 'Quarry', 'Ferry', 'Orchard', 'Lantern', 'Slate', 'Meadow'];
const KINDS = ['mask', 'gel', 'cream', 'paste', 'rinse'];
const many: StoredRecord[] = Array.from({ length: RECIPES }, (_, index) => {
  const model = models[index % models.length] ?? testRecipe('m', LINES);
  const name = `${NAMES[index % NAMES.length]} ${KINDS[index % KINDS.length]} ${index}`;
  return { ...model, id: `many-${index}`, recipeId: `many-${index}`, name };
});
const batches: StoredRecord[] = Array.from({ length: BATCHES }, (_, index) => ({
  kind: 'batch',
  id: `batch-${index}`,
  recordedAt: '2026-01-01T10:00:00Z',
  batchId: `batch-${index}`,
  recipeId: `many-${index}`,
  recipeVersion: 1,
  madeOn: addDays(today, -(index % 30)),
  weighed: [],
  waterAddedGrams: 0,
  portions: 2,
  portionGrams: 100,
  place: 'fridge',
  note: '',
}));
const all = [...many, ...batches];
const packed = all.map(packRecord);
const timed = (what: string, runs: number, work: () => unknown) =>
  console.log(`${what}: ${medianMs(runs, work).toFixed(1)} ms`);
console.log(`with ${RECIPES} recipes and ${BATCHES} batches:`);
timed('  checking them when they are read', 3, () => packed.forEach((text) => unpackRecord(text)));
timed('  those that count today', 5, () => liveRecords(all));
const live = liveRecords(all);
timed('  the larder', 5, () => larderOf(all, live));
const larder = larderOf(all, live);
timed('  the shelf', 5, () => shelfOf(batches as Parameters<typeof shelfOf>[0], [], larder, today));
timed('  reading a 20-line recipe beside them', 50, () => parseRecipe(text, { larder }));
const started = performance.now();
const search = await RecipeSearch.over(larder.recipes);
console.log(`  the search index, in small steps: ${(performance.now() - started).toFixed(0)} ms`);
for (const words of ['kiln', 'harbor gel', 'gelatin honey', 'quarry paste 4242', 'zzz'])
  timed(`  search “${words}” (${search.find(words).length} found)`, 30, () => search.find(words));
