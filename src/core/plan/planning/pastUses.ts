import type { HeadHistory } from '../../hair/history';
import { sessionDose } from '../../hair/state';
import { classifyVersion, doseOf, hasStrongProtein, type Verdict } from '../../recipe/classification';
import type { Larder } from '../../recipe/larder';
import type { Head, RecipeVersion, School, Session, WashDay } from '../../records/shapes';
import { PLAIN_WASH_ID } from '../agenda';
import type { PastUse, Spacing } from './plan';

/** A firm push from which even a balanced treatment counts as protein for spacing (working assumption). */
const FIRMS_FROM_PUSH = 0.45;

/** What each session was, by the version that it used; none where nothing is known of that version any more. */
export function pastUses(
  { sessions, larder, trials, trialWashes, washDays }: HeadHistory,
  head: Head,
): PastUse[] {
  const known = new Map<RecipeVersion, Spacing | undefined>();
  const uses = sessions.flatMap((session: Session): PastUse[] => {
    const { day, recipeId } = session;
    const version = larder.used(session) ?? larder.lastVersion(recipeId);
    if (!version) return [];
    if (!known.has(version)) known.set(version, spacingUsed(version, head.school, larder));
    const spacing = known.get(version);
    return spacing
      ? [
          {
            day,
            recipeId,
            ...spacing,
            use: session.usedAs ?? spacing.use,
            doseShare: doseShareOf(session, version, head),
          },
        ]
      : [];
  });
  const without = new Set(trials.filter(({ againstId }) => againstId === null).map(({ trialId }) => trialId));
  const plain = trialWashes
    .filter(({ trialId, arm }) => arm === 'b' && without.has(trialId))
    .map(({ day }): PastUse => ({ day, recipeId: PLAIN_WASH_ID, ...PLAIN }));
  return [...uses, ...plain, ...plainWashes(washDays)];
}

/** More than is written counts as that, too: a rule is not stretched by it. */
const MOST_SHARE = 1;

function doseShareOf(session: Session, version: RecipeVersion, head: Head): number {
  const written = doseOf(version.contactMinutes, version.warmth, head.porosityGuess);
  const sort = version.use === 'scalp-oil' ? 'oil' : 'mask';
  return written > 0 ? Math.min(MOST_SHARE, sessionDose(session, head, sort) / written) : MOST_SHARE;
}

/** Wash days on which nothing but a wash was done. */
function plainWashes(washDays: readonly WashDay[]): PastUse[] {
  return washDays
    .filter(
      ({ uses, steps }) =>
        !uses.some(({ slot }) => slot === 'main') &&
        steps.some(({ phase, outcome }) => phase === 'cleanse' && outcome === 'done'),
    )
    .map(({ day }): PastUse => ({ day, recipeId: PLAIN_WASH_ID, ...PLAIN }));
}

/** What a wash without a treatment is to spacing. */
export const PLAIN = { use: 'mask', firms: false, strong: false, moistens: false, doseShare: 1 } as const;

function spacingUsed(version: RecipeVersion, school: School, larder: Larder): Spacing | undefined {
  const verdict = classifyVersion(version, school, larder);
  return verdict.ok ? spacingOf(version, verdict.value) : undefined;
}

/** What spacing asks of a recipe, by what is in it. */
export function spacingOf({ use }: Pick<RecipeVersion, 'use'>, verdict: Verdict): Spacing {
  return {
    use,
    firms: firms(verdict),
    strong: hasStrongProtein(verdict),
    moistens: verdict.kind === 'moisture' || verdict.kind === 'balanced',
  };
}

function firms(verdict: Verdict): boolean {
  return verdict.kind === 'protein' || (verdict.kind !== 'rinse' && verdict.push.firm >= FIRMS_FROM_PUSH);
}
