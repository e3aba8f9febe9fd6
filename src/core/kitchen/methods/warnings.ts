import { t } from '@lingui/core/macro';
import { listed } from '../../base/language';
import { sum } from '../../base/measures';
import { isOil } from '../../recipe/ingredients';
import type { Larder } from '../../recipe/larder';
import type { SavedLine, SavedStep } from '../../records/shapes';
import { COLD_AFTER_MINUTES, leavesBits } from './missing';
import { partsOfLines, type Part } from './parts';
import { coolBelow, isFresh, isGum, isHotDeed, isSolid } from './shortest';

/** Where something would go wrong as the steps stand. */
export interface MethodWarning {
  readonly id: 'grit' | 'hot-oil' | 'sets' | 'too-hot' | 'lumps' | 'not-melted' | 'fresh-in-oil';
  /** Index of the step. */
  readonly step: number;
  readonly text: string;
  /** The step was added for it: this is its reason. */
  readonly isMended: boolean;
}

/** Above this a bowl off the stove is still too hot for what must stay under it, °C. */
const WARM_C = 50;
/** Of oil, share of all, from which fresh plants in it are an infusion. */
const MOSTLY_OIL = 0.5;
/** Water of what is wet, g in 100 g. */
const MOSTLY = 50;
/** An hour in oil is no longer a bowl that is used at once, minutes. */
const LONG_IN_OIL = 60;

const names = (parts: readonly Part[]): string => listed(parts.map(({ name }) => name));
const isEgg = ({ ingredient }: Part): boolean => ingredient?.allergens.includes('egg') === true;
const isFat = ({ ingredient }: Part): boolean => ingredient !== null && isOil(ingredient);
const isWet = ({ ingredient }: Part): boolean => (ingredient?.composition.water ?? 100) > MOSTLY;

/** Warnings in the order of the steps; none changes a step. */
export function warningsOf(
  steps: readonly SavedStep[],
  lines: readonly SavedLine[],
  larder: Larder,
): MethodWarning[] {
  const parts = new Map(partsOfLines(lines, larder).map((part) => [part.line, part]));
  const at = steps.map(({ lines: own }) => own.flatMap((line) => parts.get(line) ?? []));
  return [...heatWarnings(steps, at), ...gritWarnings(steps, at), ...oilWarnings(steps, at)].sort(
    (a, b) => a.step - b.step,
  );
}

/** Whether a step leaves the bowl hot: it heats, and does not cool after. */
const heats = ({ deeds }: SavedStep): boolean => deeds.some(isHotDeed) && !deeds.includes('cool');

function heatWarnings(steps: readonly SavedStep[], at: readonly (readonly Part[])[]): MethodWarning[] {
  const warnings: MethodWarning[] = [];
  let isHot = false;
  let wasToldHot = false;
  steps.forEach((step, index) => {
    const own = at[index] ?? [];
    const cools = step.deeds.includes('cool');
    const entersHot = heats(step) || (isHot && !cools);
    wasToldHot ||= step.by === 'told' && heats(step);
    const spared = wasToldHot && cools && step.by === 'added' ? at.slice(index + 1).flat() : [];
    warnings.push(
      ...enteredHot(spared, index, { isBoiled: false, isStirredIn: false }).map((warning) => ({
        ...warning,
        isMended: true,
      })),
    );
    if (entersHot)
      warnings.push(
        ...enteredHot(own, index, { isBoiled: step.deeds.includes('boil'), isStirredIn: !heats(step) }),
      );
    const unmelted = own.filter(isSolid);
    const meltsLater = steps.slice(index).some(({ deeds }) => deeds.some(isHotDeed));
    if (unmelted.length > 0 && !meltsLater && !isHot)
      warnings.push({
        id: 'not-melted',
        step: index,
        isMended: false,
        text: t`${{ names: names(unmelted) }} must melt before it can hold oil and water together: heat it with the oils first.`,
      });
    if (cools || step.waitMinutes >= COLD_AFTER_MINUTES) isHot = false;
    else if (heats(step)) isHot = true;
  });
  return warnings;
}

interface Entered {
  readonly isBoiled: boolean;
  /** Into a bowl that is hot already. */
  readonly isStirredIn: boolean;
}

function enteredHot(own: readonly Part[], step: number, { isBoiled, isStirredIn }: Entered): MethodWarning[] {
  const most = isBoiled ? Infinity : WARM_C;
  const late = own.filter((part) => isEgg(part) || (coolBelow(part) ?? Infinity) < most);
  const [eggs, others] = [late.filter(isEgg), late.filter((part) => !isEgg(part))];
  const gums = isStirredIn ? own.filter(isGum) : [];
  return [
    ...(eggs.length > 0
      ? [
          {
            id: 'sets' as const,
            step,
            isMended: false,
            text: t`Heat sets ${{ names: names(eggs) }} into bits that stay in the hair: let the bowl cool first.`,
          },
        ]
      : []),
    ...(others.length > 0
      ? [
          {
            id: 'too-hot' as const,
            step,
            isMended: false,
            text: t`Heat spoils ${{ names: names(others) }}: not above ${{ degrees: Math.min(...others.map((part) => coolBelow(part) ?? WARM_C)) }} °C.`,
          },
        ]
      : []),
    ...(gums.length > 0
      ? [
          {
            id: 'lumps' as const,
            step,
            isMended: false,
            text: t`Hot, ${{ names: names(gums) }} makes lumps: stir it smooth cold, before the heat.`,
          },
        ]
      : []),
  ];
}

/** What a cloth should hold back goes in after the last straining, or is never strained. */
function gritWarnings(steps: readonly SavedStep[], at: readonly (readonly Part[])[]): MethodWarning[] {
  const lastStrain = steps.findLastIndex(({ deeds }) => deeds.includes('strain'));
  return at.flatMap((own, index) => {
    const bitty = index > lastStrain ? own.filter(leavesBits) : [];
    return bitty.length === 0
      ? []
      : [
          {
            id: 'grit' as const,
            step: index,
            isMended: false,
            text: t`Nothing strains ${{ names: names(bitty) }} after this: bits stay in the hair.`,
          },
        ];
  });
}

function oilWarnings(steps: readonly SavedStep[], at: readonly (readonly Part[])[]): MethodWarning[] {
  const all = at.flat();
  const oils = all.filter(isFat);
  const isMostlyOil = sum(oils.map(({ grams }) => grams)) > MOSTLY_OIL * sum(all.map(({ grams }) => grams));
  return steps.flatMap(({ deeds, waitMinutes }, index): MethodWarning[] => {
    const own = at[index] ?? [];
    const isWetYet = at
      .slice(0, index + 1)
      .flat()
      .some(isWet);
    const warnings: MethodWarning[] = [];
    if (deeds.includes('boil') && own.some(isFat) && !isWetYet)
      warnings.push({
        id: 'hot-oil',
        step: index,
        isMended: false,
        text: t`Oil doesn't boil, it burns: warm it in a jug in hot water, and never leave it on the stove.`,
      });
    const fresh = at
      .slice(0, index + 1)
      .flat()
      .filter(isFresh);
    if (isMostlyOil && fresh.length > 0 && deeds.includes('soak') && waitMinutes >= LONG_IN_OIL)
      warnings.push({
        id: 'fresh-in-oil',
        step: index,
        isMended: false,
        text: t`Fresh ${{ names: names(fresh) }} brings water into the oil, and germs you can't see or smell can grow there: dry it fully first, or use the oil the same day.`,
      });
    return warnings;
  });
}
