import { daysBetween, weekdayOf, type CalendarDay } from '../../base/measures';
import { strandsTogether } from '../../hair/checks';
import { estimateHair } from '../../hair/estimation';
import { PLAN_RULES, USUAL_CHOICES } from '../../plan/agenda';
import { planProblem } from '../../plan/planning';
import { TODAY, todayOptions } from '../../plan/scheduling';
import type { Verdict } from '../../recipe/classification';
import type { PlanSettings, RecipeVersion } from '../../records/shapes';
import { STAMP } from '../testing';
import type { Life, Use } from './life';

/** What somebody does on a free day, from what is written down by that morning. */
export type Policy = (life: Life, day: CalendarDay) => readonly Use[];

export const POLICY_IDS = [
  'today',
  'today-closer',
  'strands-spaced',
  'strands',
  'feel',
  'calendar',
  'alternating',
  'nothing',
] as const;
export type PolicyId = (typeof POLICY_IDS)[number];

export const POLICY_WORDS: Readonly<Record<PolicyId, string>> = {
  today: 'what the tool says today',
  'today-closer': 'the same, where she lets protein come every third day',
  'strands-spaced': 'answer today’s strands, within the tool’s spacing',
  strands: 'answer today’s strands, with their best dead zone',
  feel: 'answer today’s feel',
  calendar: 'protein every six weeks, moisture weekly',
  alternating: 'protein and moisture in turn, weekly',
  nothing: 'nothing',
};

/** Firmness within which the habit that answers strands leaves the hair alone; found on seeds 101 to 160. */
export const DEAD_ZONE = 0.6;

const isMoisture = ({ kind }: Verdict) => kind === 'moisture';
const isProtein = ({ kind }: Verdict) => kind === 'protein';
const isStrong = (verdict: Verdict) => isProtein(verdict) && verdict.strength >= 3;
const isLight = (verdict: Verdict) => isProtein(verdict) && verdict.strength < 3;

function first({ seeded: { recipes, verdicts } }: Life, is: (verdict: Verdict) => boolean) {
  return recipes.find(({ recipeId }) => {
    const verdict = verdicts.get(recipeId);
    return verdict !== undefined && is(verdict);
  });
}

const asWritten = (day: CalendarDay, recipes: readonly (RecipeVersion | undefined)[]): Use[] =>
  recipes.flatMap((recipe) =>
    recipe
      ? [{ day, recipeId: recipe.recipeId, minutes: recipe.contactMinutes, warmth: recipe.warmth, amount: 1 }]
      : [],
  );

/** Protein to hair that is too soft, moisture to hair that is too firm, nothing in between. */
function answered(life: Life, day: CalendarDay, firmness: number, deadZone: number): Use[] {
  if (firmness < -deadZone) return asWritten(day, [first(life, isLight) ?? first(life, isProtein)]);
  return firmness > deadZone ? asWritten(day, [first(life, isMoisture)]) : [];
}

const lastUse = (life: Life) => life.sessions.at(-1)?.day;
const sinceWash = (life: Life, day: CalendarDay) => daysBetween(lastUse(life) ?? day, day);

const HABITS: Readonly<Record<Exclude<PolicyId, 'today' | 'today-closer'>, Policy>> = {
  'strands-spaced': (life, day) => spaced(life, day, answeringStrands(DEAD_ZONE)(life, day)),
  strands: (life, day) => answeringStrands(DEAD_ZONE)(life, day),
  feel: (life, day) => answered(life, day, life.readings.at(-1)?.feel ?? 0, 0.5),
  calendar: (life, day) => {
    if (sinceWash(life, day) < 6) return [];
    const strong = first(life, isStrong) ?? first(life, isProtein);
    const last = life.sessions.findLast(({ recipeId }) => recipeId === strong?.recipeId);
    const isDue = last === undefined || daysBetween(last.day, day) >= 42;
    return asWritten(day, isDue ? [strong, first(life, isMoisture)] : [first(life, isMoisture)]);
  },
  alternating: (life, day) => {
    if (sinceWash(life, day) < 6) return [];
    const light = first(life, isLight) ?? first(life, isProtein);
    const wasLight = life.sessions.at(-1)?.recipeId === light?.recipeId;
    return asWritten(day, [wasLight ? first(life, isMoisture) : light]);
  },
  nothing: () => [],
};

/** What the tool’s rules on spacing leave of a habit that does whole doses. */
function spaced(life: Life, day: CalendarDay, uses: readonly Use[]): readonly Use[] {
  const { verdicts } = life.seeded;
  const { washGap, mainsPerWeek, lightProteinGap } = PLAN_RULES;
  const ages = life.sessions.map((session) => ({ ...session, ago: daysBetween(session.day, day) }));
  const isFirm = (recipeId: string) => isProtein(verdicts.get(recipeId) as Verdict);
  const isTooSoon =
    ages.some(({ ago }) => ago < washGap.value) ||
    new Set(ages.filter(({ ago }) => ago < 7).map(({ ago }) => ago)).size >= mainsPerWeek.value ||
    (uses.some(({ recipeId }) => isFirm(recipeId)) &&
      ages.some(({ recipeId, ago }) => ago < lightProteinGap.value && isFirm(recipeId)));
  return isTooSoon ? [] : uses;
}

const answeringStrands =
  (deadZone: number): Policy =>
  (life, day) => {
    const last = life.readings.findLast(({ strands }) => strands.length > 0);
    return last ? answered(life, day, strandsTogether(last.strands).firmness, deadZone) : [];
  };

/** As the tool decides a day that is free. */
const decidingToday =
  (weights = TODAY, rules: PlanSettings['rules'] = {}): Policy =>
  (life, day) => {
    const { head, kitchen } = life.seeded;
    const history = { ...life.history(), planSettings: [settingsOf(head.headId, rules)] };
    const state = estimateHair(head, history, day);
    const problem = planProblem([{ head, history, state }], kitchen, day, 1);
    const [best] = todayOptions(problem, 0, weights);
    return (best?.drafts ?? []).map(({ recipeId, treatment }) => ({
      day,
      recipeId,
      minutes: treatment.contactMinutes,
      warmth: treatment.warmth,
      amount: treatment.amount,
    }));
  };

function settingsOf(headId: string, rules: PlanSettings['rules']): PlanSettings {
  return { ...STAMP, ...USUAL_CHOICES, kind: 'plan-settings', id: 'rules', headId, rules };
}

const CLOSER = { [PLAN_RULES.lightProteinGap.id]: 3 };

export function policyOf(id: PolicyId): Policy {
  if (id === 'today') return decidingToday();
  return id === 'today-closer' ? decidingToday(TODAY, CLOSER) : HABITS[id];
}

export const isFree = ({ seeded: { head } }: Life, day: CalendarDay) =>
  (head.freeMinutes[weekdayOf(day)] ?? 0) > 0;
