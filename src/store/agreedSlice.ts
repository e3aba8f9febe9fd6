import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { CalendarDay } from '@/core/measures';
import type { Agreement, PlanNote } from '@/core/scheduling';

/** By head: the plan that was agreed, and what changed with it, until she has seen it. */
export type AgreedState = Readonly<
  Record<
    string,
    {
      readonly agreement: Agreement;
      readonly note: (PlanNote & { readonly on: CalendarDay }) | null;
    }
  >
>;

export const agreedSlice = createSlice({
  name: 'agreed',
  initialState: {} as AgreedState,
  reducers: {
    agreedLoaded: (_, action: PayloadAction<AgreedState>) => action.payload,
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
export const selectAgreed = (root: { readonly agreed: AgreedState }) => root.agreed;

/** Stored text to what was agreed; what cannot be read is forgotten, and the next plan stands for itself. */
export function readAgreed(text: string | null): AgreedState {
  try {
    const raw: unknown = JSON.parse(text ?? '{}');
    return isAgreed(raw) ? raw : {};
  } catch {
    return {};
  }
}

/** The worker that reads it checks its shape; here only that it is one of ours. */
function isAgreed(raw: unknown): raw is AgreedState {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) return false;
  return Object.values(raw).every(
    (each: unknown) =>
      typeof each === 'object' &&
      each !== null &&
      Array.isArray((each as { agreement?: { beats?: unknown } }).agreement?.beats),
  );
}
