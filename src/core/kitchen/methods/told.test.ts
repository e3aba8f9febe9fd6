import { readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { parsedOf, valueOf } from '../../lab/testing';
import { CATALOGUE_LARDER, savedLine } from '../../recipe/larder';
import { parseRecipe } from '../../recipe/parsing';
import type { SavedStep } from '../../records/shapes';
import { leftOversOf } from './leftovers';
import { methodOfText, shownMethod } from './method';
import { partsOf } from './parts';
import { coolBelow, isHotDeed } from './shortest';
import { warningsOf } from './warnings';
import { waysOf } from './ways';

interface Told {
  readonly way: string;
  readonly text: string;
  /** Steps that are told; 0 where none are. */
  readonly steps: number;
  /** Minutes that are told for the kitchen. */
  readonly minutes: number;
  /** Words of the steps, in the order in which they must come. */
  readonly order: readonly string[];
  readonly scale?: true;
}

const TOLD = JSON.parse(readFileSync(path.join(__dirname, 'told.json'), 'utf8')) as readonly Told[];
/** A step that says how long. */
const TIMED = /\d+ ?(?:min|hours?\b|weeks?\b|days?\b|hora)|overnight|half an hour/i;
/** Of a method that nobody told, no more than this. */
const MOST_UNTOLD = 6;

const made = (text: string) => {
  const parsed = valueOf(parseRecipe(text));
  const lines = parsed.lines.map((line) => savedLine(line, text));
  const steps = methodOfText(parsed, lines, CATALOGUE_LARDER);
  return {
    steps,
    lines,
    method: shownMethod(steps, lines, CATALOGUE_LARDER, { factor: 1, hasScale: false }),
  };
};

/** What heat would spoil enters no step that is hot, and none that follows one before it has cooled. */
function entersHot(steps: readonly SavedStep[], lines: Parameters<typeof partsOf>[0]): boolean {
  const late = new Set(
    partsOf(lines, CATALOGUE_LARDER)
      .filter((part) => (coolBelow(part) ?? 60) < 60)
      .map(({ line }) => line),
  );
  let isHot = false;
  return steps.some(({ deeds, lines: own }) => {
    if (deeds.includes('cool')) isHot = false;
    else if (deeds.some(isHotDeed)) isHot = true;
    return isHot && own.some((line) => late.has(line));
  });
}

describe.each(TOLD)('$way: $text', ({ text, steps: told, minutes, order, scale }) => {
  const { steps, lines: all, method } = made(text);

  it('has no more steps than were told, and two', () => {
    expect(steps.length).toBeLessThanOrEqual(told === 0 ? MOST_UNTOLD : told + 2);
    expect(steps.filter(({ by }) => by === 'told').length).toBeGreaterThanOrEqual(told === 0 ? 0 : 1);
  });

  it('takes the times that were told, to a tenth', () => {
    const timed = method.steps.filter((step) => step.told && TIMED.test(step.text));
    const total = timed.reduce((sum, step) => sum + step.handsMinutes + step.waitMinutes, 0);
    expect(Math.abs(total - minutes)).toBeLessThanOrEqual(0.1 * minutes);
  });

  it('keeps her order', () => {
    const texts = method.steps.map((step) => step.text.toLowerCase());
    let at = 0;
    for (const words of order) {
      const found = texts.slice(at).findIndex((step) => step.includes(words.toLowerCase()));
      expect({ words, found: found >= 0, texts }).toEqual({ words, found: true, texts });
      at += found;
    }
  });

  it('says every line once, with its amount in the step', () => {
    const lines = steps.flatMap((step) => step.lines).sort((a, b) => a - b);
    expect(lines).toEqual(all.flatMap((line, index) => (line.grams === null ? [] : [index])));
    for (const step of method.steps)
      for (const { phrase } of step.lines) expect(step.text.toLowerCase()).toContain(phrase.toLowerCase());
  });

  it('measures as this kitchen can, in any size', () => {
    for (const factor of [0.5, 1, 3]) {
      const amounts = (hasScale: boolean) =>
        shownMethod(steps, all, CATALOGUE_LARDER, { factor, hasScale }).steps.flatMap((step) =>
          step.lines.map(({ amount }) => amount),
        );
      expect(amounts(false).join(' | ')).not.toMatch(/\d g\b/);
      expect(amounts(true).join(' | ')).not.toMatch(/\b0[.,]\d+ g\b/);
      if (scale) expect(amounts(true).some((amount) => amount.endsWith(' g'))).toBe(true);
    }
  });

  it('lets nothing in hot that must stay cool, or says so', () => {
    const isSaid = warningsOf(steps, all, CATALOGUE_LARDER).some(
      ({ id }) => id === 'sets' || id === 'too-hot',
    );
    expect(isSaid || !entersHot(steps, all)).toBe(true);
  });
});

describe('methods that nobody told', () => {
  const ANYTHING = [
    '3 tbsp linseed',
    '500 ml water',
    '1 banana',
    '2 tbsp honey',
    '1 egg',
    '3 tbsp amla powder',
    '10 g gelatin',
    '30 g shea butter',
    '2 tbsp olive oil',
    'a handful of nettle',
    '5 drops lavender oil',
    '1/2 cup rice',
    '3 tbsp yogurt',
    '1 tbsp cornstarch',
    '4 g preservative',
    '12 g BTMS',
  ];

  it('put every line into exactly one step, and nothing hot after what must stay cool', () => {
    fc.assert(
      fc.property(fc.subarray(ANYTHING, { minLength: 1, maxLength: 8 }), (rows) => {
        const { steps, lines } = made(rows.join('\n'));
        const own = steps.flatMap((step) => step.lines).sort((a, b) => a - b);
        expect(own).toEqual(rows.map((_, index) => index));
        expect({ rows, hot: entersHot(steps, lines) }).toEqual({ rows, hot: false });
        expect(warningsOf(steps, lines, CATALOGUE_LARDER).filter(({ isMended }) => !isMended)).toEqual([]);
      }),
      { numRuns: 150 },
    );
  });
});

describe('tellings that are cut anywhere and put together again', () => {
  const pieces = TOLD.flatMap(({ text }) => text.split(/(?<=[.,:])\s|\n/)).filter(Boolean);

  it('are made all the same: every line once, with its amount in its step', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...pieces), { minLength: 1, maxLength: 7 }), (rows) => {
        const { steps, lines, method } = made(rows.join(' '));
        const own = steps.flatMap((step) => step.lines).sort((a, b) => a - b);
        expect(own).toEqual(lines.flatMap(({ grams }, index) => (grams === null ? [] : [index])));
        for (const { text, lines: measured } of method.steps)
          for (const { phrase } of measured) expect(text.toLowerCase()).toContain(phrase.toLowerCase());
      }),
      { numRuns: 200 },
    );
  });
});

describe('where something would go wrong', () => {
  const warned = (text: string) => {
    const { steps, lines } = made(text);
    return warningsOf(steps, lines, CATALOGUE_LARDER).map(({ id, step, isMended }) => [id, step, isMended]);
  };

  it.each([
    [
      'egg in a hot bowl, which is made to cool first',
      'Boil 2 cups water with a handful of hibiscus 15 min. Stir in an egg straight away.',
      ['sets', 1, true],
    ],
    [
      'oil on the boil',
      'Bring a cup of olive oil to the boil with 2 tbsp dried rosemary.',
      ['hot-oil', 0, false],
    ],
    [
      'fresh plants that stand in oil',
      'Put 100 g fresh ginger in a cup of olive oil, leave it for 3 weeks. Strain.',
      ['fresh-in-oil', 1, false],
    ],
    [
      'fruit after the straining',
      'Steep a handful of nettle in 2 cups water 20 minutes. Strain. Mash in a banana.',
      ['grit', 2, false],
    ],
    ['an emulsifier that never melts', 'Whisk 10 g BTMS into 200 ml water.', ['not-melted', 0, false]],
    [
      'drops into the pot',
      'Simmer 3 tbsp linseed in 2 cups water with 5 drops lavender oil 10 minutes. Strain. Cool.',
      ['too-hot', 0, false],
    ],
  ])('warns of %s', (_, text, warning) => {
    expect(warned(text)).toContainEqual(warning);
  });

  it('says nothing where nothing would', () => {
    expect(
      warned('Simmer 3 tbsp linseed in 2 cups water 10 minutes. Strain. Cool. Stir in 1 tbsp honey.'),
    ).toEqual([]);
  });
});

describe('what is left of a batch', () => {
  const rests = (text: string) => {
    const { steps, lines } = made(text);
    return leftOversOf(steps, lines, CATALOGUE_LARDER, '2026-03-02' as never).map(({ name, useBy }) => [
      name,
      useBy,
    ]);
  };

  it('is the rest of a fruit, for as long as it keeps, and what the cloth held back, until tomorrow', () => {
    expect(rests('Blend half an avocado with 2 tbsp honey, sieve.')).toEqual([
      ['the rest of the avocado', '2026-03-04'],
      ['what the cloth held back of the avocado', '2026-03-03'],
    ]);
    expect(rests('Whisk 2 eggs with 2 tbsp honey.')).toEqual([]);
  });
});

describe('what goes into which step', () => {
  const stepsOf = (text: string) => made(text).method.steps.map((step) => step.lines.map(({ name }) => name));

  it.each([
    [
      'the rest goes where the rest is told',
      '8 okra pods\n2 cups water\n2 tbsp honey\nBoil the okra in the water 10 minutes. Strain, cool. Stir in the rest.',
      [['okra', 'water'], [], [], ['honey']],
    ],
    [
      'what is left out of one step goes into the next that stirs',
      '50 g shea butter, 10 g jojoba oil, 5 drops lavender oil. Melt all but the lavender. Cool, whip.',
      [['shea butter', 'jojoba oil'], [], ['lavender essential oil']],
    ],
    [
      'into the water is where oils go, not where water goes',
      '10 g BTMS and 10 g shea in a jug, 200 g water in another. Heat both to 70 °C. Pour the oils into the water.',
      [['BTMS-type conditioning emulsifier', 'shea butter', 'water'], []],
    ],
    [
      'in Portuguese as well',
      '2 colheres de linhaça, 2 xícaras de água, 1 colher de mel. Cozinho a linhaça na água 10 minutos. Coo. Junto o resto morno.',
      [['linseed', 'water'], [], ['honey']],
    ],
  ])('%s', (_, text, lines) => {
    expect(stepsOf(text)).toEqual(lines);
  });

  it('takes aloe by the spoon as the gel it is, and a leaf as one to cut', () => {
    expect(stepsOf('2 tbsp aloe gel\n1 tbsp honey')).toEqual([['aloe gel', 'honey']]);
    expect(made('1 aloe leaf\n1 tbsp honey').method.washUp).toContain('cloth');
  });

  it('washes up no blender for what a fork does', () => {
    expect(made('Mash an avocado with a fork, sieve.').method.washUp).toEqual(['bowl', 'cloth']);
    expect(made('Blend an avocado, sieve.').method.washUp).toEqual(['blender', 'cloth']);
  });
});

it('knows the ways that a method goes', () => {
  const ways = (rows: readonly string[]) => {
    const text = rows.join('\n');
    const lines = parsedOf(rows).lines.map((line) => savedLine(line, text));
    return waysOf(made(text).steps, lines, CATALOGUE_LARDER).map(({ id }) => id);
  };
  expect(ways(['3 tbsp linseed', '500 ml water', '1 tbsp honey'])).toEqual(['gel', 'stir-cool']);
  expect(ways(['Stand 3 tbsp dried rosemary in a cup of olive oil for 3 weeks. Strain.'])).toEqual([
    'oil-cold',
  ]);
});
