import { makeLarder, newestVersions, type Larder } from '../../recipe/larder';
import { inOrder, liveRecords } from '../../records/log';
import {
  lacksOf,
  newestHeads,
  occasionsOf,
  ofKind,
  scienceOf,
  type Head,
  type RecipeVersion,
  type Session,
  type StoredRecord,
} from '../../records/shapes';
import { batchUses, gramsUsed } from './batchUses';
import type { HeadHistory } from './history';

/** The heads that are described today, in the order in which they were first written down: a correction moves nobody. */
export function headsIn(records: readonly StoredRecord[], live = liveRecords(records)): Head[] {
  const place = new Map<string, number>();
  for (const [index, { headId }] of inOrder(ofKind(records, 'head')).entries())
    if (!place.has(headId)) place.set(headId, index);
  return newestHeads(ofKind(live, 'head')).sort(
    (a, b) => (place.get(a.headId) ?? 0) - (place.get(b.headId) ?? 0),
  );
}

/** Everything a recipe can be made of; what was taken back stays readable in old versions. */
export function larderOf(
  records: readonly StoredRecord[],
  live: readonly StoredRecord[] = liveRecords(records),
): Larder {
  const isLive = new Set(live.map(({ id }) => id));
  const former = <T extends { readonly id: string }>(list: readonly T[]) =>
    list.filter(({ id }) => !isLive.has(id));
  return makeLarder({
    own: ofKind(live, 'ingredient'),
    formerOwn: former(ofKind(records, 'ingredient')),
    recipes: ofKind(live, 'recipe'),
    formerRecipes: former(ofKind(records, 'recipe')),
    science: scienceOf(ofKind(live, 'science')),
  });
}

/** What is known of one head: her own readings, sessions and events, and the recipes that all heads share. */
export function historyOf(records: readonly StoredRecord[], headId: string): HeadHistory {
  const live = liveRecords(records);
  return historyFrom(live, larderOf(records, live), headId);
}

/**
 * As {@link historyOf}, where the records that count and the larder are at hand already.
 * @param live records that count today
 */
export function historyFrom(live: readonly StoredRecord[], larder: Larder, headId: string): HeadHistory {
  const own = <T extends { readonly headId: string }>(list: readonly T[]) =>
    list.filter((record) => record.headId === headId);
  const readings = own(ofKind(live, 'reading'));
  return {
    recipes: ofKind(live, 'recipe'),
    readings: readings.filter(({ side }) => side === undefined),
    sideReadings: readings.filter(({ side }) => side !== undefined),
    sessions: withBatchGrams(own(ofKind(live, 'session')), live),
    washDays: own(ofKind(live, 'wash-day')),
    events: own(ofKind(live, 'event')),
    patchTests: own(ofKind(live, 'patch-test')),
    trials: own(ofKind(live, 'trial')),
    trialWashes: own(ofKind(live, 'trial-wash')),
    forecasts: own(ofKind(live, 'forecast')),
    decisions: own(ofKind(live, 'decision')),
    occasions: occasionsOf(ofKind(live, 'occasion'), headId),
    planSettings: own(ofKind(live, 'plan-settings')),
    rhythms: own(ofKind(live, 'rhythm')),
    lacks: lacksOf(ofKind(live, 'kit')),
    larder,
  };
}

/** Sessions with the grams that went on, wherever they are known from. */
function withBatchGrams(sessions: readonly Session[], live: readonly StoredRecord[]): Session[] {
  const uses = batchUses(live);
  if (uses.size === 0) return [...sessions];
  return sessions.map((session) => {
    const grams = gramsUsed(session, uses);
    return grams === session.grams ? session : { ...session, grams };
  });
}

/** Recipes that a plan is made with: those used on the head, and the newest of the others. */
const PLANNED_RECIPES = 60;

/** The recipe that was used, put on a day, or has a rhythm: it has to be known whatever else there is. */
function recipeUsed(record: StoredRecord): string[] {
  if (record.kind === 'session') return [record.recipeId];
  if (record.kind === 'decision') return record.recipeId === null ? [] : [record.recipeId];
  return record.kind === 'rhythm' && 'recipeId' in record.of ? [record.of.recipeId] : [];
}

/**
 * The records that state and plan of some heads are computed from: their own, and of the recipes those they use, the newest
 * others, and what these are made of. With thousands of recipes the rest would only be carried to the worker and back.
 */
export function recordsFor(records: readonly StoredRecord[], headIds: readonly string[]): StoredRecord[] {
  const recipes = ofKind(records, 'recipe');
  const mine = records.filter(
    (record) =>
      record.kind !== 'recipe' &&
      record.kind !== 'photo' &&
      // What is left of a batch depends on whose head it went on, whoever that was.
      (!('headId' in record) ||
        record.kind === 'batch-event' ||
        record.headId === null ||
        headIds.includes(record.headId)),
  );
  const used = new Set(mine.flatMap(recipeUsed));
  const newest = newestVersions(recipes);
  const wanted = new Set([
    ...newest.filter(({ recipeId }) => used.has(recipeId)).map(({ recipeId }) => recipeId),
    ...newest.slice(-PLANNED_RECIPES).map(({ recipeId }) => recipeId),
  ]);
  withInner(wanted, recipes);
  return [...mine, ...recipes.filter(({ recipeId }) => wanted.has(recipeId))];
}

/** Adds the recipes that these are made of, and theirs. @returns the same set */
export function withInner(wanted: Set<string>, recipes: readonly RecipeVersion[]): Set<string> {
  const byRecipe = new Map<string, RecipeVersion[]>();
  for (const version of recipes)
    byRecipe.set(version.recipeId, [...(byRecipe.get(version.recipeId) ?? []), version]);
  const open = [...wanted];
  for (let recipeId = open.pop(); recipeId !== undefined; recipeId = open.pop()) {
    for (const { made } of (byRecipe.get(recipeId) ?? []).flatMap((version) => version.lines)) {
      if (!made || wanted.has(made.recipeId)) continue;
      wanted.add(made.recipeId);
      open.push(made.recipeId);
    }
  }
  return wanted;
}
