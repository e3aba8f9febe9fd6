import { addDays, calendarDay } from '../../base/measures';
import { estimateHair } from '../../hair/estimation';
import type { HeadHistory } from '../../hair/history';
import type { AgreedAssignment } from '../../plan/agenda';
import { EMPTY_KITCHEN, planProblem, type Kitchen, type PlanProblem } from '../../plan/planning';
import type { Head, Reading, RecipeVersion } from '../../records/shapes';
import { testHead, testHistory, testReading, testRecipe, testSession, testStrand } from './records';

/** Made-up questions for the planner's tests; no product code uses them. A Sunday. */
export const FROM = calendarDay('2026-05-10');

const recipe = (recipeId: string, use: RecipeVersion['use'], ...lines: string[]): RecipeVersion =>
  testRecipe(recipeId, lines, { use });

export const STRONG = recipe('strong', 'mask', '12 g gelatin', '150 ml water', '1 tbsp plain conditioner');
export const LIGHT = recipe(
  'light',
  'mask',
  '200 ml rice water',
  '1 tbsp hydrolysed silk',
  '1 tsp plain conditioner',
);
export const CREAM = recipe(
  'cream',
  'mask',
  '3 tbsp linseed, soaked',
  '300 ml water',
  '1 tbsp honey',
  '3 tbsp plain conditioner',
);
export const BALM = recipe('balm', 'mask', '100 g plain conditioner', '1 tbsp glycerin');
export const OIL = recipe('oil', 'pre-poo', '3 tbsp sesame oil');
export const MIST = recipe('mist', 'rinse', '300 ml water', '2 tbsp nettle');
export const ALL = [STRONG, LIGHT, CREAM, OIL, MIST];

/** Used once, long ago: known to the head, and nothing of it is left in it. */
export const KNOWN = ['strong', 'light', 'cream', 'balm', 'oil', 'mist'].map((id) =>
  testSession(id, addDays(FROM, -60)),
);

export function strands(stretchedMm: number, releasedMm: number, snapped = false): Reading {
  const strand = snapped
    ? ({ outcome: 'snapped', region: null, restMm: 60, snappedMm: stretchedMm } as const)
    : testStrand(60, stretchedMm, releasedMm);
  return testReading(FROM, { strands: Array.from({ length: 5 }, () => strand) });
}

/** Gummy: it stretches by half and stays long. */
export const GUMMY = strands(90, 80);

export interface Asked {
  readonly history?: Partial<HeadHistory>;
  readonly head?: Partial<Head>;
  readonly weeks?: number;
  readonly kitchen?: Kitchen;
  readonly agreed?: readonly AgreedAssignment[];
  readonly from?: typeof FROM;
}

export function problemOf({
  history,
  head,
  weeks = 1,
  kitchen = EMPTY_KITCHEN,
  agreed = [],
  from = FROM,
}: Asked): PlanProblem {
  const known = testHistory({ recipes: ALL, sessions: KNOWN, ...history });
  const who = testHead(head);
  return planProblem(
    [{ head: who, history: known, state: estimateHair(who, known, from), agreed }],
    kitchen,
    from,
    weeks,
  );
}
