import { SIGNALS, type Estimate } from '../hair';
import { addDays, dayRange, daysBetween, formatDay, rounded, type CalendarDay } from '../measures';
import { forecastOn } from './forecast';
import {
  chanceTooFirm,
  daysSinceMoisture,
  daysSinceProtein,
  forbiddenBy,
  freeMinutesOn,
  minutesOf,
  type Draft,
} from './hardRules';
import type { Beat, Plan, PlanDay, PlanProblem, PrepTask, Reason, UnmetRule } from './plan';
import { RULES } from './rules';

/**
 * Turns drafts into a plan in words: beats with their reasons, preparation, forecast, and what could not be met.
 * @param isExact whether the planner has tried every allowed plan
 */
export function explained(problem: PlanProblem, drafts: readonly Draft[], isExact: boolean): Plan {
  const inOrder = [...drafts].sort((a, b) =>
    a.day < b.day ? -1 : a.day > b.day ? 1 : slotOrder(a) - slotOrder(b),
  );
  const beats = inOrder.map((draft) => beatOf(problem, inOrder, draft));
  const preparation = inOrder.flatMap((draft) => preparationOf(problem, inOrder, draft));
  const days = dayRange(problem.from, 7 * problem.weeks).map((day): PlanDay => ({
    day,
    freeMinutes: freeMinutesOn(problem, day),
    beats: beats.filter((beat) => beat.day === day),
    preparation: preparation.filter((task) => task.day === day),
    forecast: { day, ...forecastOn(problem, 'firmness', moving(inOrder), day) },
  }));
  return {
    headId: problem.head.headId,
    from: problem.from,
    weeks: problem.weeks,
    planner: 'week-search',
    gap: isExact ? 0 : null,
    headline: headlineOf(problem, beats),
    days,
    unmet: unmetRules(problem, inOrder),
  };
}

const SLOT_ORDER = { 'pre-poo': 0, main: 1, 'follow-up': 2, refresh: 3 } as const;
const slotOrder = (draft: Draft) => SLOT_ORDER[draft.slot];

/** A refresh is too small to move the forecast. */
function moving(drafts: readonly Draft[]): Draft[] {
  return drafts.filter((draft) => draft.slot !== 'refresh');
}

function beatOf(problem: PlanProblem, all: readonly Draft[], draft: Draft): Beat {
  const { treatment } = draft;
  return {
    day: draft.day,
    slot: draft.slot,
    recipeId: treatment.recipeId,
    name: treatment.name,
    kind: treatment.kind,
    strength: treatment.strength,
    minutes: minutesOf(draft),
    overnight: draft.overnight,
    reasons: reasonsFor(problem, all, draft),
  };
}

function reasonsFor(problem: PlanProblem, all: readonly Draft[], draft: Draft): Reason[] {
  switch (draft.slot) {
    case 'main':
      return mainReasons(problem, all, draft);
    case 'pre-poo':
      return [
        {
          code: 'pre-poo',
          text: 'Oil before the shampoo slows the water, so the strand swells and shrinks less.',
        },
      ];
    case 'follow-up':
      return [
        {
          code: 'moisture-after-protein',
          text: 'Moisture on the same day, because a strong protein comes before it.',
        },
      ];
    case 'refresh':
      return [{ code: RULES.refreshEvery.id, text: 'Some days since the last wash: a mist is enough.' }];
  }
}

function mainReasons(problem: PlanProblem, all: readonly Draft[], draft: Draft): Reason[] {
  const others = moving(all).filter(
    (other) => other.day <= draft.day && !(other.day === draft.day && other === draft),
  );
  const without = forecastOn(problem, 'firmness', others, draft.day);
  const withIt = forecastOn(problem, 'firmness', [...others, draft], draft.day);
  const reasons: Reason[] = [
    {
      code: 'lane',
      text: `Without it the hair would be ${placeInWords(without)} that day (${signed(without.mean)}); it should end ${placeInWords(withIt)} (${signed(withIt.mean)}).`,
    },
  ];
  const { treatment } = draft;
  const before = all.filter((other) => other.day < draft.day);
  const protein = daysSinceProtein(problem, before, draft.day);
  if (treatment.firms && Number.isFinite(protein)) {
    reasons.push({
      code: RULES.lightProteinGap.id,
      text: `The last protein is ${protein} days back; ${RULES.lightProteinGap.value} are needed.`,
    });
  }
  const moisture = daysSinceMoisture(problem, before, draft.day);
  if (treatment.moistens && moisture >= RULES.moistureWithin.value) {
    const text = Number.isFinite(moisture)
      ? `The last moisture is ${moisture} days back.`
      : 'No moisture treatment is on record yet.';
    reasons.push({ code: RULES.moistureWithin.id, text });
  }
  if (treatment.isNew)
    reasons.push({
      code: RULES.patchTest.id,
      text: 'New on this head: patch test first, 48 hours clear, and no other new one this week.',
    });
  reasons.push({
    code: 'free-time',
    text: `${formatDay(draft.day, 'EEEE')} has ${freeMinutesOn(problem, draft.day)} minutes free; this takes ${minutesOf(draft)}.`,
  });
  return reasons;
}

const FAR = 1.2;

/** "a little too soft": where an estimate lies on the firmness scale. */
export function placeInWords({ mean }: Pick<Estimate, 'mean'>): string {
  const { low, high } = SIGNALS.firmness.lane;
  if (low !== null && mean < low) return mean < -FAR ? 'much too soft' : 'a little too soft';
  if (high !== null && mean > high) return mean > FAR ? 'much too firm' : 'a little too firm';
  return 'in its lane';
}

function signed(value: number): string {
  const shown = rounded(value, 1);
  return shown > 0 ? `+${shown}` : String(shown).replace('-', '−');
}

/** Hours before bedtime hours are not planned: what takes this long is begun the day before. */
const SAME_DAY_HOURS = 4;

function preparationOf(problem: PlanProblem, all: readonly Draft[], draft: Draft): PrepTask[] {
  if (draft.slot === 'refresh') return [];
  const { treatment, day } = draft;
  const on = (before: number) => {
    const start = addDays(day, -before);
    return start < problem.from ? problem.from : start;
  };
  const task = (start: CalendarDay, text: string): PrepTask => ({
    day: start,
    text,
    forRecipeId: treatment.recipeId,
    forDay: day,
  });
  const lead = treatment.leadTasks.map(({ text, leadHours }) =>
    leadHours > SAME_DAY_HOURS
      ? task(on(1), `${text}: begin this evening, it takes ${leadHours} hours`)
      : task(
          day,
          `${text}: begin ${leadHours < 1 ? `${Math.round(leadHours * 60)} minutes` : `${leadHours} hours`} ahead`,
        ),
  );
  const isFirstUse =
    treatment.isNew &&
    !treatment.isTested &&
    !all.some((other) => other.treatment === treatment && other.day < day);
  return isFirstUse
    ? [task(on(RULES.patchTest.value), `Patch test of ${treatment.name} behind the ear`), ...lead]
    : lead;
}

function headlineOf(problem: PlanProblem, beats: readonly Beat[]): string {
  const first = beats.find((beat) => beat.slot === 'main');
  if (!first) return 'Nothing planned these days';
  const kind = {
    protein: 'Protein',
    moisture: 'Moisture',
    balanced: 'Balanced care',
    oil: 'Oil',
    rinse: 'A rinse',
  }[first.kind];
  const wait = daysBetween(problem.from, first.day);
  const when = wait === 0 ? 'today' : wait === 1 ? 'tomorrow' : `on ${formatDay(first.day, 'EEEE')}`;
  return `${kind} ${when}`;
}

function unmetRules(problem: PlanProblem, drafts: readonly Draft[]): UnmetRule[] {
  const unmet: UnmetRule[] = [];
  const masks = problem.treatments.filter((treatment) => treatment.use === 'mask');
  const add = (rule: string, text: string) => unmet.push({ rule, text });
  if (masks.length === 0) {
    add('no-recipe', 'There is no mask to plan with: save a recipe on the Bench.');
    return unmet;
  }
  const mostFree = Math.max(...problem.head.freeMinutes);
  const shortest = Math.min(...masks.map((treatment) => RULES.washMinutes.value + treatment.contactMinutes));
  if (mostFree < shortest) {
    const text =
      mostFree === 0
        ? 'No day of the week is free: set her free days under Heads.'
        : `No day is long enough: the shortest wash day takes ${shortest} minutes, the freest day has ${mostFree}.`;
    add('free-time', text);
    return unmet;
  }
  if (chanceTooFirm(problem, [], problem.from) > RULES.firmHold.value) {
    add(RULES.firmHold.id, 'Protein is held back until the hair is no longer too firm.');
  }
  const firmness = forecastOn(problem, 'firmness', [], problem.from);
  const plansProtein = drafts.some((draft) => draft.treatment.firms);
  if (firmness.mean < (SIGNALS.firmness.lane.low ?? 0) && !plansProtein) {
    add('protein-wanted', proteinWanted(problem, masks));
  }
  const last = addDays(problem.from, 7 * problem.weeks - 1);
  const moisture = daysSinceMoisture(problem, drafts, last);
  if (moisture > RULES.moistureWithin.value && !masks.some((treatment) => treatment.moistens)) {
    add(RULES.moistureWithin.id, 'No moisture treatment is saved: add one on the Bench.');
  }
  return unmet;
}

/** Why hair that is too soft gets no protein in this plan. */
function proteinWanted(problem: PlanProblem, masks: PlanProblem['treatments']): string {
  const firming = masks.filter((treatment) => treatment.firms);
  if (firming.length === 0)
    return 'The hair is too soft and no protein treatment is saved: add one on the Bench.';
  const last = addDays(problem.from, 7 * problem.weeks - 1);
  const rule = firming.map((treatment) => forbiddenBy(problem, [], last, treatment)).find(Boolean);
  const because = Object.values(RULES).find(({ id }) => id === rule);
  return because
    ? `The hair is too soft, but protein has to wait: ${because.why.charAt(0).toLowerCase()}${because.why.slice(1)}`
    : 'The hair is too soft, but no protein treatment fits the free days.';
}
