import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { agreedSchema, type Agreed, type Agreement, type PlanNote } from '@/core/plan/agenda';
import { readStored } from './readStored';

export const agreedSlice = createSlice({
  name: 'agreed',
  initialState: {} as Agreed,
  reducers: {
    agreedLoaded: (_, action: PayloadAction<Agreed>) => action.payload,
    /** A new plan stands; a change that nobody has seen stays until there is a newer one. */
    planAgreed: (
      state,
      action: PayloadAction<
        readonly { readonly headId: string; readonly agreement: Agreement; readonly note: PlanNote | null }[]
      >,
    ) => ({
      ...state,
      ...Object.fromEntries(
        action.payload.map(({ headId, agreement, note }) => [
          headId,
          {
            agreement,
            note: note ? { ...note, on: agreement.asOf } : (state[headId]?.note ?? null),
          },
        ]),
      ),
    }),
    planNoteSeen: (state, action: PayloadAction<string>) => {
      const known = state[action.payload];
      return known ? { ...state, [action.payload]: { ...known, note: null } } : state;
    },
  },
});

export const { agreedLoaded, planAgreed, planNoteSeen } = agreedSlice.actions;
export const selectAgreed = (root: { readonly agreed: Agreed }) => root.agreed;

/** Stored text to what was agreed; what cannot be read is forgotten, and the next plan stands for itself. */
export function readAgreed(text: string | null): Agreed {
  return readStored(agreedSchema, text, {});
}
