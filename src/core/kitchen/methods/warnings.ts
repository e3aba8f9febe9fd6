import { t } from '@lingui/core/macro';
import { listed } from '../../base/language';
import { sum } from '../../base/measures';
import { isOil } from '../../recipe/ingredients';
import type { Larder } from '../../recipe/larder';
import type { SavedLine, SavedStep } from '../../records/shapes';
import { COLD_AFTER_MINUTES, leavesBits } from './missing';
import { partsByLine, partsIn, type Part } from './parts';
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

const isEgg = ({ ingredient }: Part): boolean => ingredient?.allergens.includes('egg') === true;
const isFat = ({ ingredient }: Part): boolean => ingredient !== null && isOil(ingredient);
const isWet = ({ ingredient }: Part): boolean => (ingredient?.composition.water ?? 100) > MOSTLY;

/** Warnings in the order of the steps; none changes a step. */
export function warningsOf(
  steps: readonly SavedStep[],
  lines: readonly SavedLine[],
  larder: Larder,
): MethodWarning[] {
  const parts = partsByLine(lines, larder);
  const at = steps.map((step) => partsIn(step, parts));
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
    warnings.push(...enteredHot(spared, index, { isBoiled: false, isStirredIn: false, isMended: true }));
    if (entersHot)
      warnings.push(
        ...enteredHot(own, index, {
          isBoiled: step.deeds.includes('boil'),
          isStirredIn: !heats(step),
          isMended: false,
        }),
      );
    const meltsLater = steps.slice(index).some(({ deeds }) => deeds.some(isHotDeed));
    if (!meltsLater && !isHot) warnings.push(...warned('not-melted', index, own.filter(isSolid)));
    if (cools || step.waitMinutes >= COLD_AFTER_MINUTES) isHot = false;
    else if (heats(step)) isHot = true;
  });
  return warnings;
}

interface Entered {
  readonly isBoiled: boolean;
  /** Into a bowl that is hot already. */
  readonly isStirredIn: boolean;
  /** It would have, without the step that was added for it. */
  readonly isMended: boolean;
}

function enteredHot(
  own: readonly Part[],
  step: number,
  { isBoiled, isStirredIn, isMended }: Entered,
): MethodWarning[] {
  const most = isBoiled ? Infinity : WARM_C;
  const late = own.filter((part) => isEgg(part) || (coolBelow(part) ?? Infinity) < most);
  return [
    ...warned('sets', step, late.filter(isEgg), isMended),
    ...warned(
      'too-hot',
      step,
      late.filter((part) => !isEgg(part)),
      isMended,
    ),
    ...warned('lumps', step, isStirredIn ? own.filter(isGum) : [], isMended),
  ];
}

/** What a cloth should hold back goes in after the last straining, or is never strained. */
function gritWarnings(steps: readonly SavedStep[], at: readonly (readonly Part[])[]): MethodWarning[] {
  const lastStrain = steps.findLastIndex(({ deeds }) => deeds.includes('strain'));
  return at.flatMap((own, index) =>
    index > lastStrain ? warned('grit', index, own.filter(leavesBits)) : [],
  );
}

function oilWarnings(steps: readonly SavedStep[], at: readonly (readonly Part[])[]): MethodWarning[] {
  const all = at.flat();
  const oils = all.filter(isFat);
  const isMostlyOil = sum(oils.map(({ grams }) => grams)) > MOSTLY_OIL * sum(all.map(({ grams }) => grams));
  return steps.flatMap(({ deeds, waitMinutes }, index): MethodWarning[] => {
    const soFar = at.slice(0, index + 1).flat();
    const isBoiledOil = deeds.includes('boil') && !soFar.some(isWet);
    const isInfused = isMostlyOil && deeds.includes('soak') && waitMinutes >= LONG_IN_OIL;
    return [
      ...(isBoiledOil ? warned('hot-oil', index, (at[index] ?? []).filter(isFat)) : []),
      ...(isInfused ? warned('fresh-in-oil', index, soFar.filter(isFresh)) : []),
    ];
  });
}

/** One warning for all that it is about; none where nothing is. */
function warned(
  id: MethodWarning['id'],
  step: number,
  parts: readonly Part[],
  isMended = false,
): MethodWarning[] {
  return parts.length === 0 ? [] : [{ id, step, isMended, text: warningText(id, parts) }];
}

function warningText(id: MethodWarning['id'], parts: readonly Part[]): string {
  const names = listed(parts.map(({ name }) => name));
  switch (id) {
    case 'grit':
      return t`Nothing strains ${names} after this: bits stay in the hair.`;
    case 'hot-oil':
      return t`Oil doesn't boil, it burns: warm it in a jug in hot water, and never leave it on the stove.`;
    case 'sets':
      return t`Heat sets ${names} into bits that stay in the hair: let the bowl cool first.`;
    case 'too-hot':
      return t`Heat spoils ${names}: not above ${{ degrees: Math.min(...parts.map((part) => coolBelow(part) ?? WARM_C)) }} °C.`;
    case 'lumps':
      return t`Hot, ${names} makes lumps: stir it smooth cold, before the heat.`;
    case 'not-melted':
      return t`${names} must melt before it can bind oil and water: heat it with the oils first.`;
    case 'fresh-in-oil':
      return t`Fresh ${names} brings water into the oil, and germs you can't see or smell can grow there: dry it fully first, or use the oil the same day.`;
  }
}
