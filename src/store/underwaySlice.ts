import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';
import { instantSchema } from '@/core/base/measures';
import { TAPS, type Tap } from '@/core/hair/checks';
import { READING_LIMITS, strandSchema, type Strand } from '@/core/records/shapes';
import { readStored } from './readStored';

const underwaySchema = z.strictObject({
  /** A count while detangling: what was tapped, in order. */
  taps: z.array(z.enum(TAPS)).max(2 * READING_LIMITS.pieces),
  /** Strands of a stretch test that are measured already. */
  strands: z.array(strandSchema).max(READING_LIMITS.strands),
  /** When the hair was blotted and left to dry. */
  dryingSince: instantSchema.nullable(),
});
/** What is being read on one head and is no check yet. */
export type Underway = z.infer<typeof underwaySchema>;

const allSchema = z.record(z.string().max(64), underwaySchema);
type UnderwayByHead = z.infer<typeof allSchema>;

const nothing = (): Underway => ({ taps: [], strands: [], dryingSince: null });
const NOTHING = nothing();

type OnHead<Part> = PayloadAction<{ readonly headId: string } & Part>;

/** Survives a reload and a locked screen; a reading takes its place when it is saved. */
export const underwaySlice = createSlice({
  name: 'underway',
  initialState: {} as UnderwayByHead,
  reducers: {
    underwayLoaded: (_, action: PayloadAction<UnderwayByHead>) => action.payload,
    tapped(state, { payload: { headId, tap } }: OnHead<{ tap: Tap }>) {
      const head = (state[headId] ??= nothing());
      head.taps.push(tap);
    },
    untapped(state, { payload: { headId } }: OnHead<object>) {
      state[headId]?.taps.pop();
    },
    strandTaken(state, { payload: { headId, strand } }: OnHead<{ strand: Strand }>) {
      const head = (state[headId] ??= nothing());
      head.strands.push(strand);
    },
    strandDropped(state, { payload: { headId, index } }: OnHead<{ index: number }>) {
      state[headId]?.strands.splice(index, 1);
    },
    dryingStarted(state, { payload: { headId, at } }: OnHead<{ at: string }>) {
      const head = (state[headId] ??= nothing());
      head.dryingSince = at;
    },
    /** One part is done with: saved as a reading, or given up. */
    underwayEnded(state, { payload: { headId, part } }: OnHead<{ part: keyof Underway }>) {
      const head = state[headId];
      if (head) state[headId] = { ...head, [part]: NOTHING[part] };
    },
  },
});

export const { underwayLoaded, tapped, untapped, strandTaken, strandDropped, dryingStarted, underwayEnded } =
  underwaySlice.actions;

export const selectUnderway =
  (headId: string) =>
  (root: { readonly underway: UnderwayByHead }): Underway =>
    root.underway[headId] ?? NOTHING;

export const selectAllUnderway = (root: { readonly underway: UnderwayByHead }) => root.underway;

/** Stored text to what is under way; what cannot be read is nothing. */
export function readUnderway(text: string | null): UnderwayByHead {
  return readStored(allSchema, text, {});
}
