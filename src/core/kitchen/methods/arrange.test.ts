import fc from 'fast-check';
import { testRecipe, valueOf } from '../../lab/testing';
import { CATALOGUE_LARDER, makeLarder, savedLine } from '../../recipe/larder';
import { parseRecipe } from '../../recipe/parsing';
import type { SavedStep } from '../../records/shapes';
import { arrangedMethod, type Arranging } from './arrange';
import { gritOf } from './grit';
import { leadTasksOf } from './lead';
import { methodOfRecipe, methodOfText, shownMethod } from './method';

const TEXT =
  'Simmer 3 tbsp linseed in 2 cups water for 8 minutes. Push it through tights. Whisk in an egg yolk and a spoon of honey. Add 6 drops of lavender oil.';
const LINES = valueOf(parseRecipe(TEXT)).lines.map((line) => savedLine(line, TEXT));
const STEPS = methodOfText(valueOf(parseRecipe(TEXT)), LINES, CATALOGUE_LARDER);
const shown = (steps: readonly SavedStep[], factor = 1) =>
  shownMethod(steps, LINES, CATALOGUE_LARDER, { factor, hasScale: false }).steps;
const linesIn = (steps: readonly SavedStep[]) => steps.flatMap((step) => step.lines).sort((a, b) => a - b);
const textsOf = (steps: readonly SavedStep[], factor = 1) => shown(steps, factor).map(({ text }) => text);

describe('steps that are arranged', () => {
  it('move, join and go, and what was in a struck one stays in its neighbour', () => {
    const [first = ''] = textsOf(STEPS);
    expect(textsOf(arrangedMethod(STEPS, { what: 'move', step: 0, by: 1 }))[1]).toBe(first);
    const joined = arrangedMethod(STEPS, { what: 'join', step: 1 });
    expect(joined).toHaveLength(STEPS.length - 1);
    expect(textsOf(joined)[0]).toMatch(/8 minutes\. Push it through tights/);
    const struck = arrangedMethod(STEPS, { what: 'strike', step: 0 });
    expect(textsOf(struck)[0]).toBe('Push it through tights (3 tbsp linseed, 2 cups water).');
  });

  it('go on changing their amounts in her new words', () => {
    const [, , , whisk] = shown(STEPS);
    if (!whisk) throw new Error('a step');
    const said = arrangedMethod(STEPS, {
      what: 'say',
      step: 3,
      text: 'Beat a spoon of honey in with a fork',
      shown: whisk,
    });
    expect(textsOf(said)[3]).toBe('Beat a spoon of honey in with a fork (an egg yolk).');
    expect(textsOf(said, 2)[3]).toBe('Beat 2 spoons honey in with a fork (2 × egg yolk).');
  });

  it('keep every line in exactly one step, whatever is done', () => {
    const change = fc.record({
      what: fc.constantFrom('move', 'join', 'strike', 'say'),
      step: fc.nat({ max: 6 }),
      by: fc.constantFrom(1, -1),
      text: fc.constantFrom('', 'Stir', 'Whisk in an egg yolk {9}', 'a spoon of honey first'),
    });
    fc.assert(
      fc.property(fc.array(change, { maxLength: 12 }), (changes) => {
        let steps: SavedStep[] = STEPS;
        for (const each of changes) {
          const own = shown(steps)[each.step];
          if (own) steps = arrangedMethod(steps, { ...each, shown: own } as Arranging);
          expect(linesIn(steps)).toEqual(linesIn(STEPS));
          for (const { text, lines } of shown(steps))
            for (const { phrase } of lines) expect(text.toLowerCase()).toContain(phrase.toLowerCase());
        }
      }),
    );
  });
});

describe('steps that are kept with a recipe', () => {
  it('are taken as long as they fit its lines, else the shortest way', () => {
    const recipe = { lines: LINES, method: STEPS };
    expect(methodOfRecipe(recipe, CATALOGUE_LARDER)).toEqual(STEPS);
    // Put in order by hand, nothing is added that was struck.
    const struck = STEPS.filter(({ by, lines }) => by === 'told' || lines.length > 0);
    expect(methodOfRecipe({ ...recipe, method: struck, arranged: true }, CATALOGUE_LARDER)).toBe(struck);
    const fewer = methodOfRecipe({ ...recipe, lines: LINES.slice(1) }, CATALOGUE_LARDER);
    expect(linesIn(fewer)).not.toEqual(linesIn(STEPS));
    expect(fewer.every(({ by }) => by === 'added')).toBe(true);
  });

  it('take a recipe that is an ingredient ready from the shelf', () => {
    const gel = testRecipe('gel', ['3 tbsp linseed, boiled', '300 ml water']);
    const larder = makeLarder({ recipes: [gel] });
    const cream = testRecipe('cream', ['100 g gel', '2 tbsp plain conditioner'], {}, larder);
    const steps = methodOfRecipe(cream, larder);
    expect(steps).toHaveLength(1);
    expect(shownMethod(steps, cream.lines, larder, { factor: 1, hasScale: true }).steps[0]?.text).toMatch(
      /^Stir 100 g gel and .*conditioner together/,
    );
  });
});

describe('what is begun ahead', () => {
  const lead = (...rows: string[]) => {
    const text = rows.join('\n');
    const parsed = valueOf(parseRecipe(text));
    const lines = parsed.lines.map((line) => savedLine(line, text));
    return leadTasksOf({ lines, method: methodOfText(parsed, lines, CATALOGUE_LARDER) }, CATALOGUE_LARDER);
  };

  it('is what she told to wait, for as long as she told', () => {
    expect(lead('Soak 1/2 cup rice in 2 cups water for 30 minutes. Strain.').tasks).toEqual([
      { text: 'Soak 1/2 cup rice in 2 cups water for 30 minutes', leadHours: 0.58 },
    ]);
    expect(
      lead('2 tbsp fenugreek', '1 cup water', 'Soak overnight. Blend. Sieve.').tasks[0]?.leadHours,
    ).toBeGreaterThan(8);
  });

  it('is nothing for what is stirred together', () => {
    expect(lead('2 tbsp honey', '3 tbsp yogurt')).toEqual({ tasks: [], handsMinutes: 3 });
  });
});

describe('bits in the hair', () => {
  const grit = (text: string, residue: readonly number[] = []) => {
    const parsed = valueOf(parseRecipe(text));
    const lines = parsed.lines.map((line) => savedLine(line, text));
    return gritOf(methodOfText(parsed, lines, CATALOGUE_LARDER), lines, CATALOGUE_LARDER, residue);
  };

  it('are unlikely behind a cloth, possible with powder, likely where nothing holds them back', () => {
    expect(grit('Simmer 3 tbsp linseed in 2 cups water 8 minutes. Strain.')?.chance).toBe('unlikely');
    expect(grit('3 tbsp amla powder\n100 ml water')?.chance).toBe('possible');
    expect(grit('Steep a handful of nettle in 2 cups water. Strain. Mash in a banana.')?.chance).toBe(
      'likely',
    );
    expect(grit('2 tbsp honey\n3 tbsp yogurt')).toBeNull();
  });

  it('are likelier where a check after an earlier wash found some, and say so', () => {
    const told = grit('Simmer 3 tbsp linseed in 2 cups water 8 minutes. Strain.', [0, 3]);
    expect(told).toMatchObject({ chance: 'possible', why: expect.stringMatching(/residue/) });
  });

  it('want a cloth for what they are', () => {
    expect(grit('Simmer 3 tbsp linseed in 2 cups water 8 minutes. Strain.')?.cloth).toMatch(/tights, warm/);
    expect(grit('Blend a mango with 2 tbsp yogurt. Sieve.')?.cloth).toMatch(/fine sieve with a spoon/);
    expect(grit('3 tbsp amla powder\n100 ml water')?.cloth).toMatch(/Sift it dry/);
  });
});
