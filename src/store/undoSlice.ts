import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** The last change that can be taken back in one tap; null when there is none on offer. */
export interface UndoOffer {
  /** What was done, in words. */
  readonly said: string;
  /** The records to withdraw; none where nothing was done, and only that is said. */
  readonly recordIds: readonly string[];
}

export const undoSlice = createSlice({
  name: 'undo',
  initialState: null as UndoOffer | null,
  reducers: {
    undoOffered: (_, action: PayloadAction<UndoOffer>) => action.payload,
    undoClosed: () => null,
  },
});

export const { undoOffered, undoClosed } = undoSlice.actions;
export const selectUndo = (root: { readonly undo: UndoOffer | null }) => root.undo;
