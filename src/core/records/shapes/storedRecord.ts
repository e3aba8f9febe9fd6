import { z } from 'zod';
import { withdrawalSchema } from '../log';
import { batchEventSchema, batchSchema } from './batch';
import { calendarExportSchema } from './calendarExport';
import { decisionSchema } from './decision';
import { forecastSchema } from './forecast';
import { headSchema } from './head';
import { headEventSchema } from './headEvent';
import { ownIngredientSchema } from './ingredient';
import { kitSchema } from './kit';
import { leftoverSchema } from './leftover';
import { occasionSchema } from './occasion';
import { pantryItemSchema } from './pantryItem';
import { patchTestSchema } from './patchTest';
import { photoSchema } from './photo';
import { planSettingsSchema } from './planSettings';
import { readingSchema } from './reading';
import { recipeVersionSchema } from './recipe';
import { rhythmSchema } from './rhythm';
import { scienceSchema } from './science';
import { sessionSchema } from './session';
import { trialSchema, trialWashSchema } from './trial';
import { washDaySchema } from './washDay';

/** Everything that is ever stored: one schema a kind. */
export const storedRecordSchema = z.discriminatedUnion('kind', [
  headSchema,
  recipeVersionSchema,
  readingSchema,
  sessionSchema,
  washDaySchema,
  headEventSchema,
  ownIngredientSchema,
  pantryItemSchema,
  batchSchema,
  batchEventSchema,
  patchTestSchema,
  trialSchema,
  trialWashSchema,
  forecastSchema,
  photoSchema,
  decisionSchema,
  occasionSchema,
  planSettingsSchema,
  rhythmSchema,
  calendarExportSchema,
  kitSchema,
  scienceSchema,
  leftoverSchema,
  withdrawalSchema,
]);
export type StoredRecord = z.infer<typeof storedRecordSchema>;
export type RecordKind = StoredRecord['kind'];
export type RecordOf<K extends RecordKind> = Extract<StoredRecord, { kind: K }>;
