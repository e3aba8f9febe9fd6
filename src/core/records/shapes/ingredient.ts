import { t } from '@lingui/core/macro';
import { z } from 'zod';
import sourceList from '../../../../data/ingredients/sources.json';
import { idSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';

/** Grams per 100 g of the ingredient as it is measured out, before any preparation. */
const per100g = z.number().min(0).max(100);

/**
 * What the ingredient is made of; the parts add to about 100. `sugars` are the free sugars; `starch` is the digestible
 * rest of the carbohydrate; `fibre` is what a strainer or a comb finds; `other` is ash, acids and every active that
 * none of the columns holds.
 */
export const compositionSchema = z.strictObject({
  water: per100g,
  protein: per100g,
  fat: per100g,
  sugars: per100g,
  starch: per100g,
  fibre: per100g,
  other: per100g,
});
export type Composition = z.infer<typeof compositionSchema>;
export type Component = keyof Composition;

/**
 * The parts that act on hair beyond the food table, in grams per 100 g of the ingredient.
 * - humectant: glycerin, panthenol: draws water (honey's sugars stand in the composition)
 * - mucilage: gums and seed gels: holds water, gives slip
 * - cationic: positively charged conditioners
 * - emollient: fatty alcohols, waxes of a conditioner
 * - tannin: plant polyphenols and lawsone: bind keratin and firm without being protein
 * - acid: free organic acid
 * - surfactant, dye, essentialOil, preservative, emulsifier: as the word says
 */
export const ACTIVES = [
  'humectant',
  'mucilage',
  'cationic',
  'emollient',
  'tannin',
  'acid',
  'surfactant',
  'dye',
  'essentialOil',
  'preservative',
  'emulsifier',
] as const;
const activeSchema = z.enum(ACTIVES);
export type Active = (typeof ACTIVES)[number];

/** How far the protein has been taken apart: it decides how much of it can act on hair. */
export const PROTEIN_FORMS = ['none', 'amino-acids', 'hydrolysed', 'gelatin', 'intact'] as const;
export type ProteinForm = (typeof PROTEIN_FORMS)[number];

/** Whether the oil slips into the strand (straight, short chains) or stays on it as a film. */
export const FAT_KINDS = ['none', 'penetrating', 'sealing'] as const;

export const ROLES = [
  'humectant',
  'slip',
  'protein',
  'penetrating-oil',
  'sealing-oil',
  'conditioner',
  'acid',
  'alkali',
  'tannin',
  'dye',
  'surfactant',
  'essential-oil',
  'thickener',
  'preservative',
  'emulsifier',
  'carrier',
] as const;
export type Role = (typeof ROLES)[number];

/** How long the ingredient lets a fresh mixture keep; days and reasons stand in data/keeping.json. */
export const KEEPING_CLASSES = [
  'same-day',
  'egg',
  'dairy',
  'gelatin',
  'plant-milk',
  'fresh',
  'cooked',
  'root',
  'water',
  'dry',
  'infused-oil',
  'fresh-in-oil',
  'oil',
  'preserved',
] as const;
export type KeepingClass = (typeof KEEPING_CLASSES)[number];

/** One thing done in preparing, with {name} standing for the ingredient. */
export const stageSchema = z.strictObject({
  do: z.enum([
    'peel',
    'grind',
    'grate',
    'sift',
    'soak',
    'bloom',
    'steep',
    'boil',
    'bake',
    'ferment',
    'drain',
    'rinse',
    'melt',
    'blend',
    'whisk',
    'strain',
    'rest',
    'cool',
  ]),
  /** From its start to its end. */
  minutes: z.number().int().min(1).max(2880),
  /** Of those, how many take her hands. */
  hands: z.number().int().min(0).max(60),
  text: z.string().min(1),
  /** Done in the recipe's water, which must be measured out before. */
  inWater: z.literal(true).optional(),
});
export type Stage = z.infer<typeof stageSchema>;

/** The share, 0 to 1, of each part that is still in the bowl after this preparation. */
const surviving = z.number().min(0).max(1);

export const preparationSchema = z.strictObject({
  id: idSchema,
  label: z.string().min(1),
  /** Words in a recipe line that mean this preparation, lower case. */
  words: z.array(z.string().min(1)),
  /** Taken when the line says nothing. */
  usual: z.boolean(),
  survives: z.partialRecord(z.enum([...compositionSchema.keyof().options, ...ACTIVES]), surviving),
  /** Of the weight, the share that is the plant as the composition describes it; the rest is its own water. */
  solids: z.number().gt(0).max(1).optional(),
  /** Density when it is measured in this state, g/ml; the ingredient's own where absent. */
  gramsPerMl: z.number().min(0.1).max(2).optional(),
  /** Its words mean it only from this volume on: a cup of nettle tea is a brew, a spoon of nettle for tea is the herb. */
  fromMl: z.number().positive().optional(),
  /** It must be strained, or bits stay in the hair. */
  strain: z.boolean(),
  stages: z.array(stageSchema),
});
export type Preparation = z.infer<typeof preparationSchema>;

const measuresSchema = z.strictObject({
  /** Bulk density as spooned, g/ml. */
  gramsPerMl: z.number().min(0.1).max(2),
  pieceGrams: z
    .strictObject({
      small: z.number().positive(),
      medium: z.number().positive(),
      large: z.number().positive(),
    })
    .optional(),
  /** What one is called when it is counted: "sheet" of gelatin, "clove" of garlic. */
  pieceWords: z.array(z.string()).optional(),
  leafGrams: z.number().positive().optional(),
  packetGrams: z.number().positive().optional(),
});

/** Id of one of sources.json. */
const sourceIdSchema = z.enum(sourceList.map(({ id }) => id));

/** Percent of a finished batch. */
const shareSchema = z
  .strictObject({ from: per100g, to: per100g })
  .refine(({ from, to }) => from <= to, { error: () => t`A range goes from the smaller to the greater.` });

export const ingredientSchema = z.strictObject({
  id: idSchema,
  name: z
    .string()
    .trim()
    .min(1, { error: () => t`Give the ingredient a name.` })
    .max(80, { error: () => t`A name may have 80 characters.` }),
  /** Other names, other languages, plurals that do not just add "s". */
  names: z.array(z.string().min(1).max(80)).max(60),
  composition: compositionSchema,
  proteinForm: z.enum(PROTEIN_FORMS),
  fatKind: z.enum(FAT_KINDS),
  actives: z.partialRecord(activeSchema, per100g),
  /** First dissociation constant of its acid; citric acid's where none is given. */
  acidPKa: z.number().min(1).max(10).optional(),
  roles: z.array(z.enum(ROLES)).min(1),
  measures: measuresSchema,
  preparations: z.array(preparationSchema),
  pH: z.number().min(0).max(14).optional(),
  allergens: z.array(z.string().min(1)),
  keeping: z.enum(KEEPING_CLASSES),
  /** What makers usually stay within; absent where any share is usual. */
  usualShare: shareSchema.optional(),
  /** Goes in only when the batch is cooler than this. */
  coolBelowC: z.number().min(20).max(100).optional(),
  /** It is no liquid: so little of it is pinched, not dripped. */
  powder: z.literal(true).optional(),
  /**
   * Ids of sources.json: one for each group of figures, and more exact ones by the figure's own path, such as
   * "measures.pieceGrams". A figure without an entry has the source of its kind in figureSources.json.
   */
  sources: z
    .object({ composition: sourceIdSchema, actives: sourceIdSchema, measures: sourceIdSchema })
    .catchall(sourceIdSchema),
});
export type Ingredient = z.infer<typeof ingredientSchema>;

/** An ingredient of her own or a bought product, as one stored record; a change is a new record of the same id within. */
export const ownIngredientSchema = recordBaseSchema.extend({
  kind: z.literal('ingredient'),
  ingredient: ingredientSchema,
  /** Where its figures come from, in her words or made from its label; shown with it. */
  note: z.string().max(2000),
});
export type OwnIngredient = z.infer<typeof ownIngredientSchema>;

/** Where a figure comes from and how far it can be trusted. */
export const sourceSchema = z.strictObject({
  id: idSchema,
  title: z.string().min(1),
  /** "measured": a published table; "label": a supplier's usual figures; "assumed": a working assumption. */
  kind: z.enum(['measured', 'label', 'assumed']),
});
export type Source = z.infer<typeof sourceSchema>;
