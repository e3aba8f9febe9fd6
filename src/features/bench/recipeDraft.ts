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
};

/** A draft of a text alone, with what it says of itself. */
export function draftOfText(text: string, parsed: ParsedRecipe, fallbackName: string): RecipeDraft {
  const { title, told } = parsed;
  return {
    ...EMPTY_RECIPE,
    text,
    name: title ?? fallbackName,
    contactMinutes: told.minutes === null ? EMPTY_RECIPE.contactMinutes : String(told.minutes),
    warmth: told.warmth ?? EMPTY_RECIPE.warmth,
  };
}

export function draftOf(version: RecipeVersion): RecipeDraft {
  const { name, text, use, contactMinutes, warmth, countedAs } = version;
  return { name, text, use, contactMinutes: String(contactMinutes), warmth, countedAs };
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
  });
  if (result.success) return ok(result.data);
  return failedBySchema(result.error.issues, ({ path }) => ({ path: String(path[0] ?? 'text') }));
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
