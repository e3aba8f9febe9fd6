import { t } from '@lingui/core/macro';
import {
  addDays,
  countingIds,
  dayRange,
  daysBetween,
  invariant,
  rounded,
  weekdayOf,
  type CalendarDay,
  type IdSource,
} from '../../base/measures';
import { batchEvent } from '../../kitchen/batches';
import { toldSteps } from '../../kitchen/methods';
import { classifyVersion } from '../../recipe/classification';
import { CATALOGUE_LARDER, makeLarder, savedLine, type Larder } from '../../recipe/larder';
import { parseRecipe } from '../../recipe/parsing';
import { productFromLabel } from '../../recipe/products';
import { NOTHING_MEASURED, type RecipeVersion, type StoredRecord } from '../../records/shapes';
import {
  DEMO_BATCHES,
  DEMO_HEADS,
  DEMO_LENGTHS,
  DEMO_PANTRY,
  DEMO_PRODUCT,
  DEMO_RECIPES,
  DEMO_RHYTHMS,
  DEMO_SEED,
  DEMO_TRIAL,
  DEMO_WASHES,
  DEMO_WEEKS,
  FURNACE_WEEKDAYS,
  PIP_FEEL_WEEKDAY,
  type DemoRecipe,
} from './demoScenario';
import { VirtualHead } from './virtualHead';

type HeadKey = keyof typeof DEMO_HEADS;

const OF_HEAD = {
  maren: {
    seed: DEMO_SEED,
    halfLifeDays: 9,
    restShift: { firmness: -1.0, breakage: -0.1, porosity: -0.1 },
    strands: 5,
  },
  pip: {
    seed: DEMO_SEED + 1017,
    halfLifeDays: 7,
    restShift: { firmness: 0.3, breakage: -0.3, porosity: 0 },
    strands: 3,
  },
} as const;

/** Records are stamped in the evening of their day; the order within a day is the order of writing. */
function stampFor(day: CalendarDay, order: number): string {
  return `${day}T19:${String(order).padStart(2, '0')}:00Z`;
}

/**
 * Eight whole weeks of a made-up life and the days of this week up to yesterday, lived by seeded virtual heads: the
 * same day gives the same records, and every weekday sees the same story a little further on.
 */
export function demoRecords(today: CalendarDay): StoredRecord[] {
  const newId = countingIds('demo');
  const start = addDays(today, -7 * DEMO_WEEKS - weekdayOf(today));
  const recipes = demoRecipes(newId, stampFor(start, 0));
  const heads = Object.values(DEMO_HEADS).map((facts): StoredRecord => ({
    ...facts,
    freeMinutes: [...facts.freeMinutes],
    allergies: [...facts.allergies],
    id: newId(),
    recordedAt: stampFor(start, 0),
    kind: 'head',
  }));
  const lives = (Object.keys(DEMO_HEADS) as HeadKey[]).flatMap((head) =>
    lifeOf(head, recipes, start, today, newId),
  );
  const lengths = DEMO_LENGTHS.flatMap(({ week, cm }) =>
    lengthsRecord(addDays(start, 7 * week), cm, today, newId),
  );
  return [
    ...heads,
    ...recipes,
    ...lives,
    ...lengths,
    ...rhythmsOf(start, today, newId),
    ...trialOf(start, today, newId),
    ...benchOf(recipes, today, newId),
  ];
}

function lengthsRecord(
  day: CalendarDay,
  cm: (typeof DEMO_LENGTHS)[number]['cm'],
  today: CalendarDay,
  newId: IdSource,
): StoredRecord[] {
  if (day >= today) return [];
  return [
    {
      ...NOTHING_MEASURED,
      id: newId(),
      recordedAt: stampFor(day, 9),
      kind: 'reading',
      headId: DEMO_HEADS.maren.headId,
      day,
      moment: 'dry',
      lengths: (Object.entries(cm) as ['crown' | 'nape', number][]).map(([place, length]) => ({
        place,
        cm: length,
      })),
    },
  ];
}

/** The old one was told when the demo begins, so that all of it counts; the young one yesterday. */
function rhythmsOf(start: CalendarDay, today: CalendarDay, newId: IdSource): StoredRecord[] {
  return DEMO_RHYTHMS.map(({ isOld, of, when, rhythmId }): StoredRecord => {
    const toldOn = isOld ? start : addDays(today, -1);
    return {
      id: newId(),
      recordedAt: stampFor(toldOn, 11),
      kind: 'rhythm',
      rhythmId,
      headId: DEMO_HEADS.maren.headId,
      name: null,
      of,
      when,
      startsOn: isOld ? start : today,
      until: isOld ? addDays(start, 7 * (DEMO_WEEKS + 1) - 1) : null,
      times: null,
      notIn: [],
      firm: false,
      themes: [],
      toldOn,
      endedOn: null,
    };
  });
}

/** Pip's trial and its washes so far; what was washed with what stands in the scenario. */
function trialOf(start: CalendarDay, today: CalendarDay, newId: IdSource): StoredRecord[] {
  const { firstWeek, ...asked } = DEMO_TRIAL;
  const [wash] = DEMO_WASHES.pip;
  invariant(wash, 'Pip is washed');
  const onPip = (day: CalendarDay) => ({
    id: newId(),
    recordedAt: stampFor(day, 8),
    headId: DEMO_HEADS.pip.headId,
  });
  const first = addDays(start, 7 * firstWeek + wash.weekday);
  const trial: StoredRecord = {
    ...asked,
    ...onPip(first),
    kind: 'trial',
    startsOn: first,
    endsBy: addDays(first, 60),
    givenUpOn: null,
  };
  const washes = Array.from({ length: 2 * asked.rounds }, (_, index) => ({
    day: addDays(first, 7 * index),
    arm: wash.recipes[firstWeek + index] === asked.recipeId ? ('a' as const) : ('b' as const),
  }));
  return [
    trial,
    ...washes
      .filter(({ day }) => day < today)
      .map(({ day, arm }): StoredRecord => ({
        ...onPip(day),
        kind: 'trial-wash',
        trialId: asked.trialId,
        day,
        arm,
      })),
  ];
}

/** One after the other: a recipe may use those before it. */
function demoRecipes(newId: IdSource, recordedAt: string): RecipeVersion[] {
  return DEMO_RECIPES.reduce<RecipeVersion[]>(
    (before, recipe) => [...before, demoRecipe(recipe, newId(), recordedAt, makeLarder({ recipes: before }))],
    [],
  );
}

/** Pantry, a bought jar, and what stands on the shelf. */
function benchOf(recipes: readonly RecipeVersion[], today: CalendarDay, newId: IdSource): StoredRecord[] {
  const longAgo = { recordedAt: stampFor(addDays(today, -40), 0) };
  const pantry = DEMO_PANTRY.map(([ingredientId, gramsLeft, packGrams, packPrice]): StoredRecord => ({
    ...longAgo,
    id: newId(),
    kind: 'pantry',
    ingredientId,
    gramsLeft,
    pack: packGrams === undefined || packPrice === undefined ? null : { grams: packGrams, price: packPrice },
  }));
  const productId = newId();
  const product = productFromLabel(`own-${productId}`, DEMO_PRODUCT.name, DEMO_PRODUCT.label);
  invariant(product.ok, 'the label of the demo cannot be read');
  const jar: StoredRecord[] = [
    {
      ...longAgo,
      id: productId,
      kind: 'ingredient',
      ingredient: product.value.ingredient,
      note: t`${{ said: product.value.said }} Label: ${{ demoProduct: DEMO_PRODUCT.label }}`,
    },
    {
      ...longAgo,
      id: newId(),
      kind: 'pantry',
      ingredientId: product.value.ingredient.id,
      gramsLeft: 140,
      pack: { ...DEMO_PRODUCT.pack },
    },
  ];
  return [...pantry, ...jar, ...DEMO_BATCHES.flatMap((batch) => batchRecords(batch, recipes, today, newId))];
}

function batchRecords(
  { recipeId, daysAgo, used, ...made }: (typeof DEMO_BATCHES)[number],
  recipes: readonly RecipeVersion[],
  today: CalendarDay,
  newId: IdSource,
): StoredRecord[] {
  const recipe = recipes.find((known) => known.recipeId === recipeId);
  invariant(recipe, `the demo has no recipe ${recipeId}`);
  const id = newId();
  const day = addDays(today, -daysAgo);
  return [
    {
      ...made,
      id,
      recordedAt: stampFor(day, 6),
      kind: 'batch',
      batchId: id,
      recipeId,
      recipeVersion: recipe.version,
      madeOn: day,
      weighed: recipe.lines.map(({ grams }) => (grams === null ? null : rounded(grams, 1))),
      note: '',
    },
    ...used.map(({ headId, portions, daysAgo: back }): StoredRecord => {
      const day = addDays(today, -back);
      const stamp = { id: newId(), recordedAt: stampFor(day, 7) };
      return batchEvent(stamp, { batchId: id, day, what: 'used', portions, headId });
    }),
  ];
}

function demoRecipe(recipe: DemoRecipe, id: string, recordedAt: string, larder: Larder): RecipeVersion {
  const text = recipe.lines.join('\n');
  const parsed = parseRecipe(text, { larder });
  invariant(parsed.ok, `the demo recipe ${recipe.name} cannot be read`);
  const { recipeId, name, use, contactMinutes, warmth } = recipe;
  const lines = parsed.value.lines.map((line) => savedLine(line, text));
  const method = toldSteps(parsed.value, lines, larder);
  return {
    id,
    recordedAt,
    kind: 'recipe',
    recipeId,
    version: 1,
    name,
    text,
    lines,
    ...(parsed.value.told.strained ? { strained: true } : {}),
    ...(method ? { method } : {}),
    use,
    contactMinutes,
    warmth,
  };
}

function pushOf(recipe: RecipeVersion) {
  const verdict = classifyVersion(recipe, 'my-hair', CATALOGUE_LARDER);
  invariant(verdict.ok, `the demo recipe ${recipe.name} has no verdict`);
  return verdict.value.push;
}

function lifeOf(
  key: HeadKey,
  recipes: readonly RecipeVersion[],
  start: CalendarDay,
  today: CalendarDay,
  newId: IdSource,
): StoredRecord[] {
  const head = DEMO_HEADS[key];
  const { strands, ...options } = OF_HEAD[key];
  const virtual = new VirtualHead(head, options);
  const records: StoredRecord[] = [];
  const base = (day: CalendarDay, order: number) => ({
    id: newId(),
    recordedAt: stampFor(day, order),
    headId: head.headId,
    day,
  });
  let lastDetangle: CalendarDay | null = null;
  let lastWash: CalendarDay | null = null;

  for (const day of dayRange(start, daysBetween(start, today))) {
    virtual.passDay();
    if (key === 'maren' && FURNACE_WEEKDAYS.includes(weekdayOf(day))) {
      virtual.suffer('heat');
      records.push({ ...base(day, 1), kind: 'event', what: 'heat', note: t`furnace day` });
    }
    if (lastWash !== null && daysBetween(lastWash, day) === 1) {
      const dry = virtual.read(strands, null);
      records.push({
        ...base(day, 2),
        kind: 'reading',
        moment: 'dry',
        ...dry,
        tally: null,
        porosity: null,
      });
    }
    if (key === 'pip' && weekdayOf(day) === PIP_FEEL_WEEKDAY) {
      const { feel } = virtual.read(1, null);
      records.push({ ...base(day, 2), ...NOTHING_MEASURED, kind: 'reading', moment: 'dry', feel });
    }
    const recipeId = washOn(key, start, day);
    const recipe = recipes.find((known) => known.recipeId === recipeId);
    if (!recipe) continue;
    const before = virtual.read(strands, lastDetangle === null ? null : daysBetween(lastDetangle, day));
    records.push({ ...base(day, 3), kind: 'reading', moment: 'before', ...before });
    virtual.treat(recipe.recipeId, pushOf(recipe), recipe.contactMinutes, recipe.warmth);
    records.push({
      ...base(day, 4),
      kind: 'session',
      recipeId: recipe.recipeId,
      recipeVersion: recipe.version,
      contactMinutes: recipe.contactMinutes,
      warmth: recipe.warmth,
      grams: null,
      note: '',
    });
    lastDetangle = day;
    lastWash = day;
  }
  // Small treatments that the head's level does not notice, so that they count as known to her.
  if (key === 'maren') {
    for (const [recipeId, back] of [
      ['sesame-evening', 5],
      ['nettle-mist', 12],
    ] as const) {
      const recipe = recipes.find((known) => known.recipeId === recipeId);
      invariant(recipe, `the demo has no recipe ${recipeId}`);
      const { contactMinutes, warmth, version } = recipe;
      records.push({
        ...base(addDays(today, -back), 5),
        kind: 'session',
        recipeId,
        recipeVersion: version,
        contactMinutes,
        warmth,
        grams: null,
        note: '',
      });
    }
  }
  return records;
}

function washOn(key: HeadKey, start: CalendarDay, day: CalendarDay): string | undefined {
  const week = Math.floor(daysBetween(start, day) / 7);
  return DEMO_WASHES[key].find((wash) => wash.weekday === weekdayOf(day))?.recipes[week];
}
