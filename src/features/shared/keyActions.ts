import type { Href } from 'expo-router';

/** A place to go to, by key or by name. */
export interface Action {
  /** The key that leads there on its own; null where only the name does. */
  readonly key: string | null;
  readonly label: string;
  readonly to: Href & string;
  /** Other words that it is looked for by. */
  readonly words: string;
}

const to = (href: Href & string, label: string, key: string | null = null, words = ''): Action => ({
  key,
  label,
  to: href,
  words,
});

/** Everywhere one can go, in the order of the places. */
export const ACTIONS: readonly Action[] = [
  to('/', 'Today', '1', 'now'),
  to('/week', 'Week', '2', 'plan thread calendar'),
  to('/bench', 'Bench', '3', 'recipes'),
  to('/strand', 'Strand', '4', 'readings state'),
  to('/heads', 'Heads', '5', 'people profile'),
  to('/wash', 'Wash day', 'w', 'session begin start'),
  to('/strand/take', 'Take a reading', 'r', 'measure stretch tally'),
  to('/bench/new', 'Read a recipe', 'n', 'new paste'),
  to('/bench/compare', 'Compare two recipes', 'c'),
  to('/shelf', 'Shelf', 's', 'batches portions'),
  to('/pantry', 'Pantry', 'p', 'ingredients prices'),
  to('/strand/log', 'Log', 'l', 'history past treatments'),
  to('/strand/works', 'What works', null, 'effects'),
  to('/strand/trials', 'Trials', null, 'question compare'),
  to('/strand/event', 'Something happened', null, 'event heat dye swim'),
  to('/strand/report', 'A sheet for a stylist or a doctor', null, 'report print'),
  to('/week/days', 'Days', null, 'style event no wash holiday'),
  to('/week/rules', 'Rules of the plan', null, 'weights spacing'),
  to('/week/try', 'Try a rhythm out', null, 'what if'),
  to('/heads/schools', 'Schools', null, 'disagree protein'),
  to('/heads/settings', 'Settings', null, 'theme dark text size units sound'),
  to('/heads/keeping', 'Keeping', 'k', 'export import backup copies delete csv'),
];

/** Keys that do something other than to lead somewhere. */
export const OTHER_KEYS = [
  { keys: '?', label: 'This list' },
  { keys: '/ or Ctrl K', label: 'Go anywhere by its name, on a wide screen' },
  { keys: 'Escape', label: 'Close what is open' },
  { keys: 'Tab, Enter, arrows', label: 'Everything else' },
] as const;

export function actionOfKey(key: string): Action | undefined {
  return ACTIONS.find((action) => action.key === key);
}
