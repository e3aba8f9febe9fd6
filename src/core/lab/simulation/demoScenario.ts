import { msg, t } from '@lingui/core/macro';
import { worded } from '../../base/language';
import type { Head, RecipeVersion, Rhythm } from '../../records/shapes';

/**
 * The demo: Maren blows glass. Three days a week she stands before the furnace, in dry heat that makes hair rough;
 * on two evenings and at the weekend she has time. Pip, eight, is her sister's boy and stays with her on Sundays.
 * All of it is invented.
 */
export const DEMO_SEED = 514_735;
export const DEMO_WEEKS = 8;

type HeadFacts = Omit<Head, 'id' | 'recordedAt' | 'kind'>;

export const DEMO_HEADS = {
  maren: {
    headId: 'maren',
    name: 'Maren',
    lengthCm: 46,
    strand: 'medium',
    curl: 'curly',
    porosityGuess: 'high',
    complaints: ['limp'],
    firstComplaints: ['breaks'],
    freeMinutes: [240, 0, 30, 150, 0, 45, 180],
    washFrom: [10, 18, 18, 17, 18, 18, 14],
    nights: [true, false, true, true, false, true, true],
    school: 'my-hair',
    density: 'medium',
    allergies: [],
    proteinSensitive: false,
    ageBand: 'adult',
    lengthsCm: { front: 38, crown: 46, sides: 44, nape: 49 },
    chemistry: ['coloured'],
    health: [],
  },
  pip: {
    headId: 'pip',
    name: 'Pip',
    lengthCm: 18,
    strand: 'fine',
    curl: 'wavy',
    porosityGuess: 'medium',
    complaints: [],
    freeMinutes: [120, 0, 0, 0, 0, 0, 90],
    washFrom: [10, 18, 18, 18, 18, 18, 14],
    nights: [false, false, false, false, false, false, true],
    school: 'my-hair',
    density: 'medium',
    allergies: ['sesame'],
    proteinSensitive: true,
    ageBand: 'child',
    lengthsCm: { front: null, crown: null, sides: null, nape: null },
    chemistry: [],
    health: [],
  },
} as const satisfies Record<string, HeadFacts>;

export interface DemoRecipe {
  readonly recipeId: string;
  readonly name: string;
  readonly use: RecipeVersion['use'];
  readonly contactMinutes: number;
  readonly warmth: RecipeVersion['warmth'];
  readonly lines: readonly string[];
}

export const DEMO_RECIPES = [
  worded(
    {
      recipeId: 'furnace-day-cream',
      name: msg`Furnace-day cream`,
      use: 'mask',
      contactMinutes: 45,
      warmth: 'warm',
      lines: [
        '3 tbsp linseed, boiled, strained',
        '300 ml water',
        '120 g pumpkin, cooked',
        '1 tbsp honey',
        '2 tsp avocado oil',
        'Simmer the linseed in the water for 9 minutes and push it through tights while it is hot. Cool it, blend in the pumpkin, the honey and the oil, and sieve it.',
      ],
    },
    'name',
  ),
  worded(
    {
      recipeId: 'silk-glaze',
      name: msg`Silk & rice-water glaze`,
      use: 'mask',
      contactMinutes: 25,
      warmth: 'room',
      lines: ['200 ml rice water', '18 ml hydrolysed silk', '1 tsp plain conditioner'],
    },
    'name',
  ),
  worded(
    {
      recipeId: 'cold-kiln-set',
      name: msg`Cold-kiln set`,
      use: 'mask',
      contactMinutes: 20,
      warmth: 'room',
      lines: ['11 g gelatin, dissolved', '150 ml water', '1 tsp cider vinegar', '1 tbsp plain conditioner'],
    },
    'name',
  ),
  worded(
    {
      recipeId: 'okra-slip',
      name: msg`Okra slip`,
      use: 'mask',
      contactMinutes: 30,
      warmth: 'room',
      lines: [
        '14 okra pods, boiled',
        '220 ml water',
        '3 tbsp plain conditioner',
        '1 tsp agave',
        'Boil the okra in the water for 12 minutes. Strain it warm. Stir in the rest when it is lukewarm.',
      ],
    },
    'name',
  ),
  worded(
    {
      recipeId: 'kefir-mango',
      name: msg`Kefir & mango`,
      use: 'mask',
      contactMinutes: 30,
      warmth: 'room',
      lines: ['160 ml kefir', 'a quarter of a small mango', '1 tsp jojoba oil'],
    },
    'name',
  ),
  worded(
    {
      recipeId: 'pear-for-pip',
      name: msg`Pear for Pip`,
      use: 'mask',
      contactMinutes: 20,
      warmth: 'room',
      lines: ['1 small pear, sieved', '4 tbsp plain conditioner', '1 tsp sunflower oil'],
    },
    'name',
  ),
  worded(
    {
      recipeId: 'sesame-evening',
      name: msg`Sesame evening`,
      use: 'pre-poo',
      contactMinutes: 60,
      warmth: 'room',
      lines: ['2 tbsp sesame oil', '1 tbsp olive oil', '1 tsp castor oil'],
    },
    'name',
  ),
  worded(
    {
      recipeId: 'bench-gel',
      name: msg`Bench gel`,
      use: 'rinse',
      contactMinutes: 10,
      warmth: 'room',
      lines: ['40 g linseed, boiled, strained', '450 ml water', '1 tsp aloe juice'],
    },
    'name',
  ),
  worded(
    {
      recipeId: 'annealing-cream',
      name: msg`Annealing cream`,
      use: 'mask',
      contactMinutes: 30,
      warmth: 'warm',
      get lines() {
        return [
          'Phase A',
          'water to 100%',
          '4% glycerin',
          '0.3% xanthan gum',
          'Phase B',
          '6% BTMS',
          '3% cetyl alcohol',
          '5% jojoba oil',
          'Cool-down phase',
          t`10% bench gel`,
          '1% panthenol',
          '1% preservative',
        ] as const;
      },
    },
    'name',
  ),
  worded(
    {
      recipeId: 'nettle-mist',
      name: msg`Nettle mist`,
      use: 'rinse',
      contactMinutes: 5,
      warmth: 'room',
      lines: ['2 tbsp nettle, infused', '400 ml water', '1 tsp aloe juice'],
    },
    'name',
  ),
] as const satisfies readonly DemoRecipe[];

export type DemoRecipeId = (typeof DEMO_RECIPES)[number]['recipeId'];

/** Pip washes on one day a week; a stroke over his hair in between keeps the guess fresh (weekday, Sunday first). */
export const PIP_FEEL_WEEKDAY = 4;

/** Pip’s washes of the last six weeks answer a question: one against the other, in the order that this trial’s id draws. */
export const DEMO_TRIAL = {
  trialId: 'demo-trial-44',
  recipeId: 'pear-for-pip',
  againstId: 'okra-slip',
  signal: 'firmness',
  rounds: 3,
  washoutDays: 7,
  firstWeek: 3,
} as const;

/**
 * What Maren promised herself: a treatment at two washes a week, which she has kept from the first week to this one, the
 * last that it is for, and since yesterday a scalp oil once a week, for which she has no recipe yet: that one is at risk.
 */
export const DEMO_RHYTHMS = [
  { rhythmId: 'demo-two-washes', isOld: true, of: { sort: 'main' }, when: { every: 'week', times: 2 } },
  {
    rhythmId: 'demo-scalp-oil',
    isOld: false,
    of: { sort: 'scalp-oil' },
    when: { every: 'week', times: 1 },
  },
] as const satisfies readonly (Pick<Rhythm, 'rhythmId' | 'of' | 'when'> & { readonly isOld: boolean })[];

/** Maren’s lengths, once a month: cm by place, from the first week on. */
export const DEMO_LENGTHS = [
  { week: 0, cm: { crown: 41, nape: 38.5 } },
  { week: 4, cm: { crown: 41.5, nape: 39.5 } },
  { week: 8, cm: { crown: 42, nape: 40 } },
] as const;

/** Days of the week on which Maren stands at the furnace. */
export const FURNACE_WEEKDAYS: readonly number[] = [1, 2, 4];

interface DemoWash {
  /** 0 Sunday … 6 Saturday */
  readonly weekday: number;
  /** One for each week of the demo and one for the week that has begun. */
  readonly recipes: readonly DemoRecipeId[];
}

/** What was washed with what. The last weeks lean on moisture: that is how the hair came to be as it is now. */
export const DEMO_WASHES: Record<keyof typeof DEMO_HEADS, readonly DemoWash[]> = {
  maren: [
    {
      weekday: 3,
      recipes: [
        'okra-slip',
        'silk-glaze',
        'furnace-day-cream',
        'kefir-mango',
        'okra-slip',
        'furnace-day-cream',
        'furnace-day-cream',
        'okra-slip',
        'okra-slip',
      ],
    },
    {
      weekday: 0,
      recipes: [
        'furnace-day-cream',
        'furnace-day-cream',
        'cold-kiln-set',
        'furnace-day-cream',
        'silk-glaze',
        'furnace-day-cream',
        'okra-slip',
        'furnace-day-cream',
        'furnace-day-cream',
      ],
    },
  ],
  pip: [
    {
      weekday: 0,
      recipes: [
        'pear-for-pip',
        'okra-slip',
        'pear-for-pip',
        'pear-for-pip',
        'okra-slip',
        'pear-for-pip',
        'okra-slip',
        'pear-for-pip',
        'okra-slip',
      ],
    },
  ],
};

/** What stands in Maren's pantry: grams left (null is "some"), grams and price of a pack. */
export const DEMO_PANTRY: readonly (
  readonly [string, number | null, number, number] | readonly [string, 0]
)[] = [
  ['linseed', 380, 500, 2.9],
  ['honey', 210, 350, 5.4],
  ['agave', null, 250, 3.2],
  ['pumpkin', 600, 1000, 2.5],
  ['avocado-oil', 140, 250, 7.9],
  ['olive-oil', null, 500, 6.5],
  ['sesame-oil', 180, 250, 4.2],
  ['castor-oil', 90, 100, 5.1],
  ['jojoba-oil', 60, 100, 8.6],
  ['conditioner', 420, 500, 4.8],
  ['hydrolysed-silk', 34, 50, 6.9],
  ['gelatin', 28, 60, 2.2],
  ['rice', 900, 1000, 2.1],
  ['okra', 0],
  ['kefir', null, 500, 1.3],
  ['glycerin', 110, 250, 4.4],
  ['nettle', 40, 50, 2.8],
  ['cider-vinegar', null, 500, 2.4],
  ['btms', 45, 100, 7.2],
  ['cetyl-alcohol', 70, 100, 4.1],
  ['panthenol', 22, 30, 6.3],
  ['preservative', 18, 25, 5.5],
  ['xanthan', 38, 50, 3.6],
  ['oats', 400, 500, 1.6],
];

/** A bought jar, as its label reads; all of it is invented. */
export const DEMO_PRODUCT = worded(
  {
    name: msg`Quay Lane repair mask`,
    label:
      'Aqua, Cetearyl Alcohol, Glycerin, Behentrimonium Chloride, Hydrolyzed Wheat Protein, Cetyl Esters, Panthenol, Butyrospermum Parkii Butter, Parfum, Phenoxyethanol, Citric Acid',
    pack: { grams: 200, price: 11.5 },
  },
  'name',
);

interface DemoBatch {
  readonly recipeId: DemoRecipeId;
  readonly daysAgo: number;
  readonly portions: number;
  readonly portionGrams: number;
  readonly place: 'room' | 'fridge' | 'freezer';
  readonly waterAddedGrams: number;
  /** Portions that went on a head since, and how many days ago. */
  readonly used: readonly { readonly headId: string; readonly portions: number; readonly daysAgo: number }[];
}

/** What is on the shelf: something frozen, something to be used first, something that keeps, and a jar that is empty. */
export const DEMO_BATCHES: readonly DemoBatch[] = [
  {
    recipeId: 'furnace-day-cream',
    daysAgo: 9,
    portions: 3,
    portionGrams: 170,
    place: 'freezer',
    waterAddedGrams: 25,
    used: [{ headId: 'maren', portions: 1, daysAgo: 9 }],
  },
  {
    recipeId: 'bench-gel',
    daysAgo: 1,
    portions: 2,
    portionGrams: 160,
    place: 'fridge',
    waterAddedGrams: 0,
    used: [{ headId: 'pip', portions: 0.5, daysAgo: 1 }],
  },
  {
    recipeId: 'sesame-evening',
    daysAgo: 20,
    portions: 4,
    portionGrams: 45,
    place: 'room',
    waterAddedGrams: 0,
    used: [{ headId: 'maren', portions: 1, daysAgo: 5 }],
  },
  {
    recipeId: 'pear-for-pip',
    daysAgo: 11,
    portions: 1,
    portionGrams: 90,
    place: 'fridge',
    waterAddedGrams: 0,
    used: [{ headId: 'pip', portions: 1, daysAgo: 11 }],
  },
];
