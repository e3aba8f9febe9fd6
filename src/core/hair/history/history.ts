import { CATALOGUE_LARDER, type Larder } from '../../recipe/larder';
import type {
  Decision,
  HeadEvent,
  KitItem,
  Occasion,
  PatchTest,
  PlanSettings,
  Reading,
  RecipeVersion,
  Rhythm,
  Session,
  Trial,
  TrialWash,
  Forecast,
  WashDay,
} from '../../records/shapes';

/** What is known of one head, as it counts today. */
export interface HeadHistory {
  /** All versions of all recipes. */
  readonly recipes: readonly RecipeVersion[];
  /** What the recipes are made of. */
  readonly larder: Larder;
  readonly patchTests: readonly PatchTest[];
  /** Of the whole head. */
  readonly readings: readonly Reading[];
  /** Of one side, for a trial of two sides. */
  readonly sideReadings: readonly Reading[];
  readonly sessions: readonly Session[];
  /** Whole wash days as they were; their treatments are among the sessions. */
  readonly washDays: readonly WashDay[];
  readonly events: readonly HeadEvent[];
  readonly trials: readonly Trial[];
  readonly trialWashes: readonly TrialWash[];
  /** Stored before their readings. */
  readonly forecasts: readonly Forecast[];
  readonly decisions: readonly Decision[];
  /** Those of everybody among them. */
  readonly occasions: readonly Occasion[];
  readonly planSettings: readonly PlanSettings[];
  readonly rhythms: readonly Rhythm[];
  /** What the household lacks. */
  readonly lacks: readonly KitItem[];
}

/** Nothing is known yet. */
export const EMPTY_HISTORY: HeadHistory = {
  recipes: [],
  larder: CATALOGUE_LARDER,
  patchTests: [],
  readings: [],
  sessions: [],
  washDays: [],
  events: [],
  sideReadings: [],
  trials: [],
  trialWashes: [],
  forecasts: [],
  decisions: [],
  occasions: [],
  planSettings: [],
  rhythms: [],
  lacks: [],
};
