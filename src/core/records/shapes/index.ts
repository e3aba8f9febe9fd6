export { batchSchema, PLACES, USE_FIRST_DAYS, type Batch, type BatchEvent, type Place } from './batch';
export { type CalendarEntry, type CalendarExport } from './calendarExport';
export { decisionSchema, SLOTS, type Decision, type Slot } from './decision';
export {
  AGE_BANDS,
  ALLERGIES,
  CHEMISTRY,
  COMPLAINTS,
  headSchema,
  HEALTH,
  newestHeads,
  POROSITIES,
  SCHOOLS,
  type Allergy,
  type Complaint,
  type Head,
  type PorosityGuess,
  type School,
} from './head';
export { EVENT_KINDS, headEventSchema, type EventKind, type HeadEvent } from './headEvent';
export {
  FAT_KINDS,
  ingredientSchema,
  ownIngredientSchema,
  PROTEIN_FORMS,
  ROLES,
  sourceSchema,
  type Active,
  type Component,
  type Composition,
  type Ingredient,
  type KeepingClass,
  type OwnIngredient,
  type Preparation,
  type ProteinForm,
  type Role,
  type Source,
  type Stage,
} from './ingredient';
export { ofKind } from './kinds';
export {
  AS_WRITTEN,
  SCIENCE_PARTS,
  scienceOf,
  type Science,
  type SciencePart,
  type ScienceRecord,
} from './science';
export { KIT, lacksOf, type Kit, type KitItem } from './kit';
export { type Leftover } from './leftover';
export { READING_LIMITS, RECIPE_LIMITS } from './limits';
export { type Deed, type SavedStep } from './method';
export { OCCASIONS, occasionSchema, occasionsOf, type Occasion, type OccasionKind } from './occasion';
export { pantryItemSchema, type PantryItem } from './pantryItem';
export { type PatchTest } from './patchTest';
export type { Forecast } from './forecast';
export { PHOTO_LIMITS, photoBytes, photoSchema, photosOf, type Photo } from './photo';
export { LEANING_MOST, LEANINGS, type Leaning, type PlanSettings } from './planSettings';
export {
  HAIR_SIDES,
  type HairSide,
  MARKS,
  NO_MARKS,
  NOTHING_MEASURED,
  porositySchema,
  readingSchema,
  REGIONS,
  SCALP_SIGNS,
  SHED_BALLS,
  SIGNAL_IDS,
  SINKS,
  SLIDES,
  strandSchema,
  tallyTotals,
  type MarkId,
  type Measured,
  type Moment,
  type PorosityTests,
  type Reading,
  type Region,
  type ScalpSign,
  type ShedBall,
  type SignalId,
  type Strand,
  type Tally,
} from './reading';
export { RHYTHM_SORTS, rhythmSchema, type Rhythm, type RhythmSort } from './rhythm';
export {
  RECIPE_USES,
  recipeVersionSchema,
  usedVersionShape,
  type RecipeUse,
  type RecipeVersion,
  type SavedLine,
  type UsedVersion,
} from './recipe';
export { sessionSchema, type Session } from './session';
export { storedRecordSchema, type RecordKind, type RecordOf, type StoredRecord } from './storedRecord';
export { TRIAL_LIMITS, trialSchema, type Arm, type Trial, type TrialWash } from './trial';
export { washDaySchema, type Rating, type WashDay, type WashDayStep } from './washDay';
export {
  asksForMoisture,
  FELT,
  SECTIONS,
  STEP_SLOTS,
  washStepSchema,
  type Felt,
  type Phase,
  type WashStep,
} from './washStep';
