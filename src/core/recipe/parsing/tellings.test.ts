import fc from 'fast-check';
import type { ParsedRecipe, ToldUse } from '../larder';
import { readLines, unreadLines } from '../larder';
import { parseRecipe } from './parseRecipe';
import { withLineSaid } from './replace';
import { recipesIn } from './split';
import eighth from './tellings/eighth.json';
import eleventh from './tellings/eleventh.json';
import fifth from './tellings/fifth.json';
import fourteenth from './tellings/fourteenth.json';
import fourth from './tellings/fourth.json';
import more from './tellings/more.json';
import ninth from './tellings/ninth.json';
import own from './tellings/own.json';
import seventh from './tellings/seventh.json';
import sixth from './tellings/sixth.json';
import tenth from './tellings/tenth.json';
import third from './tellings/third.json';
import thirteenth from './tellings/thirteenth.json';
import twelfth from './tellings/twelfth.json';
import unread from './tellings/unread.json';

/** What a careful listener takes from a telling; what is not named here is left open. */
interface Telling extends Partial<Omit<ToldUse, 'claim' | 'warmth'>> {
  readonly language: string;
  readonly text: string;
  /** Id and grams of each ingredient; null where the amount is by eye. */
  readonly items: readonly (readonly [string, number | null])[];
  readonly title?: string;
  readonly claim?: string;
  readonly warmth?: string;
}

const TELLINGS = [
  ...own,
  ...more,
  ...third,
  ...fourth,
  ...fifth,
  ...unread,
  ...sixth,
  ...seventh,
  ...eighth,
  ...ninth,
  ...tenth,
  ...eleventh,
  ...twelfth,
  ...thirteenth,
  ...fourteenth,
] as unknown as readonly Telling[];
const SETTINGS = [
  'minutes',
  'warmth',
  'overnight',
  'cap',
  'strained',
  'coolRinse',
  'beforeWash',
  'keepsDays',
  'claim',
] as const;
/** The share that must be right in every word of tellings that the reader was mended with. */
const LEAST_RIGHT = 0.97;

const known = new Map<string, ParsedRecipe>();

/** Each text is read once: several tests look at all tellings. */
function read(text: string): ParsedRecipe {
  const before = known.get(text);
  if (before) return before;
  const recipe = parseRecipe(text);
  if (!recipe.ok) throw new Error(recipe.problems[0].message);
  known.set(text, recipe.value);
  return recipe.value;
}

const sorted = (ids: readonly (string | null)[]) => [...ids].sort().join();

function isRight(telling: Telling): boolean {
  const recipe = read(telling.text);
  const lines = readLines(recipe);
  const names =
    sorted(lines.map(({ ingredientId }) => ingredientId)) === sorted(telling.items.map(([id]) => id));
  const amounts = telling.items.every(([id, grams]) => {
    const line = lines.find(({ ingredientId }) => ingredientId === id);
    return grams === null || (line !== undefined && Math.abs(line.grams - grams) <= 0.03 * grams + 0.06);
  });
  const title = telling.title === undefined || recipe.title === telling.title;
  const settings = SETTINGS.every((key) => telling[key] === undefined || recipe.told[key] === telling[key]);
  return names && amounts && title && settings && unreadLines(recipe).length === 0;
}

describe('tellings', () => {
  it('are read as a careful listener takes them', () => {
    expect(TELLINGS.length).toBeGreaterThan(800);
    const wrong = TELLINGS.filter((telling) => !isRight(telling));
    expect({
      right: 1 - wrong.length / TELLINGS.length >= LEAST_RIGHT,
      wrong: wrong.slice(4).map(({ text }) => text),
    }).toEqual({
      right: true,
      wrong: [],
    });
  });

  it('lose nothing in silence: what is not read of them is asked about', () => {
    const silent = TELLINGS.filter((telling) => {
      const recipe = read(telling.text);
      const missing = telling.items.filter(
        ([id]) => !readLines(recipe).some(({ ingredientId }) => ingredientId === id),
      );
      return missing.length > unreadLines(recipe).length + recipe.notCounted.length;
    });
    expect(silent.map(({ text }) => text)).toEqual([]);
  });
});

describe('what is named and not counted', () => {
  const lost = (text: string) => read(text).notCounted.map(({ name }) => name);

  it.each([
    ['My sister uses beer. I take 2 eggs and a cup of yogurt.', ['beer']],
    ['Swap the water for green tea if you like. 2 tbsp bentonite, 4 tbsp water', ['green tea']],
    ['Glycerin is out in winter, so: 150 ml hibiscus tea, 1 tbsp honey', ['glycerin']],
    ['1 egg, 2 tbsp kefir, 15 min. If it is crunchy skip the egg and do 3 tbsp aloe instead.', ['aloe gel']],
  ])('%s: is said', (text, names) => {
    expect(lost(text)).toEqual(names);
  });

  it.each([
    'No eggs, just 2 tbsp honey',
    '2 tbsp olive or avocado oil, 1 egg',
    '1 cup linseed gel: 2 tbsp linseed, 1 cup water, boil until it is like egg white, strain',
    '2 eggs, 20 minutes, rinse with cool water, shampoo',
    'Okra gel\n8 okra pods\n2 cups water',
  ])('%s: nothing to say', (text) => {
    expect(lost(text)).toEqual([]);
  });
});

describe('spans', () => {
  const piece = fc.oneof(
    fc.string({ unit: 'grapheme', maxLength: 30 }),
    fc.constantFrom(...TELLINGS.map(({ text }) => text)),
    fc.constantFrom(
      'half a cup of',
      'no eggs',
      ' or ',
      '\n\n',
      '(',
      ')',
      'each',
      'x2',
      'steep overnight',
      '…',
      '1/0',
    ),
  );

  it('are the whole text, one after the other, whatever is written', () => {
    fc.assert(
      fc.property(fc.array(piece, { minLength: 1, maxLength: 6 }), (pieces) => {
        const text = pieces.join(' ');
        fc.pre(text.trim() !== '');
        const { spans, lines, steps } = read(text);
        expect(spans.map(({ start, end }) => text.slice(start, end)).join('')).toBe(text);
        for (const { line, step, fate } of spans) {
          if (line !== null) expect(lines[line]).toBeDefined();
          if (step !== null) expect(steps[step]).toBeDefined();
          expect(fate === 'ingredient').toBe(
            line !== null && lines[line]!.status === 'read' && fate !== 'unread',
          );
        }
      }),
      { numRuns: 300 },
    );
  });

  it('tell ingredients, steps, title and remarks apart', () => {
    const text =
      'My Sunday mask. I take half a papaya, blend it and leave it 20 minutes. My sister hates it.';
    const said = read(text).spans.map(({ start, end, fate }) => [fate, text.slice(start, end).trim()]);
    expect(said).toContainEqual(['title', 'My Sunday mask']);
    expect(said).toContainEqual(['ingredient', 'half a papaya']);
    expect(said.filter(([fate]) => fate === 'step').length).toBeGreaterThan(1);
    expect(said.at(-1)).toEqual(['remark', 'My sister hates it.']);
  });
});

describe('what is said', () => {
  const names = (text: string) => readLines(read(text)).map(({ name }) => name);

  it.each([
    ['no eggs, just 2 tbsp honey', ['honey']],
    ['2 tbsp honey without sugar', ['honey']],
    ['use oat milk instead of cow milk: 1 cup oat milk', ['oat milk']],
    ['rinse with cool water', []],
    ['Do I need an egg?\n2 tbsp honey', ['honey']],
  ])('%s adds nothing that is denied, asked or only used', (text, expected) => {
    expect(names(text)).toEqual(expected);
  });

  it('by eye is a guess, said, with less and more beside it, and scaled to the hair', () => {
    const [line] = readLines(read('honey'));
    expect(line?.assumptions.map(({ code }) => code)).toContain('guess');
    expect(line?.assumptions.find(({ code }) => code === 'guess')?.alternatives).toHaveLength(2);
    const long = parseRecipe('honey', { hairGrams: 300 });
    expect(long.ok && readLines(long.value)[0]!.grams).toBeGreaterThan(line!.grams);
    const oil = parseRecipe('rosemary essential oil', { hairGrams: 300 });
    expect(oil.ok && readLines(oil.value)[0]!.grams).toBeLessThan(0.5);
  });

  it('as 1.000 g in a language that writes thousands so is asked', () => {
    const [line] = unreadLines(read('1.000 g de água e duas colheres de mel'));
    expect([line?.problem.code, line?.suggestions]).toEqual([
      'unclear-number',
      ['1000 g water', '1 g water'],
    ]);
  });

  it.each(['• ', '☐ ', '➜ ', '★ ', '◦ ', '🍯 ', '👩🏽‍🦱 ', '1️⃣ ', 'a) ', '(1) ', '1: ', '[ ] ', '- ', '3. '])(
    'behind “%s” keeps its amount',
    (start) => {
      expect(readLines(read(`${start}3 egg yolks`)).map(({ grams }) => grams)).toEqual([51]);
    },
  );

  it('unknown is asked about with names that do no harm by the spoon', () => {
    const asked = [
      '2 tbsp rosemarry essense',
      '1 cup lyee',
      '3 tbsp citrik',
      '1 cup preservativ',
      '2 spoons pepermint oyl',
    ].flatMap((text) => unreadLines(read(text)).flatMap(({ suggestions }) => suggestions));
    expect(asked.length).toBeGreaterThan(0);
    expect(asked.filter((text) => /essential|preservative|citric|lactic|baking soda/.test(text))).toEqual([]);
  });

  it('is said otherwise in its own place', () => {
    const text = 'Blend half a papaya with a glug of olive oil.\nLeave it on.';
    const { lines } = read(text);
    const oil = lines.find((line) => line.status === 'read' && line.ingredientId === 'olive-oil')!;
    expect(withLineSaid(text, oil, '2 tbsp olive oil')).toBe(
      'Blend half a papaya with 2 tbsp olive oil.\nLeave it on.',
    );
  });
});

describe('several recipes in one text', () => {
  it('are offered as such, each with its title', () => {
    const text =
      'Banana mask\n1 banana\n2 tbsp honey\n\nFlax gel\n1/4 cup linseed\n2 cups water\n\nMethod\nBoil and strain.';
    expect(recipesIn(text).map((each) => read(each).title)).toEqual(['Banana mask', 'Flax gel']);
  });

  it('of one line, each under its day', () => {
    const pieces = recipesIn(
      'Sunday oil (before wash): 1/4 cup olive oil + 8 drops lavender; Monday to Thursday: 1 part aloe juice, 3 parts rosewater; Friday nothing.',
    );
    expect(pieces.map((each) => readLines(read(each)).map(({ ingredientId }) => ingredientId))).toEqual([
      ['olive-oil', 'lavender-eo'],
      ['aloe-juice', 'rose-water'],
    ]);
  });

  it.each([
    [
      'All of them:\n1. Coffee rinse - 2 tbsp coffee, 2 cups water\n2. Hot oil - 3 tbsp olive oil, 1 tbsp jojoba oil',
      ['Coffee rinse', 'Hot oil'],
    ],
    [
      'Two I rotate.\n\nMoisture one\n1 banana\n3 tbsp coconut cream\n\nProtein one\n1 sachet gelatin (10 g)\n1/2 cup water',
      ['Moisture one', 'Protein one'],
    ],
    [
      'Sunday\n- pre-poo: 2 tbsp coconut oil + 1 tbsp honey\n- DC: 5 tbsp conditioner, 1 tbsp avocado oil\n- rinse: 1 tbsp ACV in 2 cups cold water',
      ['Sunday', 'DC', 'Rinse'],
    ],
  ])('%s: by their numbers, their titles or what they are', (text, titles) => {
    expect(recipesIn(text).map((each) => read(each).title)).toEqual(titles);
  });

  it('are not made of the parts of one', () => {
    expect(
      recipesIn('For the gel:\n1/4 cup linseed\n2 cups water\n\nFor the mask:\n1 banana\n1 egg'),
    ).toHaveLength(1);
    expect(recipesIn('1 banana\n\n1 egg\n\nMix well.')).toHaveLength(1);
  });
});
