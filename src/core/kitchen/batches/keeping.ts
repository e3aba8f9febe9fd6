import keepingList from '../../../../data/keeping.json';
import { worded } from '../../base/language';
import { invariant, sum } from '../../base/measures';
import { isOil } from '../../recipe/ingredients';
import { partGrams, surviving, type WeighedLine } from '../../recipe/larder';
import type { KeepingClass, Place } from '../../records/shapes';

interface KeepingRule {
  readonly id: KeepingClass;
  readonly label: string;
  readonly roomDays: number;
  readonly fridgeDays: number;
  readonly freezerDays: number;
  readonly why: string;
  /** How spoilage shows, and what looks like it and is not. */
  readonly signs: string;
}

const KEEPING_RULES = new Map(
  (keepingList as KeepingRule[]).map((rule) => [rule.id, worded(rule, 'label', 'why', 'signs')]),
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
  readonly signs: string;
  /** Oil and water part in it: it is shaken before it is used. */
  readonly separates: boolean;
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
  const mixture = !wet
    ? oilClass(lines)
    : preservative >= (PRESERVED_FROM / 100) * total
      ? 'preserved'
      : 'water';
  const parts = lines.map((line) => ({ name: line.ingredient.name, rule: ruleIn(line, mixture) }));
  const days = DAYS_OF[place];
  const [shortest] = [{ name: '', rule: keepingRule(mixture) }, ...parts].sort(
    (a, b) => a.rule[days] - b.rule[days],
  );
  invariant(shortest, 'a mixture has at least its own class');
  return {
    days: shortest.rule[days],
    limitedBy: shortest.name || shortest.rule.label,
    why: shortest.rule.why,
    signs: shortest.rule.signs,
    separates: wet && separates(lines, total),
  };
}

/** Water, g in 100 g, of a plant that is not dry. */
const FRESH_WATER = 50;

/** Herbs that stood in oil, dry or fresh, change how it keeps; an oil alone goes rancid in its own time. */
function oilClass(lines: readonly WeighedLine[]): KeepingClass {
  const plants = lines.filter(
    ({ ingredient, preparation }) => preparation?.strain === true && !isOil(ingredient),
  );
  if (plants.length === 0) return 'oil';
  return plants.some(({ ingredient }) => ingredient.composition.water > FRESH_WATER)
    ? 'fresh-in-oil'
    : 'infused-oil';
}

/** Oil, share of the weight, that shows on top of water; what binds it, g in 100 g of the mixture (working assumptions). */
const PARTS_FROM = 0.02;
const BINDS_FROM = 0.3;

/** Oil on water with nothing that holds them together: no emulsifier, conditioner, egg yolk, gum or starch. */
function separates(lines: readonly WeighedLine[], total: number): boolean {
  const oil = sum(
    lines.map(({ ingredient, grams }) =>
      isOil(ingredient) || ingredient.roles.includes('essential-oil') ? grams : 0,
    ),
  );
  const binds = sum(
    lines.map((line) => {
      const { emulsifier = 0, cationic = 0, mucilage = 0 } = line.ingredient.actives;
      const thickens =
        line.ingredient.roles.some((role) => BINDING.has(role)) || line.ingredient.composition.starch > 5;
      return (line.grams * (emulsifier + cationic + mucilage + (thickens ? 10 : 0))) / 100;
    }),
  );
  return oil > PARTS_FROM * total && binds < (BINDS_FROM / 100) * total;
}

const BINDING: ReadonlySet<string> = new Set(['emulsifier', 'thickener', 'conditioner', 'protein', 'slip']);

const FOOD: ReadonlySet<KeepingClass> = new Set<KeepingClass>([
  'same-day',
  'egg',
  'dairy',
  'gelatin',
  'plant-milk',
  'fresh',
  'cooked',
  'root',
]);

/** Food keeps its own limit in any mixture; what keeps dry or in oil is as good as the mixture it is in. */
function ruleIn({ ingredient, preparation }: WeighedLine, mixture: KeepingClass): KeepingRule {
  const isCooked = preparation?.stages.some(({ do: what }) => what === 'boil' || what === 'bake') === true;
  const keeping = ingredient.keeping === 'fresh' && isCooked ? 'cooked' : ingredient.keeping;
  // A herb in oil is no cooked plant, and a fresh one there is worse than fruit.
  const isInOil = mixture === 'infused-oil' || mixture === 'fresh-in-oil' || mixture === 'oil';
  const isPlant = keeping === 'cooked' || (keeping === 'fresh' && mixture === 'fresh-in-oil');
  return keepingRule(FOOD.has(keeping) && !(isInOil && isPlant) ? keeping : mixture);
}
