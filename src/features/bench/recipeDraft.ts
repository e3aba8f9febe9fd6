import { type Problem, type Result } from '@/core/measures';
import { parseRecipe, recipeVersionSchema, savedLine, type RecipeVersion } from '@/core/recipes';

/** A recipe as it stands in the form. */
export interface RecipeDraft {
  readonly name: string;
  readonly text: string;
  readonly use: RecipeVersion['use'];
  readonly contactMinutes: string;
  readonly warmth: RecipeVersion['warmth'];
}

export const EMPTY_RECIPE: RecipeDraft = {
  name: '',
  text: '',
  use: 'mask',
  contactMinutes: '30',
  warmth: 'room',
};

export function draftOf(version: RecipeVersion): RecipeDraft {
  const { name, text, use, contactMinutes, warmth } = version;
  return { name, text, use, contactMinutes: String(contactMinutes), warmth };
}

type Stamp = Pick<RecipeVersion, 'id' | 'recordedAt' | 'recipeId' | 'version'>;

/** Checks a draft and makes the version; problems carry the draft's own field names. */
export function versionFromDraft(draft: RecipeDraft, stamp: Stamp): Result<RecipeVersion> {
  const parsed = parseRecipe(draft.text);
  if (!parsed.ok)
    return {
      ok: false,
      problems: parsed.problems.map((problem) => ({ ...problem, path: 'text' })) as [Problem],
    };
  if (!parsed.value.lines.some((line) => line.status === 'read')) {
    return {
      ok: false,
      problems: [
        {
          code: 'nothing-weighed',
          path: 'text',
          message: 'Not one line is understood yet; mend at least one before saving.',
        },
      ],
    };
  }
  const minutes = Number(draft.contactMinutes.trim().replace(',', '.'));
  if (draft.contactMinutes.trim() === '' || !Number.isInteger(minutes) || minutes < 1 || minutes > 720) {
    return {
      ok: false,
      problems: [{ code: 'minutes', path: 'contactMinutes', message: 'Write whole minutes, 1 to 720.' }],
    };
  }
  const result = recipeVersionSchema.safeParse({
    ...stamp,
    kind: 'recipe',
    name: draft.name,
    text: draft.text,
    use: draft.use,
    warmth: draft.warmth,
    contactMinutes: minutes,
    lines: parsed.value.lines.map(savedLine),
  });
  if (result.success) return { ok: true, value: result.data };
  const problems = result.error.issues.map((issue): Problem => ({
    code: issue.code,
    message: issue.message,
    path: String(issue.path[0] ?? 'text'),
  }));
  return { ok: false, problems: problems as [Problem, ...Problem[]] };
}
