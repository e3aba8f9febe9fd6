import { t } from '@lingui/core/macro';
import { addDays, daysBetween, sum, type CalendarDay } from '../../base/measures';
import { firstUses, type HeadHistory } from '../../hair/history';
import { expectedMaskGrams, isMostlyGuess, type HairState } from '../../hair/state';
import { armsAhead, readingsFor, trialState } from '../../hair/trials';
import { shelfOf, type ShelfItem } from '../../kitchen/batches';
import { leadTasksOf } from '../../kitchen/methods';
import { costOf } from '../../kitchen/pantry';
import { doseOf } from '../../recipe/classification';
import { newestVersions, remainingGrams, usesOf, type WeighedLine } from '../../recipe/larder';
import { judge, patchTestOf, patchTestState } from '../../recipe/safety';
import {
  SIGNAL_IDS,
  type Batch,
  type BatchEvent,
  type Decision,
  type Head,
  type PantryItem,
  type RecipeVersion,
  type Rhythm,
  type Slot,
  type Trial,
} from '../../records/shapes';
import {
  choicesOf,
  contactAt,
  countsFor,
  PLAIN_WASH_ID,
  PLAN_RULES,
  rulesOfHead,
  weightsInForce,
  type AgreedAssignment,
  rhythmLine,
  rhythmOf,
  rhythmState,
  SLOT_OF_USE,
  slotsOfUses,
  windowsOf,
  type RhythmState,
  type RhythmWindow,
  type RuleValues,
  type WashOf,
} from '../agenda';
import { pastUses, PLAIN, spacingOf } from './pastUses';
import type {
  HeadProblem,
  PastUse,
  PlanProblem,
  ReadyBatch,
  RhythmDemand,
  Treatment,
  TrialDemand,
} from './plan';

/** Humectants, g in 100 g, from which the air of the day matters (working assumption). */
const HUMECTANT_FROM = 2;

/** No rule looks further back than this. */
const REMEMBERED_DAYS = 400;

/** What is made and what it is made of, shared by all heads. */
export interface Kitchen {
  readonly batches: readonly Batch[];
  readonly batchEvents: readonly BatchEvent[];
  readonly pantry: ReadonlyMap<string, PantryItem>;
}

export const EMPTY_KITCHEN: Kitchen = { batches: [], batchEvents: [], pantry: new Map() };

/** A head, and what is known of it. */
export interface PlannedHead {
  readonly head: Head;
  readonly history: HeadHistory;
  readonly state: HairState;
  /** What was agreed before, so that little of it changes. */
  readonly agreed?: readonly AgreedAssignment[];
}

/** Puts the planner's question together from what is known of the heads that one person looks after. */
export function planProblem(
  heads: readonly PlannedHead[],
  kitchen: Kitchen,
  from: CalendarDay,
  weeks: number,
): PlanProblem {
  return { from, weeks, heads: heads.map((planned) => headProblem(planned, kitchen, from, weeks)) };
}

function headProblem(planned: PlannedHead, kitchen: Kitchen, from: CalendarDay, weeks: number): HeadProblem {
  const { head, history, state, agreed = [] } = planned;
  const choices = choicesOf(history.planSettings, head.headId);
  const rules = rulesOfHead(choices, history.washDays);
  const shelf =
    choices.leftovers === 'fresh'
      ? []
      : shelfOf(kitchen.batches, kitchen.batchEvents, history.larder, from).filter(
          ({ state: condition }) => condition === 'good' || condition === 'use-first',
        );
  const past = pastUses(history, head);
  const states = history.rhythms.map((rhythm) =>
    rhythmState(rhythm, countedDays(rhythm.of, past), from, {
      styles: history.occasions,
      washes: washesOf(rhythm.of, past),
    }),
  );
  const treatments = [
    ...newestVersions(history.recipes).flatMap((version) =>
      treatmentOf(version, { head, history, state, shelf, kitchen, rules, from }),
    ),
    plainWash(from),
  ];
  return {
    head,
    agreed,
    choices,
    rules,
    weights: weightsInForce(choices),
    lastReading: lastReadingOf(history, from),
    signals: state.signals,
    asOf: state.asOf,
    past: past.filter(({ day }) => day > addDays(from, -REMEMBERED_DAYS)),
    firstUses: firstUses(history.sessions)
      .map(({ day }) => day)
      .filter((day) => day > addDays(from, -30)),
    treatments,
    occasions: history.occasions,
    decisions: history.decisions.filter((decision) => decision.day >= from && !isDone(decision, past)),
    trial: trialDemand(history, from),
    rhythms: rhythmDemands(states, { past, history, treatments }, from, weeks),
    rhythmStates: states,
  };
}

/** What she put somewhere and has done there since is not to be done once more. */
function isDone({ what, day, recipeId }: Decision, past: readonly PastUse[]): boolean {
  return what === 'place' && past.some((use) => use.day === day && use.recipeId === recipeId);
}

function lastReadingOf({ readings }: HeadHistory, from: CalendarDay): CalendarDay | null {
  const days = readings.map(({ day }) => day).filter((day) => day <= from);
  return days.length === 0 ? null : days.reduce((last, day) => (day > last ? day : last));
}

interface Around extends Omit<PlannedHead, 'agreed'> {
  readonly shelf: readonly ShelfItem[];
  readonly kitchen: Kitchen;
  readonly rules: RuleValues;
  readonly from: CalendarDay;
}

/** None for a recipe that cannot be weighed or that a caution stops. */
function treatmentOf(version: RecipeVersion, around: Around): Treatment[] {
  const { head, history, state, shelf, kitchen, rules, from } = around;
  const judged = judge(version.lines, head, history.larder, { strained: version.strained });
  if (!judged.ok || judged.value.stops.length > 0) return [];
  // A scalp that is ill or sore is a doctor's, not an oil's.
  if (version.use === 'scalp-oil' && head.health.includes('scalp-condition')) return [];
  const { lines, verdict } = judged.value;
  const test = patchTestOf(version.recipeId, head.headId, history.patchTests);
  if (test?.outcome === 'reacted') return [];
  const { kind, strength, loads } = verdict;
  const lead = leadTasksOf(version, history.larder);
  const isNew = !history.sessions.some((session) => session.recipeId === version.recipeId);
  const response = state.signals.firmness.responses.find(({ recipeId }) => recipeId === version.recipeId);
  return [
    {
      recipeId: version.recipeId,
      version: version.version,
      name: version.name,
      ...spacingOf(version, verdict),
      uses: usesOf(version),
      kind,
      strength,
      ...contactAt(version, head, history.lacks),
      leadTasks: lead.tasks,
      amount: 1,
      doseShare: 1,
      makeMinutes: lead.handsMinutes,
      cost: costOfUse(lines, head, kind === 'oil', kitchen),
      batches: batchesOf(version.recipeId, shelf),
      humectant: loads.humectant >= HUMECTANT_FROM,
      effect: effectOfUse(version, state, head),
      isGuess: response === undefined || isMostlyGuess(response),
      isNew,
      ...patchTestState(test, !isNew, from, rules.patchTest ?? PLAN_RULES.patchTest.value),
    },
  ];
}

/** Null where nothing of it has a price; what has none beside others is taken as free. */
function costOfUse(
  lines: readonly WeighedLine[],
  head: Head,
  isOil: boolean,
  { pantry }: Kitchen,
): number | null {
  const cost = costOf(lines, pantry);
  const made = sum(lines.map(remainingGrams));
  if (cost.parts.length === 0 || made <= 0) return null;
  return (cost.total * expectedMaskGrams(head, isOil ? 'oil' : 'mask', []).grams) / made;
}

function batchesOf(recipeId: string, shelf: readonly ShelfItem[]): ReadyBatch[] {
  return shelf
    .filter(({ batch, left }) => batch.recipeId === recipeId && left >= 1)
    .map(({ batch, left, useBy }) => ({ batchId: batch.batchId, portions: Math.floor(left), useBy }));
}

function effectOfUse(version: RecipeVersion, state: HairState, head: Head): Treatment['effect'] {
  const dose = doseOf(version.contactMinutes, version.warmth, head.porosityGuess);
  return Object.fromEntries(
    SIGNAL_IDS.map((signal) => {
      const response = state.signals[signal].responses.find(({ recipeId }) => recipeId === version.recipeId);
      return [
        signal,
        {
          mean: dose * (response?.mean ?? 0),
          sd: dose * (response?.sd ?? 0),
        },
      ];
    }),
  ) as Treatment['effect'];
}

const NO_EFFECT: Treatment['effect'] = {
  firmness: { mean: 0, sd: 0 },
  breakage: { mean: 0, sd: 0 },
  porosity: { mean: 0, sd: 0 },
};

function plainWash(from: CalendarDay): Treatment {
  return {
    ...PLAIN,
    uses: ['mask'],
    recipeId: PLAIN_WASH_ID,
    version: 1,
    name: t`A wash without a treatment`,
    kind: 'rinse',
    strength: 0,
    contactMinutes: 0,
    warmth: 'room',
    amount: 1,
    leadTasks: [],
    makeMinutes: 0,
    cost: null,
    batches: [],
    humectant: false,
    effect: NO_EFFECT,
    isGuess: false,
    isNew: false,
    patchTest: 'not-needed',
    allowedFrom: from,
  };
}

/** Of several trials that run, the one that began first. */
function trialDemand(history: HeadHistory, from: CalendarDay): TrialDemand | null {
  for (const trial of history.trials) {
    const state = trialState(trial, history.trialWashes, readingsFor(trial, history), from);
    if (state.stage.what === 'over') continue;
    return {
      trialId: trial.trialId,
      recipeIds: armsAhead(state).map((arm) => recipeOfArm(trial, trial.sides ? 'a' : arm)),
      from: state.stage.from > from ? state.stage.from : from,
      washoutDays: trial.washoutDays,
      endsBy: trial.endsBy,
    };
  }
  return null;
}

const recipeOfArm = (trial: Trial, arm: 'a' | 'b') => (arm === 'a' ? trial.recipeId : trial.againstId);

/** Days on which something was done that a rhythm is about. */
function countedDays(of: Rhythm['of'], past: readonly PastUse[]): CalendarDay[] {
  return [...new Set(past.filter((use) => countsFor(of, use)).map(({ day }) => day))].sort();
}

/** The washes that were done, and whether it went with each: on its day, or for the night before. */
function washesOf(of: Rhythm['of'], past: readonly PastUse[]): WashOf[] {
  const done = new Set(countedDays(of, past));
  const days = [...new Set(past.filter(({ use }) => use === 'mask').map(({ day }) => day))].sort();
  return days.map((day) => ({ day, hadIt: done.has(day) || done.has(addDays(day, -1)) }));
}

interface RhythmFacts {
  readonly past: readonly PastUse[];
  readonly history: HeadHistory;
  readonly treatments: readonly Treatment[];
}

/** What the rhythms that still run ask of these days. */
function rhythmDemands(
  states: readonly RhythmState[],
  { past, history, treatments }: RhythmFacts,
  from: CalendarDay,
  weeks: number,
): RhythmDemand[] {
  const last = addDays(from, 7 * weeks - 1);
  return states
    .filter(({ over }) => !over)
    .map(({ rhythm, done: times }): RhythmDemand => {
      const doneOn = countedDays(rhythm.of, past);
      const name = rhythmOf(rhythm, (recipeId) => history.larder.recipeName(recipeId));
      let left = rhythm.times === null ? Infinity : rhythm.times - times;
      const windows = windowsOf(rhythm, last, doneOn, history.occasions)
        .filter((window) => window.to >= from)
        .map((window) => {
          const had = doneOn.filter((day) => day >= window.from && day <= window.to).length;
          const wanted = Math.min(left, Math.max(0, asFarAs(window, last) - had));
          left -= wanted;
          return { ...window, wanted };
        });
      return {
        rhythm,
        says: `${name}: ${rhythmLine(rhythm, from)}`,
        windows,
        slots: slotsOf(rhythm.of, treatments),
        exact: 'recipeId' in rhythm.of && rhythm.when.every !== 'wash' && rhythm.when.every !== 'style',
      };
    });
}

/** Of a stretch that goes on after the plan, the share that lies within it; one that asks for one thing only can wait. */
function asFarAs({ from, to, wanted }: RhythmWindow, last: CalendarDay): number {
  if (to <= last) return wanted;
  return Math.floor((wanted * (daysBetween(from, last) + 1)) / (daysBetween(from, to) + 1));
}

/** Where what a rhythm is about can stand in a plan. */
function slotsOf(of: Rhythm['of'], treatments: readonly Treatment[]): Slot[] {
  if ('recipeId' in of) {
    const uses = treatments.find(({ recipeId }) => recipeId === of.recipeId)?.uses ?? [];
    return slotsOfUses(uses);
  }
  switch (of.sort) {
    case 'main':
    case 'strong-protein':
      return ['main'];
    case 'protein':
      return ['main', 'pre-poo'];
    case 'moisture':
      return ['main', 'follow-up', 'pre-poo'];
    default:
      return [SLOT_OF_USE[of.sort]];
  }
}
