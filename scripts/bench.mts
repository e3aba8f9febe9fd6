/** Times the core on this machine. Medians; quote ratios of one run, not single times. */
import { classify } from '../src/core/classification';
import { headsIn, historyOf } from '../src/core/exchange';
import { estimateHair } from '../src/core/hair';
import { calendarDay } from '../src/core/measures';
import { planProblem, weekSearch } from '../src/core/planning';

import { demoRecords } from '../src/core/simulation';
import { parseRecipe } from '../src/core/parsing';

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
console.log(`verdict of a ${LINES.length}-line recipe: ${verdictMs.toFixed(2)} ms`);

const today = calendarDay('2026-11-25');
const records = demoRecords(today);
const head = headsIn(records)[0];
if (!head) throw new Error('the demo has no head');
const history = historyOf(records, head.headId);
console.log(`demo data: ${medianMs(5, () => demoRecords(today)).toFixed(0)} ms`);
const state = estimateHair(head, history, today);
console.log(
  `state from eight weeks: ${medianMs(20, () => estimateHair(head, history, today)).toFixed(1)} ms`,
);
for (const weeks of [1, 4, 12]) {
  const problem = planProblem(head, history, state, today, weeks);
  console.log(`plan of ${weeks} weeks: ${medianMs(5, () => weekSearch(problem)).toFixed(0)} ms`);
}
