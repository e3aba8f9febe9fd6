export {
  errorText,
  fractionText,
  spoonable,
  VIEWS,
  weighable,
  type KitchenAmount,
  type View,
} from './kitchenAmount';
export { lineInView, percentText, type LineInView } from './lineInView';
export { percentsOf, scaledLines, scaleFactor, type ScaleTarget } from './scale';
export { rewriteIn } from './views';
export {
  againstJar,
  costOf,
  inStock,
  pantryItemSchema,
  pantryOf,
  type Cost,
  type PantryItem,
} from './pantry';
export { afterMaking, realYieldGrams } from './usedUp';
export { makingSteps, type MakingStep, type Phases } from './steps';
export { timetableOf, type TimedStep, type Timetable } from './timetable';
export { SCALE_GONE_MS, SETTLED, settledWeight, type ScaleSample } from './weighIn';
export { solverFrom, type SolveProgramme } from './linearProgramme';
export { substitutesFor, type StockedIngredient, type Substitute } from './substitutes';
export { makeFromPantry, WISHES, type PantryRecipe, type WishId } from './fromPantry';
