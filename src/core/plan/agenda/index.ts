export {
  agreedSchema,
  type Agreed,
  type AgreedAssignment,
  type Agreement,
  type PlanChange,
  type PlanNote,
} from './agreement';
export { BEDTIME_MINUTE } from './bedtime';
export {
  countsFor,
  holdsOn,
  rhythmState,
  SLOT_OF_USE,
  slotsOfUses,
  USE_OF_SLOT,
  windowsOf,
  type Counted,
  type RhythmPeriod,
  type RhythmState,
  type RhythmWindow,
  type WashOf,
} from './rhythm';
export { rhythmLine, rhythmOf, sortWords, weekWords } from './rhythmWords';
export { isAvoided, isSmall, placedBy, PLAIN_WASH_ID } from './decision';
export { effortLimits, EFFORTS, effortSchema, type Effort, type EffortLimits } from './effort';
export { contactAt, kitWords, minutesWithoutHeat } from './kit';
export { isOn } from './occasion';
export { choicesOf, USUAL_CHOICES, type PlanChoices } from './planSettings';
export {
  FIXED_RULES,
  holdsUnder,
  leaningWords,
  overdueFactor,
  patchTestDays,
  RHYTHMS,
  RULE_KEYS,
  PLAN_RULES,
  rulesInForce,
  rulesOfHead,
  WEIGHTS,
  weightsInForce,
  type Rule,
  type RuleKey,
  type RuleValues,
  type WeightKey,
  type WeightValues,
} from './rules';
