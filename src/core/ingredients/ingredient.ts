import { z } from 'zod';
import { idSchema } from '../measures';

/** Grams per 100 g of the ingredient as it is measured out, before any preparation. */
const per100g = z.number().min(0).max(100);

/**
 * What the ingredient is made of. `sugars` are the free sugars; `starch` is the digestible rest of the
 * carbohydrate; `fibre` is what a strainer or a comb finds. What is missing to 100 g is ash, acids and actives.
 */
export const compositionSchema = z.strictObject({
  water: per100g,
  protein: per100g,
  fat: per100g,
  sugars: per100g,
  starch: per100g,
  fibre: per100g,
});
export type Composition = z.infer<typeof compositionSchema>;
export type Component = keyof Composition;

/**
 * The parts that act on hair beyond the food table, in grams per 100 g of the ingredient.
 * - humectant: glycerin, honey's sugars, panthenol: draws water
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
export const activeSchema = z.enum(ACTIVES);
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
  'tannin',
  'dye',
  'surfactant',
  'essential-oil',
  'thickener',
  'preservative',
  'emulsifier',
  'carrier',
] as const;

/** How long the ingredient lets a fresh mixture keep; days and reasons stand in keeping.ts. */
export const KEEPING_CLASSES = ['same-day', 'fresh', 'cooked', 'water', 'dry', 'oil', 'preserved'] as const;

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
  /** It must be strained, or bits stay in the hair. */
  strain: z.boolean(),
  /** Hours that must pass before it can be used. */
  leadHours: z.number().min(0).max(72),
});
export type Preparation = z.infer<typeof preparationSchema>;

export const measuresSchema = z.strictObject({
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

export const ingredientSchema = z.strictObject({
  id: idSchema,
  name: z.string().min(1).max(80),
  /** Other names, other languages, plurals that do not just add "s". */
  names: z.array(z.string().min(1).max(80)),
  composition: compositionSchema,
  proteinForm: z.enum(PROTEIN_FORMS),
  fatKind: z.enum(FAT_KINDS),
  actives: z.partialRecord(activeSchema, per100g),
  roles: z.array(z.enum(ROLES)).min(1),
  measures: measuresSchema,
  preparations: z.array(preparationSchema),
  pH: z.number().min(0).max(14).optional(),
  allergens: z.array(z.string().min(1)),
  keeping: z.enum(KEEPING_CLASSES),
  /** Ids of sources.json, one for each group of figures. */
  sources: z.strictObject({ composition: idSchema, actives: idSchema, measures: idSchema }),
});
export type Ingredient = z.infer<typeof ingredientSchema>;

/** Where a figure comes from and how far it can be trusted. */
export const sourceSchema = z.strictObject({
  id: idSchema,
  title: z.string().min(1),
  /** "measured": a published table; "label": a supplier's usual figures; "assumed": a working assumption. */
  kind: z.enum(['measured', 'label', 'assumed']),
});
export type Source = z.infer<typeof sourceSchema>;
