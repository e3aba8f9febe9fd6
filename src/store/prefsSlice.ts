import { createSelector, createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';
import { languageSchema } from '@/core/base/language';
import { instantSchema, VIEWS, SHOWN_UNITS } from '@/core/base/measures';
import { effortSchema } from '@/core/plan/agenda';
import type { OwnMeasures } from '@/core/recipe/parsing';

export const TEXT_SIZES = ['100', '115', '130', '150'] as const;
export const WEEK_STARTS = ['monday', 'saturday', 'sunday'] as const;
/** As weekdays are counted, Sunday being 0. */
export const WEEK_START_DAYS = { monday: 1, saturday: 6, sunday: 0 } as const;

/** How this browser shows things; not part of a backup. */
export const LOUDNESSES = ['soft', 'usual', 'loud'] as const;
export type Loudness = (typeof LOUDNESSES)[number];

export const prefsSchema = z.object({
  theme: z.enum(['system', 'light', 'dark']),
  /** Read at start, before any text is shown: see startLanguage. */
  language: languageSchema.or(z.literal('system')),
  /** The head on screen; null before there is any. */
  headId: z.string().nullable(),
  /** What lengths and weights are shown in. */
  units: z.enum(SHOWN_UNITS),
  /** What “a cup” holds. */
  cup: z.enum(['us', 'metric']),
  /** What her own cup and spoon hold, ml; null until she filled them once. */
  myCup: z.number().min(20).max(1000).nullable(),
  mySpoon: z.number().min(1).max(100).nullable(),
  /** Recipes may be spoken; the browser sends what it hears to its maker. */
  dictation: z.boolean(),
  /** How a batch is measured out: in her own measures, or on a scale. */
  measure: z.enum(['own', 'scale']),
  /** How amounts are shown. */
  view: z.enum(VIEWS),
  /** How many CSS pixels of this screen are a millimetre; null until it was held against a card. */
  pixelsPerMm: z.number().min(1).max(30).nullable(),
  /** Clocks of a wash day ring. */
  sound: z.boolean(),
  /** How loud they ring. */
  loudness: z.enum(LOUDNESSES),
  /** Messages of this device while the page is out of sight. */
  notices: z.boolean(),
  /** Hours of the day in which only a clock that was started may speak. */
  quietFrom: z.number().int().min(0).max(23),
  quietTo: z.number().int().min(0).max(23),
  /** Its steps are read aloud. */
  aloud: z.boolean(),
  /** Size of everything on the page, percent. */
  textSize: z.enum(TEXT_SIZES),
  /** "less": nothing moves, whatever the device says. */
  motion: z.enum(['system', 'less']),
  weekStart: z.enum(WEEK_STARTS),
  /** How long a plan is looked for. */
  effort: effortSchema,
  /** Single keys lead to places. */
  keys: z.boolean(),
  /** When everything was last taken out to a file; null if never. */
  exportedAt: instantSchema.nullable(),
});
export type Prefs = z.infer<typeof prefsSchema>;

const initialState: Prefs = {
  theme: 'system',
  language: 'system',
  headId: null,
  units: 'metric',
  cup: 'us',
  myCup: null,
  mySpoon: null,
  dictation: false,
  measure: 'own',
  view: 'grams',
  pixelsPerMm: null,
  sound: true,
  loudness: 'usual',
  notices: false,
  quietFrom: 22,
  quietTo: 7,
  aloud: false,
  textSize: '100',
  motion: 'system',
  weekStart: 'monday',
  effort: 'usual',
  keys: true,
  exportedAt: null,
};

export const prefsSlice = createSlice({
  name: 'prefs',
  initialState,
  reducers: {
    prefsLoaded: (_, action: PayloadAction<Prefs>) => action.payload,
    /** What the settings change. */
    prefsChanged: (state, action: PayloadAction<Partial<Prefs>>) => ({ ...state, ...action.payload }),
    headChosen(state, action: PayloadAction<string>) {
      state.headId = action.payload;
    },
  },
});

export const { prefsLoaded, headChosen, prefsChanged } = prefsSlice.actions;
/** What a recipe's measures hold in her kitchen. */
export const selectOwnMeasures = createSelector(
  [
    (root: { readonly prefs: Prefs }) => root.prefs.myCup,
    (root: { readonly prefs: Prefs }) => root.prefs.mySpoon,
  ],
  (cup, spoon): OwnMeasures => ({
    ...(cup ? { 'my cup': cup } : {}),
    ...(spoon ? { 'my spoon': spoon } : {}),
  }),
);

export const selectPrefs = (root: { readonly prefs: Prefs }) => root.prefs;

/** Stored text to prefs; what is missing or not valid falls back to the defaults. */
export function readPrefs(text: string | null): Prefs {
  try {
    const stored: unknown = JSON.parse(text ?? '{}');
    if (typeof stored !== 'object' || stored === null) return initialState;
    // One by one: a choice that is not known any more takes no other with it.
    const valid = Object.entries(stored).filter(
      ([key, value]) => prefsSchema.partial().safeParse({ [key]: value }).success,
    );
    return { ...initialState, ...prefsSchema.partial().parse(Object.fromEntries(valid)) };
  } catch {
    return initialState;
  }
}
