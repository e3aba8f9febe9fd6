import { t } from '@lingui/core/macro';
import { z } from 'zod';
import { idSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';

/** What she has of one ingredient and what it costs; a change is a new record of the same ingredient. */
export const pantryItemSchema = recordBaseSchema.extend({
  kind: z.literal('pantry'),
  ingredientId: idSchema,
  /** Grams that are left; null when she has some and does not know how much, 0 when it ran out. */
  gramsLeft: z.number().min(0).max(50_000).nullable(),
  pack: z
    .strictObject({
      grams: z
        .number({ error: () => t`Write the grams of a pack.` })
        .positive()
        .max(50_000),
      price: z
        .number({ error: () => t`Write the price of a pack.` })
        .min(0)
        .max(10_000),
    })
    .nullable(),
});
export type PantryItem = z.infer<typeof pantryItemSchema>;
