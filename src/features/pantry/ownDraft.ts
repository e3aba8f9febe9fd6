import { msg, t } from '@lingui/core/macro';
import { perLanguage, worded } from '@/core/base/language';
import { failed, failedBySchema, ok, rounded, sum, type Result } from '@/core/base/measures';
import { productFromLabel, type LabelReading } from '@/core/recipe/products';
import {
  FAT_KINDS,
  ownIngredientSchema,
  PROTEIN_FORMS,
  type Ingredient,
  type OwnIngredient,
  type Role,
  Allergy,
} from '@/core/records/shapes';
import { numberFrom } from '../shared/amounts';

/** Figures that can be typed, per 100 g; empty is none. */
export const FIGURES = [
  worded({ key: 'water', label: msg`Water` }, 'label'),
  worded({ key: 'protein', label: msg`Protein` }, 'label'),
  worded({ key: 'fat', label: msg`Fat, oil` }, 'label'),
  worded({ key: 'sugars', label: msg`Sugars` }, 'label'),
  worded({ key: 'starch', label: msg`Starch` }, 'label'),
  worded({ key: 'fibre', label: msg`Fibre` }, 'label'),
  worded({ key: 'humectant', label: msg`Humectants` }, 'label'),
  worded({ key: 'mucilage', label: msg`Gums` }, 'label'),
  worded({ key: 'cationic', label: msg`Conditioner` }, 'label'),
  worded({ key: 'tannin', label: msg`Tannin` }, 'label'),
  worded({ key: 'acid', label: msg`Acid` }, 'label'),
] as const;
type FigureKey = (typeof FIGURES)[number]['key'];

/** An ingredient of her own, as it stands in the form. */
export interface OwnDraft {
  readonly name: string;
  readonly by: 'label' | 'figures';
  readonly label: string;
  readonly figures: Record<FigureKey, string>;
  readonly proteinForm: Ingredient['proteinForm'];
  readonly fatKind: Ingredient['fatKind'];
  readonly gramsPerMl: string;
  readonly keeping: 'preserved' | 'fresh' | 'cooked' | 'oil' | 'dry';
  /** What somebody could react to in it; a label's own allergens are added. */
  readonly allergens: readonly Allergy[];
}

export const NEW_OWN: OwnDraft = {
  name: '',
  by: 'label',
  label: '',
  figures: Object.fromEntries(FIGURES.map(({ key }) => [key, ''])) as Record<FigureKey, string>,
  proteinForm: 'intact',
  fatKind: 'sealing',
  gramsPerMl: '1',
  keeping: 'preserved',
  allergens: [],
};

type Stamp = Pick<OwnIngredient, 'id' | 'recordedAt'>;

/** What a label says, for showing it while it is typed; null before there is one. */
export function labelOf(draft: OwnDraft): Result<LabelReading> | null {
  return draft.by === 'label' && draft.label.trim() !== ''
    ? productFromLabel('draft', draft.name.trim() || t`this product`, draft.label)
    : null;
}

/** Checks a draft and makes the record; problems carry the draft's own field names. */
export function ownFromDraft(draft: OwnDraft, stamp: Stamp): Result<OwnIngredient> {
  const id = `own-${stamp.id}`;
  if (draft.name.trim() === '') return failed('name', t`Give the ingredient a name.`, 'name');
  const made: Result<{ ingredient: Ingredient; note: string }> =
    draft.by === 'label' ? fromLabel(draft, id) : fromFigures(draft, id);
  if (!made.ok) return made;
  const parsed = ownIngredientSchema.safeParse({ ...stamp, kind: 'ingredient', ...made.value });
  if (parsed.success) return ok(parsed.data);
  return failedBySchema(parsed.error.issues, ({ path }) => ({
    path: path.includes('name') ? 'name' : draft.by === 'label' ? 'label' : 'gramsPerMl',
  }));
}

function fromLabel(draft: OwnDraft, id: string): Result<{ ingredient: Ingredient; note: string }> {
  const reading = productFromLabel(id, draft.name.trim(), draft.label);
  if (!reading.ok) return reading;
  const { ingredient, said } = reading.value;
  const allergens = [...new Set([...ingredient.allergens, ...draft.allergens])];
  return ok({
    ingredient: { ...ingredient, allergens },
    note: t`${said} Label: ${{ draft: draft.label.trim().slice(0, 1500) }}`,
  });
}

function fromFigures(draft: OwnDraft, id: string): Result<{ ingredient: Ingredient; note: string }> {
  const value = {} as Record<FigureKey, number>;
  for (const { key } of FIGURES) {
    const text = draft.figures[key];
    value[key] = text.trim() === '' ? 0 : numberFrom(text);
    if (!(value[key] >= 0 && value[key] <= 100))
      return failed('figure', t`Write grams in 100 g, 0 to 100.`, `figures.${key}`);
  }
  const { water, protein, fat, sugars, starch, fibre, ...actives } = value;
  const named = sum([water, protein, fat, sugars, starch, fibre]);
  if (named > 100.5)
    return failed(
      'too-much',
      t`These add to ${{ named: rounded(named, 1) }} g; 100 g cannot hold more than 100.`,
      'figures.water',
    );
  if (named + sum(Object.values(actives)) === 0)
    return failed('nothing', t`Write at least one figure.`, 'figures.water');
  const gramsPerMl = numberFrom(draft.gramsPerMl);
  if (!(gramsPerMl >= 0.1 && gramsPerMl <= 2))
    return failed('density', t`Write grams in a millilitre, 0.1 to 2; water is 1.`, 'gramsPerMl');
  return ok({
    note: t`Figures typed in by hand.`,
    ingredient: {
      id,
      name: draft.name.trim(),
      names: [],
      composition: {
        water,
        protein,
        fat,
        sugars,
        starch,
        fibre,
        other: Math.max(0, rounded(100 - named, 2)),
      },
      proteinForm: protein > 0 ? draft.proteinForm : 'none',
      fatKind: fat > 0 ? draft.fatKind : 'none',
      actives: Object.fromEntries(Object.entries(actives).filter(([, share]) => share > 0)),
      roles: rolesOf(value, draft.fatKind),
      measures: { gramsPerMl },
      preparations: [],
      allergens: [...draft.allergens],
      keeping: draft.keeping,
      sources: { composition: 'own-figures', actives: 'own-figures', measures: 'own-figures' },
    },
  });
}

/** From so much of it on an ingredient plays a part, g in 100 g. */
const PLAYS_FROM: readonly (readonly [FigureKey, number, Role])[] = [
  ['protein', 3, 'protein'],
  ['humectant', 2, 'humectant'],
  ['sugars', 10, 'humectant'],
  ['mucilage', 0.3, 'slip'],
  ['cationic', 0.3, 'conditioner'],
  ['tannin', 1, 'tannin'],
  ['acid', 0.5, 'acid'],
  ['starch', 20, 'thickener'],
];

function rolesOf(value: Record<FigureKey, number>, fatKind: Ingredient['fatKind']): Role[] {
  const roles = new Set(PLAYS_FROM.flatMap(([key, from, role]) => (value[key] >= from ? [role] : [])));
  if (value.fat >= 5) roles.add(fatKind === 'penetrating' ? 'penetrating-oil' : 'sealing-oil');
  return roles.size > 0 ? [...roles] : ['carrier'];
}

export const proteinFormOptions = perLanguage(() => {
  const words = {
    'amino-acids': t`amino acids`,
    hydrolysed: t`hydrolysed`,
    gelatin: t`gelatin`,
    intact: t({ message: 'whole', context: 'protein that is not broken down' }),
  };
  return PROTEIN_FORMS.filter((form) => form !== 'none').map((value) => ({ value, label: words[value] }));
});
export const fatKindOptions = perLanguage(() => {
  const words = { penetrating: t`enters the strand`, sealing: t`stays on it` };
  return FAT_KINDS.filter((kind) => kind !== 'none').map((value) => ({ value, label: words[value] }));
});
