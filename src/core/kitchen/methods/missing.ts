import { t } from '@lingui/core/macro';
import type { SavedStep } from '../../records/shapes';
import { byLine, isReadyGel, partsIn, type Part } from './parts';
import { coolBelow, isHotDeed, isMadeWater } from './shortest';

/** Minutes (working assumptions). */
const STRAIN_MINUTES = 3;
const COOL_MINUTES = 15;
/** After so long a bowl is cold by itself. */
export const COLD_AFTER_MINUTES = 60;

/** A whisked egg is poured through a strainer where it is whisked, and a tea where it is brewed: neither needs a cloth for all. */
export function leavesBits(part: Part): boolean {
  const { preparation } = part;
  if (preparation?.strain !== true || isMadeWater(part) || isReadyGel(part)) return false;
  return preparation.fromMl === undefined && !preparation.stages.some((stage) => stage.do === 'whisk');
}

const isSteeped = ({ preparation }: Part): boolean =>
  preparation?.fromMl === undefined && preparation?.stages.some((stage) => stage.do === 'steep') === true;

/** Index of the last step after which the bowl is hot; -1 where none is. */
function hotAt(steps: readonly SavedStep[], parts: ReadonlyMap<number, Part>): number {
  return steps.findLastIndex(
    (step) =>
      step.deeds.some(isHotDeed) ||
      (step.deeds.includes('soak') &&
        step.waitMinutes < COLD_AFTER_MINUTES &&
        partsIn(step, parts).some(isSteeped)),
  );
}

/** Straining and cooling that nobody told and the bowl needs; in one step where they come together. */
export function withMissing(steps: readonly SavedStep[], all: readonly Part[]): SavedStep[] {
  const parts = byLine(all);
  const does = (deed: SavedStep['deeds'][number]) => steps.some(({ deeds }) => deeds.includes(deed));
  const hot = hotAt(steps, parts);
  const strains = !does('strain') && all.some(leavesBits);
  const cools =
    hot >= 0 &&
    !steps.slice(hot).some(({ deeds }) => deeds.includes('cool')) &&
    !steps.slice(hot + 1).some(({ waitMinutes }) => waitMinutes >= COLD_AFTER_MINUTES);
  const isMore = ({ deeds }: SavedStep) =>
    deeds.some((deed) => deed !== 'mix' && deed !== 'take' && deed !== 'whip' && deed !== 'cool');
  const strainAt = 1 + steps.findLastIndex((step) => isMore(step) || partsIn(step, parts).some(leavesBits));
  const lateAt = steps.findIndex(
    (step, index) => index > hot && partsIn(step, parts).some((part) => coolBelow(part) !== undefined),
  );
  const coolAt = lateAt >= 0 ? Math.min(lateAt, strainAt) : strainAt;
  const added: { readonly at: number; readonly step: SavedStep }[] = [];
  if (strains && cools && coolAt === strainAt)
    added.push({
      at: strainAt,
      step: addedStep(
        t`Press it through a fine cloth while still warm, then let it cool until the wrist finds it lukewarm.`,
        ['strain', 'cool'],
      ),
    });
  else {
    if (cools)
      added.push({
        at: coolAt,
        step: addedStep(t`Let it cool until the wrist finds it lukewarm.`, ['cool']),
      });
    if (strains)
      added.push({
        at: strainAt,
        step: addedStep(t`Press it through a fine cloth or a sieve: bits stay in the hair.`, ['strain']),
      });
  }
  return steps.flatMap((step, index) => [...at(added, index), step]).concat(at(added, steps.length));
}

const at = (
  added: readonly { readonly at: number; readonly step: SavedStep }[],
  index: number,
): SavedStep[] => added.filter((each) => each.at === index).map(({ step }) => step);

function addedStep(text: string, deeds: SavedStep['deeds']): SavedStep {
  return {
    text,
    lines: [],
    handsMinutes: deeds.includes('strain') ? STRAIN_MINUTES : 0,
    waitMinutes: deeds.includes('cool') ? COOL_MINUTES : 0,
    by: 'added',
    deeds,
  };
}
