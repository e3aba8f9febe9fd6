import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';
import { VIEWS } from '@/core/measures';

/** How this browser shows things; not part of a backup. */
export const prefsSchema = z.object({
  theme: z.enum(['system', 'light', 'dark']),
  /** The head on screen; null before there is any. */
  headId: z.string().nullable(),
  /** What “a cup” holds. */
  cup: z.enum(['us', 'metric']),
  /** How amounts are shown. */
  view: z.enum(VIEWS),
  /** How many CSS pixels of this screen are a millimetre; null until it was held against a card. */
  pixelsPerMm: z.number().min(1).max(30).nullable(),
  /** Clocks of a wash day ring. */
  sound: z.boolean(),
  /** Its steps are read aloud. */
  aloud: z.boolean(),
});
export type Prefs = z.infer<typeof prefsSchema>;

const initialState: Prefs = {
  theme: 'system',
  headId: null,
  cup: 'us',
  view: 'grams',
  pixelsPerMm: null,
  sound: true,
  aloud: false,
};

export const prefsSlice = createSlice({
  name: 'prefs',
  initialState,
  reducers: {
    prefsLoaded: (_, action: PayloadAction<Prefs>) => action.payload,
    themeChosen(state, action: PayloadAction<Prefs['theme']>) {
      state.theme = action.payload;
    },
    cupChosen(state, action: PayloadAction<Prefs['cup']>) {
      state.cup = action.payload;
    },
    viewChosen(state, action: PayloadAction<Prefs['view']>) {
      state.view = action.payload;
    },
    rulerCalibrated(state, action: PayloadAction<number>) {
      state.pixelsPerMm = action.payload;
    },
    soundChosen(state, action: PayloadAction<boolean>) {
      state.sound = action.payload;
    },
    aloudChosen(state, action: PayloadAction<boolean>) {
      state.aloud = action.payload;
    },
    headChosen(state, action: PayloadAction<string>) {
      state.headId = action.payload;
    },
  },
});

export const {
  prefsLoaded,
  themeChosen,
  cupChosen,
  viewChosen,
  headChosen,
  rulerCalibrated,
  soundChosen,
  aloudChosen,
} = prefsSlice.actions;
export const selectPrefs = (root: { readonly prefs: Prefs }) => root.prefs;

/** Stored text to prefs; what is missing or not valid falls back to the defaults. */
export function readPrefs(text: string | null): Prefs {
  try {
    const parsed = prefsSchema.partial().safeParse(JSON.parse(text ?? '{}'));
    return { ...initialState, ...(parsed.success ? parsed.data : {}) };
  } catch {
    return initialState;
  }
}
