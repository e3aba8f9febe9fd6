import { msg } from '@lingui/core/macro';
import { worded } from '../../base/language';
import type { Constraint, Programme, SolveProgramme } from '../../base/programme';
import {
  classifyLines,
  HALF_LOAD,
  lineLoads,
  type TreatmentKind,
  type Verdict,
} from '../../recipe/classification';
import { partGrams, remainingGrams, surviving, usualLine, type WeighedLine } from '../../recipe/larder';
import { AS_WRITTEN, type Active, type School, type Science } from '../../records/shapes';
import type { StockedIngredient } from './substitutes';

/** A kind of treatment to make, as bands of the loads that the verdict reads, g per 100 g of finished mask. */
interface Wish {
  readonly label: string;
  readonly kind: TreatmentKind;
  readonly firm: readonly [number, number];
  readonly soft: readonly [number, number];
  readonly fat: readonly [number, number];
}

/** From and to in half loads, as grams per 100 g of finished mask. */
const band = (half: number) => (from: number, to: number) => [from * half, to * half] as const;
const firm = band(HALF_LOAD.firm);
const soft = band(HALF_LOAD.soft);

/**
 * The wishes; firm and soft are bands in half loads of the verdict: a strength of s is s/(5 − s) half loads, so 0.625 to 0.875
 * reads from 1.9 to 2.3, and a kind must lead the other by 1.3 times with some room.
 */
export const WISHES = {
  'light-protein': worded(
    {
      label: msg`a light protein`,
      kind: 'protein',
      firm: firm(0.625, 0.875),
      soft: soft(0, 0.4125),
      fat: [0, 12],
    },
    'label',
  ),
  'strong-protein': worded(
    {
      label: msg`a strong protein`,
      kind: 'protein',
      firm: firm(1.667, 3.75),
      soft: soft(0, 0.625),
      fat: [0, 12],
    },
    'label',
  ),
  'light-moisture': worded(
    {
      label: msg`a light moisture`,
      kind: 'moisture',
      firm: firm(0, 0.208),
      soft: soft(0.4375, 0.75),
      fat: [0, 12],
    },
    'label',
  ),
  'strong-moisture': worded(
    {
      label: msg`a strong moisture`,
      kind: 'moisture',
      firm: firm(0, 0.417),
      soft: soft(1.125, 3.125),
      fat: [0, 15],
    },
    'label',
  ),
  oil: worded(
    { label: msg`an oil pre-poo`, kind: 'oil', firm: firm(0, 0.25), soft: soft(0, 0.5), fat: [60, 100] },
    'label',
  ),
} as const satisfies Record<string, Wish>;
export type WishId = keyof typeof WISHES;

const BATCH_GRAMS = 100;
const MOST_PARTS = 5;
const PROPOSALS = 3;
/** Less than this of anything is not worth opening the jar, g per 100 g; what has a usual range starts there. */
const LEAST_SHARE = 2;
/** Essential oil at most, g per 100 g, as in the cautions. */
const ESSENTIAL_OIL_MOST = 0.5;
const ACID_MOST = 0.6;
/**
 * A mask that is not an oil needs body, or it runs off: protein, starch, fibre and fatty alcohols by their grams, gums as
 * ten times and gelatin, which sets, as five times theirs; g per 100 g (working assumption).
 */
const BODY_LEAST = 3;
const GUM_BODY = 10;
const GELATIN_BODY = 5;
/** An oil treatment holds hardly anything but oil: water would part from it, powder would sink. */
const BESIDE_OIL_MOST = 3;
/** Of one thing other than water at most, so that a proposal is a recipe. */
const SHARE_MOST = 85;

export interface PantryRecipe {
  readonly lines: readonly WeighedLine[];
  readonly verdict: Verdict;
}

/**
 * Recipes of the wished kind from what is there, the simplest first, each carried by another ingredient; none where the
 * pantry does not reach.
 */
export function makeFromPantry(
  wish: WishId,
  stock: readonly StockedIngredient[],
  school: School,
  solve: SolveProgramme,
  science: Science = AS_WRITTEN,
): PantryRecipe[] {
  const candidates = stock
    .filter(({ gramsLeft }) => gramsLeft === null || gramsLeft >= LEAST_SHARE / 10)
    .map((stocked) => ({ ...stocked, one: usualLine(stocked.ingredient, 1) }));
  const found: PantryRecipe[] = [];
  const taken: string[] = [];
  // A wish may need more tries than proposals: what the verdict reads otherwise is passed over.
  for (let attempt = 0; attempt < 2 * PROPOSALS && found.length < PROPOSALS; attempt++) {
    const solution = solve(programmeFor(WISHES[wish], candidates, school, taken));
    if (solution.status !== 'optimal') break;
    const chosen = candidates.flatMap(({ one }, index) => {
      const grams = solution.values[`x${index}`] ?? 0;
      return grams > 0.01 ? [{ line: { ...one, grams, line: index }, index }] : [];
    });
    const leader = leading(WISHES[wish].kind, chosen, school);
    if (leader === undefined) break;
    taken.push(`b${leader}`);
    const lines = chosen
      .map(({ line }, index) => ({ ...line, line: index }))
      .sort((a, b) => b.grams - a.grams);
    const verdict = classifyLines(lines, school, undefined, science);
    if (verdict.ok && verdict.value.kind === WISHES[wish].kind) found.push({ lines, verdict: verdict.value });
  }
  return found;
}

type Candidate = StockedIngredient & { readonly one: WeighedLine };

/** Index of what carries the wished kind. */
function leading(
  kind: TreatmentKind,
  chosen: readonly { readonly line: WeighedLine; readonly index: number }[],
  school: School,
): number | undefined {
  const carried = (line: WeighedLine) => {
    const { firm, soft, penetratingOil, sealingOil } = lineLoads(line, school).loads;
    return kind === 'protein' ? firm : kind === 'oil' ? penetratingOil + sealingOil : soft;
  };
  return [...chosen].sort((a, b) => carried(b.line) - carried(a.line))[0]?.index;
}

function bodyGrams(line: WeighedLine): number {
  const { ingredient, preparation, grams } = line;
  const active = (part: Active) =>
    (grams * (ingredient.actives[part] ?? 0) * surviving(preparation, part)) / 100;
  const protein = partGrams(line, 'protein') * (ingredient.proteinForm === 'gelatin' ? GELATIN_BODY : 1);
  const food = protein + partGrams(line, 'starch') + partGrams(line, 'fibre');
  return food + GUM_BODY * active('mucilage') + active('emollient') + active('cationic');
}

function programmeFor(
  wish: Wish,
  candidates: readonly Candidate[],
  school: School,
  taken: readonly string[],
): Programme {
  const names = candidates.map((_, index) => ({ x: `x${index}`, b: `b${index}` }));
  const loads = candidates.map(({ one }) => lineLoads(one, school).loads);
  const bodies = candidates.map(({ one }) => bodyGrams(one));
  const yields = candidates.map(({ one }) => remainingGrams(one));
  const row = (of: (index: number) => number) =>
    names.map(({ x }, index) => ({ name: x, factor: of(index) }));
  const within = (of: (index: number) => number, [low, high]: readonly [number, number]): Constraint[] => [
    { terms: row(of), is: '>=', value: low },
    { terms: row(of), is: '<=', value: high },
  ];
  const load = (kind: keyof (typeof loads)[number]) => (index: number) => loads[index]?.[kind] ?? 0;
  const fat = (index: number) => load('penetratingOil')(index) + load('sealingOil')(index);
  const most = candidates.map(({ ingredient, gramsLeft }) =>
    Math.min(
      gramsLeft ?? Infinity,
      ingredient.usualShare?.to ?? (ingredient.id === 'water' ? 300 : SHARE_MOST),
    ),
  );
  const least = candidates.map(({ ingredient }, index) =>
    Math.min(most[index] ?? 0, ingredient.usualShare?.from ?? LEAST_SHARE),
  );
  return {
    // Few ingredients first; among equals the one that takes less of what is not water.
    minimise: [
      ...names.map(({ b }) => ({ name: b, factor: 1 })),
      ...row((index) => 0.0005 * (candidates[index]?.ingredient.id === 'water' ? 0 : 1)),
    ],
    constraints: [
      {
        terms: names.map(({ x }, index) => ({ name: x, factor: yields[index] ?? 0 })),
        is: '=',
        value: BATCH_GRAMS,
      },
      ...within(load('firm'), wish.firm),
      ...within(load('soft'), wish.soft),
      ...within(fat, wish.fat),
      { terms: row(load('essentialOil')), is: '<=', value: ESSENTIAL_OIL_MOST },
      { terms: row(load('acid')), is: '<=', value: ACID_MOST },
      { terms: row(load('surfactant')), is: '<=', value: ESSENTIAL_OIL_MOST },
      { terms: row(load('dye')), is: '<=', value: ESSENTIAL_OIL_MOST },
      wish.kind === 'oil'
        ? { terms: row((index) => (yields[index] ?? 0) - fat(index)), is: '<=', value: BESIDE_OIL_MOST }
        : {
            terms: row((index) => bodies[index] ?? 0),
            is: '>=',
            value: BODY_LEAST,
          },
      ...names.flatMap(({ x, b }, index): Constraint[] => [
        {
          terms: [
            { name: x, factor: 1 },
            { name: b, factor: -(most[index] ?? 0) },
          ],
          is: '<=',
          value: 0,
        },
        {
          terms: [
            { name: x, factor: 1 },
            { name: b, factor: -(least[index] ?? 0) },
          ],
          is: '>=',
          value: 0,
        },
      ]),
      { terms: names.map(({ b }) => ({ name: b, factor: 1 })), is: '<=', value: MOST_PARTS },
      { terms: names.map(({ b }) => ({ name: b, factor: 1 })), is: '>=', value: 2 },
      ...taken.map((name) => ({ terms: [{ name, factor: 1 }], is: '<=' as const, value: 0 })),
    ],
    bounds: names.map(({ x }, index) => ({ name: x, low: 0, high: most[index] ?? 0 })),
    binary: names.map(({ b }) => b),
  };
}
