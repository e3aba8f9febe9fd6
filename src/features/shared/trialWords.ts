import type { Larder } from '@/core/recipes';
import type { SignalId } from '@/core/readings';
import type { Arm, Trial } from '@/core/trials';

const OF_SIGNAL: Record<SignalId, string> = {
  firmness: 'firmness',
  breakage: 'breakage',
  porosity: 'porosity',
};

const nameOf = (recipeId: string, larder: Larder) => larder.lastVersion(recipeId)?.name ?? recipeId;

/** "Does Linseed gel change the firmness?" */
export function trialQuestion({ recipeId, againstId, signal }: Trial, larder: Larder): string {
  const name = nameOf(recipeId, larder);
  return againstId === null
    ? `Does ${name} by itself change the ${OF_SIGNAL[signal]}?`
    : `${name} or ${nameOf(againstId, larder)}: which does more for the ${OF_SIGNAL[signal]}?`;
}

/** What goes on the hair in one arm. */
export function armWords(arm: Arm, { recipeId, againstId }: Trial, larder: Larder): string {
  if (arm === 'a') return nameOf(recipeId, larder);
  return againstId === null ? 'a wash without any treatment' : nameOf(againstId, larder);
}

/** The readings a trial lives on. */
export function trialReadings({ signal }: Pick<Trial, 'signal'>): string {
  if (signal === 'firmness')
    return 'A stretch test before each of these washes, and another when dry, a day or two later.';
  if (signal === 'breakage') return 'A count at every detangle, with nothing left out.';
  return 'The same porosity test before each of these washes, and again when dry.';
}
