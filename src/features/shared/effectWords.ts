import { plural, t } from '@lingui/core/macro';
import { fixed, perLanguage } from '@/core/base/language';
import { rounded, Z90 } from '@/core/base/measures';
import {
  isMostlyGuess,
  lastingDays,
  type EventResponse,
  type Response,
  type SignalState,
} from '@/core/hair/state';
import type { SignalId } from '@/core/records/shapes';

/** Uses from which an effect is spoken of without "so far". */
const SETTLED_USES = 5;

/** What one use does, by the way it points. */
export const ways = perLanguage(
  (): Record<
    SignalId,
    { readonly down: string; readonly up: string; readonly left: string; readonly right: string }
  > => ({
    firmness: { down: t`Softens`, up: t`Firms`, left: t`softer`, right: t`firmer` },
    breakage: { down: t`Less breakage`, up: t`More breakage`, left: t`fewer pieces`, right: t`more pieces` },
    porosity: { down: t`Less porous`, up: t`More porous`, left: t`less porous`, right: t`more porous` },
  }),
);

/** An effect as people read it: breakage as a percentage of pieces, the others on their scale. */
export function effectText(signal: SignalId, value: number): string {
  const shown = signal === 'breakage' ? 100 * (Math.exp(value) - 1) : value;
  const decimals = signal === 'breakage' ? 0 : 1;
  const digits = fixed(rounded(Math.abs(shown), decimals), decimals);
  const isNone = rounded(Math.abs(shown), decimals) === 0;
  return `${isNone ? '' : shown < 0 ? '−' : '+'}${digits}${signal === 'breakage' ? ' %' : ''}`;
}

/** Says no more than the interval allows. */
export function effectInWords(
  state: SignalState,
  response: Omit<Response, 'recipeId'> & Partial<Pick<EventResponse, 'stays'>>,
): string {
  const { signal } = state;
  const { mean, sd, uses, expected, stays } = response;
  const [low, high] = [mean - Z90 * sd, mean + Z90 * sd];
  const show = (value: number) => effectText(signal, value);
  const span = t`${{ mean: show(mean) }} (${{ low: show(low) }} to ${{ high: show(high) }})`;
  const counted = t`${plural(uses, { one: '# use', other: '# uses' })}, it reads as ${{ expectedMean: show(expected.mean) }}`;
  const way = mean > 0 ? ways()[signal].up : ways()[signal].down;
  if (isMostlyGuess(response)) return t`Mostly a guess from the recipe so far: ${span}. ${counted}.`;
  if (low > 0 || high < 0)
    return `${way}: ${span}${stays === 1 ? t`, until that hair is cut off` : lastingText(state, mean)}. ${counted}.`;
  const doubt = uses < SETTLED_USES ? t`Too few uses to tell` : t`Hard to tell`;
  return t`${doubt}, perhaps ${{ way: way.toLowerCase() }}: ${span}. ${counted}.`;
}

function lastingText(state: SignalState, effect: number): string {
  const lasting = lastingDays(effect, state);
  if (!lasting) return t`, too little to be noticed`;
  const days = (value: number) => Math.max(1, Math.round(value));
  return t`, felt for about ${plural({ days: days(lasting.days) }, { one: '# day', other: '# days' })} (${{ low: days(lasting.low) }} to ${{ high: days(lasting.high) }})`;
}

/** What a recipe does to one person's hair, in one sentence. @param response undefined where it was never used */
export function onHairWords(state: SignalState, response: Response | undefined, name: string): string {
  if (!response || response.uses === 0) return t`Not used on ${name} yet.`;
  const { mean, sd } = response;
  if (isMostlyGuess(response) || Math.abs(mean) < Z90 * sd) return t`On ${name}’s hair: too early to tell.`;
  const lasting = lastingDays(mean, state);
  if (!lasting) return t`On ${name}’s hair it does next to nothing.`;
  const days = Math.max(1, Math.round(lasting.days));
  return mean > 0
    ? t`On ${name}’s hair: firmer for about ${plural(days, { one: '# day', other: '# days' })}.`
    : t`On ${name}’s hair: softer for about ${plural(days, { one: '# day', other: '# days' })}.`;
}
