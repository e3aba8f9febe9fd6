import { acidityOf, hasStrongProtein, leavesGrit, type Verdict } from '../../recipe/classification';
import type { WeighedLine } from '../../recipe/larder';

/** What a mixture asks for on the day, beyond how strong it is. */
export interface Traits {
  /** It sets as it dries: nothing is combed or bent, and it is softened before it is rinsed. */
  readonly hardens: boolean;
  /** It cooks in hot water. */
  readonly egg: boolean;
  /** Bits or powder stay in it: never on the scalp, out with conditioner. */
  readonly gritty: boolean;
  readonly oily: boolean;
  readonly sour: boolean;
}

/** Gelatin, g in 100 g of what is finished, from which it sets on the hair (working assumption). */
const SETS_FROM = 3;
/** Oil, g in 100 g, from which a rinse with water alone leaves some (working assumption). */
const OILY_FROM = 12;
const SOUR_BELOW_PH = 4;

export function traitsOf(lines: readonly WeighedLine[], verdict: Verdict): Traits {
  const { loads, finishedGrams } = verdict;
  const share = (is: (line: WeighedLine) => boolean) =>
    finishedGrams > 0
      ? (100 * lines.filter(is).reduce((total, { grams }) => total + grams, 0)) / finishedGrams
      : 0;
  const { pH } = acidityOf(lines, finishedGrams);
  return {
    hardens:
      hasStrongProtein(verdict) &&
      share(({ ingredient }) => ingredient.proteinForm === 'gelatin') >= SETS_FROM,
    egg: lines.some(({ ingredient }) => ingredient.allergens.includes('egg')),
    gritty: lines.some(leavesGrit),
    oily: loads.penetratingOil + loads.sealingOil >= OILY_FROM,
    sour: pH !== null && pH < SOUR_BELOW_PH,
  };
}
