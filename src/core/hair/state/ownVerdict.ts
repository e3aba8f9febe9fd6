import { plural, t, select } from '@lingui/core/macro';
import { clamp } from '../../base/measures';
import { kindWords, verdictOfPush, type SchoolVerdict, type Verdict } from '../../recipe/classification';
import type { Response } from './hairState';
import { FIRMNESS_PER_PUSH, priorEffect } from './signals';

/** A recipe as it reads once this head's own results with it are counted. */
export interface OwnVerdict extends SchoolVerdict {
  readonly acts: 'firmer' | 'softer';
  readonly uses: number;
}

/** A push never reaches 1: a load would have to be endless. */
const MOST_PUSH = 0.98;

/**
 * Shifts a verdict by what the head has shown: the difference between the learned effect of one dose on firmness and the
 * expected one goes half to the push toward firm and half off the pull toward soft.
 * @param response of the recipe on the firmness of one head
 * @returns null while it was not used, or acts as it reads within one standard deviation
 */
export function ownVerdict(verdict: Verdict, response: Response | undefined): OwnVerdict | null {
  if (!response || response.uses === 0) return null;
  const shift = response.mean - priorEffect(verdict.push).firmness;
  if (Math.abs(shift) <= response.sd) return null;
  const half = shift / FIRMNESS_PER_PUSH / 2;
  const push = {
    firm: clamp(verdict.push.firm + half, 0, MOST_PUSH),
    soft: clamp(verdict.push.soft - half, 0, MOST_PUSH),
    oil: verdict.push.oil,
  };
  const { penetratingOil, sealingOil, water } = verdict.loads;
  return {
    ...verdictOfPush(push, penetratingOil + sealingOil, water),
    acts: shift > 0 ? 'firmer' : 'softer',
    uses: response.uses,
  };
}

/** "On Ada’s hair it acts firmer than it reads (5 uses): balanced, light." */
export function ownVerdictWords(own: OwnVerdict, name: string): string {
  const { acts, uses } = own;
  const kind = kindWords(own).toLowerCase();
  return t`On ${name}’s hair it acts ${select(acts, { firmer: 'firmer', other: 'softer' })} than it reads (${plural(uses, { one: '# use', other: '# uses' })}): ${kind}.`;
}
