import type { Decision, Slot } from '../../records/shapes';

/** The "recipe" of a wash without any treatment, which a trial can ask for. */
export const PLAIN_WASH_ID = 'plain-wash';

/** Slots between the washes: they move no forecast and ask for no free day. */
const SMALL_SLOTS: ReadonlySet<Slot> = new Set<Slot>(['refresh', 'mist', 'scalp', 'serum', 'leave-in']);

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
