import { classifyLines, doseOf, STRONG_FROM, type Verdict } from '../classification';
import type { Head, HairState, HeadHistory } from '../hair';
import type { CalendarDay } from '../measures';
import { SIGNAL_IDS, type SignalId } from '../readings';
import { newestVersions, stepsBefore, weighedLines, type RecipeVersion } from '../recipes';
import { cautionsFor, patchTestOf } from '../safety';
import type { PlanProblem, Treatment } from './plan';

/** A firm push from which even a balanced treatment counts as protein for spacing (working assumption). */
const FIRMS_FROM_PUSH = 0.45;

/** Puts the planner's question together from what is known of a head. */
export function planProblem(
  head: Head,
  history: HeadHistory,
  state: HairState,
  from: CalendarDay,
  weeks: number,
): PlanProblem {
  return {
    head,
    from,
    weeks,
    asOf: state.asOf,
    signals: state.signals,
    treatments: newestVersions(history.recipes).flatMap((version) =>
      treatmentOf(version, head, history, state),
    ),
    past: history.sessions
      .map(({ day, recipeId }) => ({ day, recipeId }))
      .sort((a, b) => (a.day < b.day ? -1 : 1)),
  };
}

/** None for a recipe that cannot be weighed or that a caution stops. */
function treatmentOf(
  version: RecipeVersion,
  head: Head,
  history: HeadHistory,
  state: HairState,
): Treatment[] {
  const weighed = weighedLines(version.lines, history.larder);
  const verdict = weighed.ok ? classifyLines(weighed.value, head.school) : weighed;
  if (!weighed.ok || !verdict.ok) return [];
  const lines = weighed.value;
  const texts = version.lines.map(({ text }) => text);
  if (cautionsFor(lines, verdict.value, head, texts).some(({ level }) => level === 'stop')) return [];
  const patchTest = patchTestOf(version.recipeId, head.headId, history.patchTests);
  if (patchTest?.outcome === 'reacted') return [];
  const { kind, strength } = verdict.value;
  return [
    {
      recipeId: version.recipeId,
      version: version.version,
      name: version.name,
      use: version.use,
      kind,
      strength,
      firms: firms(verdict.value),
      strong: kind === 'protein' && strength >= STRONG_FROM,
      moistens: kind === 'moisture' || kind === 'balanced',
      contactMinutes: version.contactMinutes,
      warmth: version.warmth,
      leadTasks: stepsBefore(lines),
      effect: effectOfUse(version, state, head),
      isTested: patchTest?.outcome === 'clear',
      isNew: !history.sessions.some((session) => session.recipeId === version.recipeId),
    },
  ];
}

function firms(verdict: Verdict): boolean {
  return verdict.kind === 'protein' || (verdict.kind === 'balanced' && verdict.push.firm >= FIRMS_FROM_PUSH);
}

function effectOfUse(version: RecipeVersion, state: HairState, head: Head): Treatment['effect'] {
  const dose = doseOf(version.contactMinutes, version.warmth, head.porosityGuess);
  return Object.fromEntries(
    SIGNAL_IDS.map((signal) => {
      const response = state.signals[signal].responses.find(({ recipeId }) => recipeId === version.recipeId);
      return [signal, { mean: dose * (response?.mean ?? 0), sd: dose * (response?.sd ?? 0) }];
    }),
  ) as Record<SignalId, Treatment['effect'][SignalId]>;
}
