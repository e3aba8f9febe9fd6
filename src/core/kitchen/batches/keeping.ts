import keepingList from '../../../../data/keeping.json';
import { worded } from '../../base/language';
import { invariant, sum } from '../../base/measures';
import { partGrams, surviving, type WeighedLine } from '../../recipe/larder';
import type { Ingredient, KeepingClass, Place } from '../../records/shapes';

interface KeepingRule {
  readonly id: KeepingClass;
  readonly label: string;
  readonly roomDays: number;
  readonly fridgeDays: number;
  readonly freezerDays: number;
  readonly why: string;
}

const KEEPING_RULES = new Map(
  (keepingList as KeepingRule[]).map((rule) => [rule.id, worded(rule, 'label', 'why')]),
);

export function keepingRule(id: KeepingClass): KeepingRule {
  const rule = KEEPING_RULES.get(id);
  invariant(rule, `data/keeping.json has no class ${id}`);
  return rule;
}

const DAYS_OF: Record<Place, 'roomDays' | 'fridgeDays' | 'freezerDays'> = {
  room: 'roomDays',
  fridge: 'fridgeDays',
  freezer: 'freezerDays',
};

/** Water above which a mixture can spoil, share of its weight. */
const WET = 0.05;
/** Preservative that keeps a mixture of water and oil, g per 100 g; fresh food it does not keep (working assumption). */
const PRESERVED_FROM = 0.4;
/** A thawed portion: used within a day, never frozen again. */
export const THAWED_DAYS = 1;

export interface Keeping {
  readonly days: number;
  /** What spoils first, and why. */
  readonly limitedBy: string;
  readonly why: string;
}

/** How many days a mixture keeps in one place: as long as the part that keeps the shortest. */
export function keepingOf(lines: readonly WeighedLine[], place: Place): Keeping {
  const total = sum(lines.map((line) => line.grams));
  const wet = sum(lines.map((line) => partGrams(line, 'water'))) > WET * total;
  const preservative = sum(
    lines.map(
      ({ grams, ingredient, preparation }) =>
        (grams * (ingredient.actives.preservative ?? 0) * surviving(preparation, 'preservative')) / 100,
    ),
  );
  const mixture = !wet ? 'oil' : preservative >= (PRESERVED_FROM / 100) * total ? 'preserved' : 'water';
  const parts = lines.map(({ ingredient }) => ({ name: ingredient.name, rule: ruleIn(ingredient, mixture) }));
  const days = DAYS_OF[place];
  const [shortest] = [{ name: '', rule: keepingRule(mixture) }, ...parts].sort(
    (a, b) => a.rule[days] - b.rule[days],
  );
  invariant(shortest, 'a mixture has at least its own class');
  return {
    days: shortest.rule[days],
    limitedBy: shortest.name || shortest.rule.label,
    why: shortest.rule.why,
  };
}

/** Food keeps its own limit in any mixture; what keeps dry or in oil is as good as the mixture it is in. */
function ruleIn({ keeping }: Ingredient, mixture: KeepingClass): KeepingRule {
  const isFood = ['same-day', 'fresh', 'cooked', 'root'].includes(keeping);
  return keepingRule(isFood ? keeping : mixture);
}
