import { t } from '@lingui/core/macro';
import type { Href } from 'expo-router';
import { perLanguage } from '@/core/base/language';

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
export const actions = perLanguage((): readonly Action[] => [
  to('/', t`Today`, '1', t`now`),
  to('/week', t`Week`, '2', t`plan forecast calendar`),
  to('/recipes', t`Recipes`, '3', t`recipes`),
  to('/hair', t`Hair`, '4', t`check hair state`),
  to('/people', t`People`, '5', t`people profile`),
  to('/wash', t`Wash day`, 'w', t`session begin start`),
  to('/hair/measure', t`Check hair`, 'r', t`measure stretch tally`),
  to('/recipes/new', t`New recipe`, 'n', t`new paste`),
  to('/recipes/compare', t`Compare two recipes`, 'c'),
  to('/shelf', t`Shelf`, 's', t`batches portions`),
  to('/pantry', t`Pantry`, 'p', t`ingredients prices`),
  to('/hair/log', t`Log`, 'l', t`history past treatments`),
  to('/hair/works', t`What works`, null, t`effects`),
  to('/hair/trials', t`Trials`, null, t`question compare`),
  to('/hair/event', t`Something happened`, null, t`event heat dye swim`),
  to('/hair/report', t`A sheet for a stylist or a doctor`, null, t`report print`),
  to('/week/days', t`Days`, null, t`style event no wash holiday`),
  to('/week/rules', t`Rules of the plan`, null, t`weights spacing`),
  to('/week/try', t`Try a rhythm out`, null, t`what if`),
  to('/people/opinions', t`What counts as protein`, null, t`disagree protein`),
  to('/people/settings', t`Settings`, null, t`theme dark text size units sound language`),
  to('/people/backup', t`Backup & export`, 'k', t`export import backup copies delete csv`),
]);

/** Keys that do something other than to lead somewhere. */
export const otherKeys = perLanguage(
  () =>
    [
      { keys: '?', label: t`This list` },
      { keys: t`/ or Ctrl K`, label: t`Go anywhere by its name, on a wide screen` },
      { keys: t`Ctrl Z`, label: t`Undo what was saved last` },
      { keys: t`Escape`, label: t`Close what is open` },
      { keys: t`Tab, Enter, arrows`, label: t`Everything else` },
    ] as const,
);

/** Where a key leads; nowhere where it is none of them. */
export function placeOfKey(key: string): Action['to'] | undefined {
  return actions().find((action) => action.key === key)?.to;
}
