import { z } from 'zod';
import { addDays, daysBetween, instantSchema, type CalendarDay, type Result } from '../../base/measures';
import { failedDepth, type Larder, type MadeRef } from '../../recipe/larder';
import {
  DATA_VERSION,
  readRecordFile,
  sortedKeys,
  writeRecordFile,
  type FileFormat,
} from '../../records/files';
import {
  ofKind,
  ownIngredientSchema,
  RECIPE_LIMITS,
  recipeVersionSchema,
  rhythmSchema,
  type OwnIngredient,
  type RecipeVersion,
  type Rhythm,
  type SavedLine,
  type StoredRecord,
} from '../../records/shapes';

const RECIPE_FORMAT = 'velvet-rhythm-recipes' satisfies FileFormat;
/** Records of a file: more than anybody passes on at once. */
const MOST_RECORDS = 2000;

/** Recipes to pass to a friend, with what they are made of: their own ingredients and the recipes within them; and rhythms. */
export const recipeFileSchema = z.strictObject({
  format: z.literal(RECIPE_FORMAT),
  version: z.literal(DATA_VERSION),
  exportedAt: instantSchema,
  records: z
    .array(z.discriminatedUnion('kind', [recipeVersionSchema, ownIngredientSchema, rhythmSchema]))
    .max(MOST_RECORDS),
});
export type RecipeFile = z.infer<typeof recipeFileSchema>;

/** The newest versions of these recipes as a file, each with all that it needs to be read elsewhere. */
export function writeRecipes(
  larder: Larder,
  recipeIds: readonly string[],
  own: readonly OwnIngredient[],
  exportedAt: string,
  rhythms: readonly Rhythm[] = [],
): string {
  const versions = new Map<string, RecipeVersion>();
  const open = recipeIds.flatMap((recipeId) => larder.lastVersion(recipeId) ?? []);
  for (let version = open.pop(); version; version = open.pop()) {
    if (versions.has(version.id)) continue;
    versions.set(version.id, version);
    for (const { made } of version.lines) {
      const inner = made && larder.recipe(made.recipeId, made.version, made.recordId);
      if (inner) open.push(inner);
    }
  }
  const used = new Set(
    [...versions.values()].flatMap(({ lines }) => lines.map(({ ingredientId }) => ingredientId)),
  );
  const ingredients = new Map(
    own.filter(({ ingredient }) => used.has(ingredient.id)).map((each) => [each.ingredient.id, each]),
  );
  // Whose correction it once was is no matter of the friend's.
  const records = [...ingredients.values(), ...versions.values(), ...rhythms].map(
    ({ corrects: _, ...record }) => record,
  );
  return writeRecordFile(RECIPE_FORMAT, { exportedAt, records });
}

/** A rhythm to share, with the recipe that it is of: a challenge that a friend begins on her own day. */
export function writeRhythm(
  larder: Larder,
  rhythm: Rhythm,
  own: readonly OwnIngredient[],
  exportedAt: string,
): string {
  const recipeIds = 'recipeId' in rhythm.of ? [rhythm.of.recipeId] : [];
  return writeRecipes(larder, recipeIds, own, exportedAt, [{ ...rhythm, endedOn: null }]);
}

/** Reads a file of recipes. Nothing of a file with a problem is taken. */
export function readRecipes(text: string): Result<RecipeFile> {
  const file = readRecordFile(text, RECIPE_FORMAT, recipeFileSchema);
  return file.ok && deepest(file.value) > RECIPE_LIMITS.nesting + 1 ? failedDepth() : file;
}

/** How many recipes of a file stand within one another at most; one that is made of itself is not gone into again. */
function deepest({ records }: RecipeFile): number {
  const recipes = records.flatMap((each) => (each.kind === 'recipe' ? [each] : []));
  const inner = innerOf(recipes);
  const depths = new Map<string, number>();
  for (const recipe of recipes) {
    const way = [recipe];
    const on = new Set([recipe.id]);
    for (let last = way.at(-1); last; last = way.at(-1)) {
      const within = last.lines.flatMap(({ made }) => (made && inner(made)) ?? []);
      const open = within.find(({ id }) => !depths.has(id) && !on.has(id));
      if (open) {
        way.push(open);
        on.add(open.id);
        continue;
      }
      depths.set(last.id, 1 + Math.max(0, ...within.map(({ id }) => depths.get(id) ?? 0)));
      way.pop();
      on.delete(last.id);
    }
  }
  return Math.max(0, ...depths.values());
}

/** Of these recipes the one that a line names: by its record, or the first with its number. */
function innerOf(recipes: readonly RecipeVersion[]): (made: MadeRef) => RecipeVersion | undefined {
  const byId = new Map(recipes.map((each) => [each.id, each]));
  const byNumber = new Map<string, RecipeVersion>();
  for (const each of recipes) {
    const key = `${each.recipeId}/${each.version}`;
    if (!byNumber.has(key)) byNumber.set(key, each);
  }
  return ({ recipeId, version, recordId }) =>
    byId.get(recordId ?? '') ?? byNumber.get(`${recipeId}/${version}`);
}

/** What taking recipes in would add. */
export interface RecipesTaken {
  readonly records: readonly (RecipeVersion | OwnIngredient | Rhythm)[];
  /** Rhythms that begin today. */
  readonly rhythms: readonly Rhythm[];
  /** Names of the recipes that come, as they will be called here. */
  readonly names: readonly string[];
  /** Names of those that are here already, whatever they are called there. */
  readonly same: readonly string[];
}

/**
 * Recipes of another person as recipes of one's own: new records of today, beside what is here and never in its place.
 * The same recipe is taken once; one of the same identity that says something else comes under a new one.
 */
export function recipesTaken(
  file: RecipeFile,
  here: {
    readonly larder: Larder;
    readonly records: readonly StoredRecord[];
    /** Who begins the rhythms of the file, if anybody is described, and when. */
    readonly headId: string | null;
    readonly today: CalendarDay;
  },
  stamp: () => { readonly id: string; readonly recordedAt: string },
): RecipesTaken {
  const taking = new Taking(file, here, stamp);
  return taking.all();
}

class Taking {
  private readonly records: (RecipeVersion | OwnIngredient | Rhythm)[] = [];
  private readonly names: string[] = [];
  private readonly same: string[] = [];
  private readonly ingredientIds = new Map<string, string>();
  /** By id as they are in the file. */
  private readonly taken = new Map<string, RecipeVersion>();
  private readonly recipeIds = new Map<string, string>();
  /** All versions of a recipe are called the same. */
  private readonly namesOf = new Map<string, string>();
  private readonly knownRecipes: readonly RecipeVersion[];
  private readonly knownIds: ReadonlySet<string>;
  private readonly usedNames: Set<string>;
  private readonly versions: readonly RecipeVersion[];
  private readonly inner: ReturnType<typeof innerOf>;

  constructor(
    private readonly file: RecipeFile,
    private readonly here: Parameters<typeof recipesTaken>[1],
    private readonly stamp: Parameters<typeof recipesTaken>[2],
  ) {
    this.knownRecipes = ofKind(here.records, 'recipe');
    this.knownIds = new Set(this.knownRecipes.map(({ recipeId }) => recipeId));
    this.usedNames = new Set(here.larder.recipes.map(({ name }) => name.toLowerCase()));
    this.versions = file.records.flatMap((each) => (each.kind === 'recipe' ? [each] : []));
    this.inner = innerOf(this.versions);
  }

  all(): RecipesTaken {
    for (const record of this.file.records) if (record.kind === 'ingredient') this.takeIngredient(record);
    for (const version of this.versions) this.take(version, new Set());
    const rhythms = this.file.records.flatMap((each) =>
      each.kind === 'rhythm' ? this.rhythmHere(each) : [],
    );
    this.records.push(...rhythms);
    return { records: this.records, rhythms, names: [...new Set(this.names)], same: [...new Set(this.same)] };
  }

  /** Begun today, and as long as it was there. */
  private rhythmHere({ corrects: _, ...rhythm }: Rhythm): Rhythm[] {
    const { headId, today } = this.here;
    if (headId === null) return [];
    const stamp = this.stamp();
    const of =
      'recipeId' in rhythm.of
        ? { recipeId: this.recipeIds.get(rhythm.of.recipeId) ?? this.takenId(rhythm.of.recipeId) }
        : rhythm.of;
    const until = rhythm.until === null ? null : addDays(today, daysBetween(rhythm.startsOn, rhythm.until));
    return [
      {
        ...rhythm,
        ...stamp,
        rhythmId: stamp.id,
        headId,
        of,
        startsOn: today,
        until,
        toldOn: today,
        endedOn: null,
      },
    ];
  }

  /** What a recipe of the file is called here, where it was here already. */
  private takenId(recipeId: string): string {
    const version = this.versions.find((each) => each.recipeId === recipeId);
    return (version && this.taken.get(version.id)?.recipeId) ?? recipeId;
  }

  private takeIngredient({ corrects: _, ...record }: OwnIngredient): void {
    const { ingredient } = record;
    const known = this.here.larder.ingredient(ingredient.id);
    if (known && textOf(known) === textOf(ingredient)) {
      this.ingredientIds.set(ingredient.id, ingredient.id);
      return;
    }
    const stamp = this.stamp();
    const id = known ? stamp.id : ingredient.id;
    this.ingredientIds.set(ingredient.id, id);
    this.records.push({ ...record, ...stamp, ingredient: { ...ingredient, id } });
  }

  /** @param within the recipes that are being taken: one that is made of itself ends here */
  private take(version: RecipeVersion, within: ReadonlySet<string>): RecipeVersion {
    const key = version.id;
    const done = this.taken.get(key);
    if (done || within.has(key)) return done ?? version;
    const lines = version.lines.map((line) => this.lineHere(line, new Set([...within, key])));
    const contents = contentsOf({ ...version, lines });
    const twin = this.knownRecipes.findLast((known) => contentsOf(known) === contents);
    if (twin) {
      this.same.push(twin.name);
      this.taken.set(key, twin);
      return twin;
    }
    const stamp = this.stamp();
    const recipeId =
      this.recipeIds.get(version.recipeId) ??
      (this.knownIds.has(version.recipeId) ? stamp.id : version.recipeId);
    this.recipeIds.set(version.recipeId, recipeId);
    const name = this.namesOf.get(recipeId) ?? this.freeName(version.name);
    this.namesOf.set(recipeId, name);
    const { corrects: _, ...rest } = version;
    const taken: RecipeVersion = { ...rest, ...stamp, recipeId, name, lines };
    this.records.push(taken);
    this.names.push(name);
    this.taken.set(key, taken);
    return taken;
  }

  private lineHere({ made, ingredientId, ...line }: SavedLine, within: ReadonlySet<string>): SavedLine {
    const inner = made && this.inner(made);
    const here = inner && this.take(inner, within);
    return {
      ...line,
      ingredientId: ingredientId === null ? null : (this.ingredientIds.get(ingredientId) ?? ingredientId),
      ...(made
        ? { made: here ? { recipeId: here.recipeId, version: here.version, recordId: here.id } : made }
        : {}),
    };
  }

  private freeName(name: string): string {
    let free = name;
    for (let count = 2; this.usedNames.has(free.toLowerCase()); count++)
      free = `${name.slice(0, RECIPE_LIMITS.nameCharacters - 5)} (${count})`;
    this.usedNames.add(free.toLowerCase());
    return free;
  }
}

const textOf = (value: unknown) => JSON.stringify(sortedKeys(value));

/** What makes two recipes the same, whoever wrote them down and when. */
function contentsOf({ text, lines, use, contactMinutes, warmth }: RecipeVersion): string {
  const same = lines.map(({ made, ...line }) => ({
    ...line,
    ...(made ? { made: { recipeId: made.recipeId, version: made.version } } : {}),
  }));
  return textOf({ text, lines: same, use, contactMinutes, warmth });
}
