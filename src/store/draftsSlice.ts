import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';
import { recipeVersionSchema } from '@/core/records/shapes';
import { readStored } from './readStored';

/** A recipe as it stands in the form: what is typed, right or wrong. */
export const recipeDraftSchema = z.strictObject({
  name: z.string(),
  text: z.string(),
  use: recipeVersionSchema.shape.use,
  contactMinutes: z.string(),
  warmth: recipeVersionSchema.shape.warmth,
  countedAs: recipeVersionSchema.shape.countedAs,
  /** What else it is used as. */
  alsoAs: z.array(recipeVersionSchema.shape.use).optional(),
  /** On the scalp too. */
  onScalp: z.enum(['no', 'yes']).optional(),
});
export type RecipeDraft = Readonly<z.infer<typeof recipeDraftSchema>>;

/** What is written and not saved yet, by the recipe that it would change. */
const draftsSchema = z.record(z.string(), recipeDraftSchema);
type Drafts = Readonly<Record<string, RecipeDraft>>;

/** The draft of a recipe that is not there yet. */
export const NEW_RECIPE = 'new';

export const draftsSlice = createSlice({
  name: 'drafts',
  initialState: {} as Drafts,
  reducers: {
    draftsLoaded: (_, action: PayloadAction<Drafts>) => action.payload,
    draftKept: (state, { payload }: PayloadAction<{ readonly of: string; readonly draft: RecipeDraft }>) => ({
      ...state,
      [payload.of]: payload.draft,
    }),
    /** It was saved, or given up. */
    draftDropped: (state, { payload }: PayloadAction<string>) =>
      Object.fromEntries(Object.entries(state).filter(([of]) => of !== payload)),
  },
});

export const { draftsLoaded, draftKept, draftDropped } = draftsSlice.actions;
export const selectDrafts = (root: { readonly drafts: Drafts }) => root.drafts;

/** Stored text to drafts; what cannot be read is none. */
export function readDrafts(text: string | null): Drafts {
  return readStored(draftsSchema, text, {});
}
