import { readdirSync, readFileSync } from 'node:fs';
import { parsedOf } from '../../lab/testing';
import { CATALOGUE_LARDER, savedLine, type ParsedRecipe } from '../../recipe/larder';
import { methodOfText, shownMethod, type Method } from './method';

const made = (text: string, options = {}) => madeOf(text, parsedOf([text]), options);

function madeOf(text: string, recipe: ParsedRecipe, { factor = 1, hasScale = false } = {}): Method {
  const lines = recipe.lines.map((line) => savedLine(line, text));
  const steps = methodOfText(recipe, lines, CATALOGUE_LARDER);
  return shownMethod(steps, lines, CATALOGUE_LARDER, { factor, hasScale });
}
const texts = (text: string, options = {}) => made(text, options).steps.map((step) => step.text);

const TELLINGS = 'src/core/recipe/parsing/tellings';
const TOLD = readdirSync(TELLINGS).flatMap((file) =>
  (JSON.parse(readFileSync(`${TELLINGS}/${file}`, 'utf8')) as { readonly text: string }[]).map(
    ({ text }) => text,
  ),
);

describe('the method of a recipe', () => {
  it('puts every line into exactly one step, and adds no more than two to what was told', () => {
    for (const text of TOLD) {
      const recipe = parsedOf([text]);
      const read = recipe.lines.flatMap(({ status }, index) => (status === 'read' ? [index] : []));
      if (read.length === 0) continue;
      const { steps } = madeOf(text, recipe);
      const lines = steps.flatMap((step) => step.lines.map(({ line }) => line)).sort((a, b) => a - b);
      expect({ text, lines }).toEqual({ text, lines: read });
      const told = steps.filter((step) => step.told).length;
      expect({ text, fits: told === 0 ? steps.length <= 6 : steps.length <= told + 2 }).toEqual({
        text,
        fits: true,
      });
    }
  });

  it('is hers where she told one, with the amounts of this batch in her own words', () => {
    const text =
      'Soak 1/2 cup rice overnight in 2 cups water. Strain. Stir in 1 tbsp honey. 20 minutes on the hair.';
    expect(texts(text, { factor: 2 })).toEqual([
      'Soak 1 cup white rice overnight in 4 cups water.',
      'Strain.',
      'Stir in 2 tbsp honey.',
    ]);
    expect(made(text).totalMinutes).toBe(484);
  });

  it('counts the times she told, and not those on the hair', () => {
    const { steps, totalMinutes } = made(
      'Simmer 3 tbsp linseed in 2 cups water for 10 minutes. Strain. Leave on for 40 minutes.',
    );
    expect(steps.map(({ handsMinutes, waitMinutes }) => handsMinutes + waitMinutes)).toEqual([10, 2, 15]);
    expect(totalMinutes).toBe(27);
  });

  it('adds what nobody told and the bowl needs, marked as added', () => {
    const { steps } = made('Blend a banana with 2 tbsp honey.');
    expect(steps.map(({ told }) => told)).toEqual([true, false]);
    expect(steps[1]?.text).toMatch(/cloth or a sieve/);
  });

  it('lets lines share pot and blender where nothing is told, and stirs powders in', () => {
    const { steps, washUp } = made(
      '3 tbsp linseed\n500 ml water\n10 okra pods\n2 tbsp amla powder\n1 tbsp honey',
    );
    expect(steps.map((step) => step.lines.map(({ name }) => name))).toEqual([
      ['linseed', 'okra', 'water'],
      [],
      ['amla powder', 'honey'],
    ]);
    expect(washUp).toEqual(['bowl', 'pot', 'cloth']);
  });

  it('keeps water away from herbs in oil', () => {
    const [first] = texts('2 tbsp rosemary\n200 ml olive oil');
    expect(first).toMatch(/dry, in .* olive oil over warm water/);
  });

  it('heats the phases of a formula apart, and stirs in cool what heat would spoil', () => {
    const steps = texts(
      'Phase A\nwater to 100%\n4% glycerin\n0.3% xanthan gum\nPhase B\n6% BTMS\n3% cetyl alcohol\nCool-down phase\n1% preservative',
      { hasScale: true },
    );
    expect(steps).toHaveLength(5);
    expect(steps[0]).toMatch(/xanthan gum smooth first, then heat with/);
    expect(steps[1]).toMatch(/second jug heat 6 g BTMS/);
    expect(steps.at(-1)).toMatch(/^Under 40 °C stir in 1 g broad-spectrum preservative/);
  });

  it('measures as the kitchen can: a handful stays one, grams only with a scale, and never a tenth of one', () => {
    const text = '2 handfuls nettle\n500 ml water\n0.2 g citric acid';
    const amounts = (hasScale: boolean) =>
      made(text, { hasScale }).steps.flatMap(({ lines }) => lines.map(({ amount }) => amount));
    expect(amounts(false)).toContain('2 handfuls');
    expect(amounts(true)).toEqual(
      expect.arrayContaining(['500 g', expect.stringMatching(/^2 handfuls \(\d+ g\)$/)]),
    );
    expect(amounts(true).join()).not.toMatch(/0\.\d g/);
    expect(amounts(false).join()).not.toMatch(/\d g\b/);
    // A powder is pinched, not dripped.
    expect(amounts(false)).toContain('1 pinch');
  });
});
