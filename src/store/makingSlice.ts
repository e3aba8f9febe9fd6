import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';
import { readStored } from './readStored';

const runSchema = z.strictObject({
  recipeId: z.string(),
  version: z.number(),
  /** The record of that version: another may have the same number. */
  recordId: z.string().optional(),
  /** On every line of the version. */
  factor: z.number().positive(),
  startedAt: z.string(),
  /** Ids of the steps that are done. */
  done: z.array(z.string()),
  /** Grams that really went in, by recipe line. */
  weighed: z.record(z.string(), z.number()),
  waterAddedGrams: z.number(),
});
/** A making that is under way. */
export type MakingRun = z.infer<typeof runSchema>;

export const makingSlice = createSlice({
  name: 'making',
  initialState: null as MakingRun | null,
  reducers: {
    makingLoaded: (_, action: PayloadAction<MakingRun | null>) => action.payload,
    makingStarted: (
      _,
      action: PayloadAction<Pick<MakingRun, 'recipeId' | 'version' | 'recordId' | 'factor' | 'startedAt'>>,
    ): MakingRun => ({ ...action.payload, done: [], weighed: {}, waterAddedGrams: 0 }),
    stepDone(state, action: PayloadAction<{ id: string; done: boolean }>) {
      if (!state) return;
      const { id, done } = action.payload;
      state.done = done ? [...new Set([...state.done, id])] : state.done.filter((other) => other !== id);
    },
    lineWeighed(state, action: PayloadAction<{ line: number; grams: number | null }>) {
      if (!state) return;
      const { line, grams } = action.payload;
      if (grams === null) delete state.weighed[line];
      else state.weighed[line] = grams;
    },
    waterAdded(state, action: PayloadAction<number>) {
      if (state) state.waterAddedGrams = action.payload;
    },
    /** All of it is made; what is asked is how much came out. */
    allDone(state, action: PayloadAction<{ readonly steps: number }>) {
      if (state) state.done = Array.from({ length: action.payload.steps }, (_, index) => String(index));
    },
    makingEnded: () => null,
  },
});

export const { makingLoaded, makingStarted, stepDone, lineWeighed, waterAdded, allDone, makingEnded } =
  makingSlice.actions;
export const selectMaking = (root: { readonly making: MakingRun | null }) => root.making;

/** Stored text to a run; what cannot be read is no run. */
export function readMaking(text: string | null): MakingRun | null {
  return readStored(runSchema.nullable(), text, null);
}
