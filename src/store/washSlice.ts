import { createSelector, createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';
import { washRunSchema, type WashRun } from '@/core/hair/history';
import { readStored } from './readStored';
import { selectHeads, type RecordsRoot } from './recordsSlice';

const allSchema = z.record(z.string().max(64), washRunSchema);
/** Wash days that are under way, by head: two heads are washed side by side. */
type WashRuns = z.infer<typeof allSchema>;

/** Survives a reload, a sleeping phone and another tab of the day; the records of a wash day take its place in the end. */
export const washSlice = createSlice({
  name: 'wash',
  initialState: {} as WashRuns,
  reducers: {
    washLoaded: (_, action: PayloadAction<WashRuns>) => action.payload,
    washStarted: (state, { payload }: PayloadAction<WashRun>) => ({ ...state, [payload.headId]: payload }),
    /** Something happened on it, or was said about it. */
    washChanged: (state, { payload }: PayloadAction<WashRun>) => ({ ...state, [payload.headId]: payload }),
    /** It was written down, or thrown away. */
    washClosed: (state, { payload }: PayloadAction<string>) =>
      Object.fromEntries(Object.entries(state).filter(([headId]) => headId !== payload)),
  },
});

export const { washLoaded, washStarted, washChanged, washClosed } = washSlice.actions;
interface WashRoot {
  readonly wash: WashRuns;
}
/** All of them: what is kept. */
export const selectAllWashRuns = (root: WashRoot) => root.wash;
/** Those of heads that are there; one that was taken back may come again. */
export const selectWashRuns = createSelector(
  [selectAllWashRuns, (root: WashRoot & RecordsRoot) => selectHeads(root)],
  (runs, heads): WashRuns =>
    Object.fromEntries(Object.entries(runs).filter(([id]) => heads.some(({ headId }) => headId === id))),
);

/** Stored text to runs; what cannot be read is none. */
export function readWash(text: string | null): WashRuns {
  return readStored(allSchema, text, {});
}
