import { z } from 'zod';
import { t } from '../language';
import { calendarDaySchema, idSchema, recordBaseSchema } from '../measures';

/** What a beat is in its day. */
export const SLOTS = ['pre-poo', 'main', 'follow-up', 'refresh', 'mist', 'scalp', 'serum'] as const;
export type Slot = (typeof SLOTS)[number];

/** The "recipe" of a wash without any treatment, which a trial can ask for. */
export const PLAIN_WASH_ID = 'plain-wash';

/**
 * What she decided about the plan. "place": this recipe on this day, whatever the planner thinks; "avoid": not this recipe
 * on this day, or nothing at all in this slot where no recipe is named.
 */
export const decisionSchema = recordBaseSchema
  .extend({
    kind: z.literal('decision'),
    headId: idSchema,
    day: calendarDaySchema,
    slot: z.enum(SLOTS),
    what: z.enum(['place', 'avoid']),
    recipeId: idSchema.nullable(),
  })
  .refine(({ what, recipeId }) => what === 'avoid' || recipeId !== null, {
    path: ['recipeId'],
    message: t`Choose what is to be done that day.`,
  });
export type Decision = z.infer<typeof decisionSchema>;

/** Slots between the washes: they move no forecast and ask for no free day. */
const SMALL_SLOTS: ReadonlySet<Slot> = new Set<Slot>(['refresh', 'mist', 'scalp', 'serum']);

export function isSmall({ slot }: { readonly slot: Slot }): boolean {
  return SMALL_SLOTS.has(slot);
}

type Placed = Pick<Decision, 'day' | 'slot'> & { readonly recipeId: string };

/** The decision that put this here, if she did. */
export function placedBy<Known extends Decision>(
  decisions: readonly Known[],
  { day, slot, recipeId }: Placed,
): Known | undefined {
  return decisions.find(
    (each) => each.what === 'place' && each.day === day && each.slot === slot && each.recipeId === recipeId,
  );
}

/** Whether she wants this not here, or nothing at all in its slot. */
export function isAvoided(decisions: readonly Decision[], { day, slot, recipeId }: Placed): boolean {
  return decisions.some(
    (each) =>
      each.what === 'avoid' &&
      each.day === day &&
      each.slot === slot &&
      (each.recipeId === null || each.recipeId === recipeId),
  );
}
