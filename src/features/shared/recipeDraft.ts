import { t } from '@lingui/core/macro';
import { failed, failedBySchema, ok, type CupKind, type Result } from '@/core/base/measures';
import { toldSteps } from '@/core/kitchen/methods';
import { checkNoCycle, savedLine, type Larder, type ParsedRecipe } from '@/core/recipe/larder';
import { parseRecipe, type OwnMeasures } from '@/core/recipe/parsing';
import { recipeVersionSchema, type RecipeVersion, type SavedStep } from '@/core/records/shapes';
import type { RecipeDraft } from '@/store';

export const EMPTY_RECIPE: RecipeDraft = {
  name: '',
  text: '',
  use: 'mask',
  contactMinutes: '30',
  warmth: 'room',
  alsoAs: [],
  onScalp: 'no',
};

/** A draft of a text alone, with what it says of itself. */
export function draftOfText(text: string, parsed: ParsedRecipe, fallbackName: string): RecipeDraft {
  const { title, told } = parsed;
  return {
    ...EMPTY_RECIPE,
    text,
    use: saidUse(title ?? '') ?? EMPTY_RECIPE.use,
    name: title ?? fallbackName,
    contactMinutes: told.minutes === null ? EMPTY_RECIPE.contactMinutes : String(told.minutes),
    warmth: told.warmth ?? EMPTY_RECIPE.warmth,
  };
}

export function draftOf(version: RecipeVersion): RecipeDraft {
  const { name, text, use, contactMinutes, warmth, countedAs, alsoAs = [], onScalp } = version;
  return {
    name,
    text,
    use,
    contactMinutes: String(contactMinutes),
    warmth,
    countedAs,
    alsoAs,
    onScalp: onScalp ? 'yes' : 'no',
  };
}

type Stamp = Pick<RecipeVersion, 'id' | 'recordedAt' | 'recipeId' | 'version'>;

/**
 * Checks a draft and makes the version; problems carry the draft's own field names.
 * @param before the version that it changes: steps that were arranged stay as long as the text does
 */
export function versionFromDraft(
  draft: RecipeDraft,
  stamp: Stamp,
  reading: {
    readonly larder: Larder;
    readonly cup: CupKind;
    readonly own?: OwnMeasures | undefined;
    readonly hairGrams?: number | undefined;
  },
  before?: RecipeVersion,
): Result<RecipeVersion> {
  const parsed = parseRecipe(draft.text, reading);
  if (!parsed.ok) return failed(parsed.problems[0].code, parsed.problems[0].message, 'text');
  if (!parsed.value.lines.some((line) => line.status === 'read')) {
    return failed(
      'nothing-weighed',
      t`Not one line is understood yet; mend at least one before saving.`,
      'text',
    );
  }
  const lines = parsed.value.lines.map((line) => savedLine(line, draft.text));
  const round = checkNoCycle(
    { recipeId: stamp.recipeId, name: draft.name || t`this recipe` },
    lines,
    reading.larder,
  );
  if (!round.ok) return failed(round.problems[0].code, round.problems[0].message, 'text');
  const minutes = Number(draft.contactMinutes.trim().replace(',', '.'));
  if (draft.contactMinutes.trim() === '' || !Number.isInteger(minutes) || minutes < 1 || minutes > 720) {
    return failed('minutes', t`Write whole minutes, 1 to 720.`, 'contactMinutes');
  }
  const result = recipeVersionSchema.safeParse({
    ...stamp,
    kind: 'recipe',
    name: draft.name,
    text: draft.text,
    use: draft.use,
    warmth: draft.warmth,
    contactMinutes: minutes,
    lines,
    ...(parsed.value.told.strained ? { strained: true } : {}),
    ...methodFor(draft.text, before, () => toldSteps(parsed.value, lines, reading.larder)),
    ...(draft.countedAs ? { countedAs: draft.countedAs } : {}),
    ...alsoUsed(draft),
  });
  if (result.success) return ok(result.data);
  return failedBySchema(result.error.issues, ({ path }) => ({ path: String(path[0] ?? 'text') }));
}

function alsoUsed({ use, alsoAs = [], onScalp }: RecipeDraft): Pick<RecipeVersion, 'alsoAs' | 'onScalp'> {
  const others = alsoAs.filter((other) => other !== use);
  return {
    ...(others.length > 0 ? { alsoAs: others } : {}),
    ...(onScalp === 'yes' ? { onScalp: true } : {}),
  };
}

/** Words of a name that say what it is used as, as they are written in the languages of the application. */
const USE_WORDS: readonly (readonly [RegExp, RecipeVersion['use']])[] = [
  [/\bpre[- ]?poo\b|\bpr[eé][- ]?shampoo\b|\bumecta[cç][aã]o\b/iu, 'pre-poo'],
  [/\bleave[- ]?in\b|\bsem enx[aá]gue\b/iu, 'leave-in'],
  [/\bscalp (oil|serum)\b|\b[oó]leo (para o|de) couro cabeludo\b/iu, 'scalp-oil'],
  [/\bmist\b|\bspritz\b|\bspray\b|\bbruma\b/iu, 'mist'],
  [/\brinse\b|\bench?[aá]gue\b/iu, 'rinse'],
  [/\bserum\b|\bs[eé]rum\b/iu, 'serum'],
];

/** What a name says that it is used as; undefined where it says nothing. */
export function saidUse(name: string): RecipeVersion['use'] | undefined {
  return USE_WORDS.find(([words]) => words.test(name))?.[1];
}

/** Steps that were put in order by hand stay as long as the text does; else those that it tells. */
function methodFor(
  text: string,
  before: RecipeVersion | undefined,
  told: () => SavedStep[] | undefined,
): Pick<RecipeVersion, 'method' | 'arranged'> {
  if (before?.arranged && before.method && before.text === text)
    return { method: before.method, arranged: true };
  const method = told();
  return method ? { method } : {};
}
