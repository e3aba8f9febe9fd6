import { classifyLines, classifyVersion, doseOf, STRONG_FROM, type Verdict } from '../classification';
import type { Head, HairState, HeadHistory } from '../hair';
import type { CalendarDay } from '../measures';
import { SIGNAL_IDS, type SignalId } from '../readings';
import { newestVersions, stepsBefore, weighedLines, type Larder, type RecipeVersion } from '../recipes';
import { cautionsFor, patchTestOf } from '../safety';
import type { Session } from '../sessions';
import type { PastUse, PlanProblem, Spacing, Treatment } from './plan';

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
    past: pastUses(history.sessions, head, history.larder),
  };
}

/** What each session was, by the version that it used; none where nothing is known of that version any more. */
function pastUses(sessions: readonly Session[], head: Head, larder: Larder): PastUse[] {
  const known = new Map<RecipeVersion, Spacing | undefined>();
  return sessions.flatMap(({ day, recipeId, recipeVersion }): PastUse[] => {
    const version = larder.recipe(recipeId, recipeVersion) ?? larder.lastVersion(recipeId);
    if (!version) return [];
    if (!known.has(version)) known.set(version, spacingUsed(version, head, larder));
    const spacing = known.get(version);
    return spacing ? [{ day, ...spacing }] : [];
  });
}

function spacingUsed(version: RecipeVersion, head: Head, larder: Larder): Spacing | undefined {
  const verdict = classifyVersion(version, head.school, larder);
  return verdict.ok ? spacingOf(version, verdict.value) : undefined;
}

function spacingOf({ use }: RecipeVersion, verdict: Verdict): Spacing {
  return {
    use,
    firms: firms(verdict),
    strong: verdict.kind === 'protein' && verdict.strength >= STRONG_FROM,
    moistens: verdict.kind === 'moisture' || verdict.kind === 'balanced',
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
      ...spacingOf(version, verdict.value),
      kind,
      strength,
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
