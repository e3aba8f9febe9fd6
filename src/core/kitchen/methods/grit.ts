import { t } from '@lingui/core/macro';
import { perLanguage } from '../../base/language';
import { leavesGrit } from '../../recipe/classification';
import type { Larder } from '../../recipe/larder';
import type { SavedLine, SavedStep } from '../../records/shapes';
import { leavesBits } from './missing';
import { partsOf, type Part } from './parts';

/** How likely bits stay in the hair, said before anything is mixed. */
export interface Grit {
  readonly chance: 'unlikely' | 'possible' | 'likely';
  readonly why: string;
  /** Which cloth, with its reason; null where nothing is strained. */
  readonly cloth: string | null;
}

/** Residue after a wash, 0 to 4, from which it was bits that stayed (working assumption). */
const RESIDUE_FROM = 2;
const CHANCES = ['unlikely', 'possible', 'likely'] as const;

const cloths = perLanguage(() => ({
  gel: t`Through tights, warm: they stretch, and the gel presses through before it sets.`,
  leaf: t`Through a tea filter or a cotton cloth: leaf dust goes through a sieve.`,
  grain: t`Through a fine cotton cloth, wrung out: husk goes through anything coarser.`,
  fruit: t`Through a fine sieve with a spoon, then tights: threads of fruit cling to hair.`,
  powder: t`Sift it dry through a fine sieve: what stays behind would scratch.`,
}));
type Cloth = keyof ReturnType<typeof cloths>;

function clothFor({ ingredient, preparation }: Part): Cloth {
  if (preparation?.stages.some(({ do: what }) => what === 'sift' || what === 'grind')) return 'powder';
  if ((ingredient?.actives.mucilage ?? 0) >= 3) return 'gel';
  if ((ingredient?.composition.water ?? 0) > 50) return 'fruit';
  return (ingredient?.composition.starch ?? 0) > 30 ? 'grain' : 'leaf';
}

/**
 * @param residue marks for what was left on the hair, 0 to 4, at the checks after earlier washes with it
 * @returns null where nothing in it has bits
 */
export function gritOf(
  steps: readonly SavedStep[],
  lines: readonly SavedLine[],
  larder: Larder,
  residue: readonly number[],
): Grit | null {
  const parts = partsOf(lines, larder);
  const bitty = parts.filter(leavesBits);
  const powders = parts.filter(
    ({ ingredient, preparation }) => ingredient && leavesGrit({ ingredient, preparation }),
  );
  const lastStrain = steps.findLastIndex(({ deeds }) => deeds.includes('strain'));
  const isStrained = (part: Part) => steps.findIndex((step) => step.lines.includes(part.line)) <= lastStrain;
  const unstrained = bitty.filter((part) => !isStrained(part));
  const left = powders.filter((part) => !isStrained(part));
  const reported = residue.filter((mark) => mark >= RESIDUE_FROM).length;
  if (bitty.length === 0 && powders.length === 0 && reported === 0) return null;
  const level = Math.min(2, (unstrained.length > 0 ? 2 : left.length > 0 ? 1 : 0) + (reported > 0 ? 1 : 0));
  const [first] = [...unstrained, ...left, ...bitty];
  const worst = [...unstrained, ...left].at(0);
  return {
    chance: CHANCES[level] ?? 'likely',
    why:
      reported > 0
        ? t`You noticed residue after washing it out before.`
        : worst
          ? t`${{ name: worst.name }} isn't strained.`
          : t`A fine cloth holds it back.`,
    cloth: first ? cloths()[clothFor(first)] : null,
  };
}
