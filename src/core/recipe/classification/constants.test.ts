import * as language from '../../base/language';
import * as measures from '../../base/measures';
import { PROFILE as USUAL_PROFILE } from '../../kitchen/making';
import * as shapes from '../../records/shapes';
import * as ingredients from '../ingredients';
import * as larder from '../larder';
import * as parsing from '../parsing';
import type { Verdict } from './verdict';

/** Recipes between them touch every constant of the verdict. */
const RECIPES: readonly (readonly string[])[] = [
  ['11 g gelatin', '150 ml water'],
  ['2 eggs', '100 g plain yogurt', '1 tbsp honey'],
  ['50 g henna', '150 ml water', '1 tbsp amla powder'],
  ['3 tbsp linseed, boiled', '300 ml water', '2 tbsp glycerin', '2 tbsp plain conditioner'],
  ['11 g gelatin', '150 ml water', '4 tbsp plain conditioner'],
  ['50 g rhassoul clay', '100 ml water', '1.7 g honey'],
  ['3 tbsp sesame oil', '1 tbsp shea butter'],
  ['2 tbsp olive oil', '100 ml coconut milk', '1 tbsp corn starch', 'half a banana'],
  ['300 ml water', '1 tsp nettle'],
  ['300 ml water', '2 tbsp cider vinegar'],
  ['1 tbsp hydrolysed silk', '1 tbsp amino acids', '100 g plain conditioner', 'stardust, plenty'],
];

/** A grid over pushes, between whose points every edge between two kinds lies. */
const PUSHES = [0, 0.1, 0.2, 0.25, 0.32, 0.45, 0.7];

type Constants = typeof import('./constants');

/** What knows none of the constants, and so is the same in every world; to load it anew for each took most of the time. */
const SAME = {
  '../../base/language': language,
  '../../base/measures': measures,
  '../../records/shapes': shapes,
  '../ingredients': ingredients,
  '../larder': larder,
  '../parsing': parsing,
};
const PARSED = RECIPES.flatMap((lines) => {
  const parsed = parsing.parseRecipe(lines.join('\n'));
  return parsed.ok ? [parsed.value] : [];
});

/** Everything that is computed with the constants, anew in a world where they may be others. */
function worldWith(change: (constants: Constants) => void) {
  let told = '';
  jest.isolateModules(() => {
    jest.doMock('./constants', () => {
      const constants = structuredClone({ ...jest.requireActual<Constants>('./constants') });
      change(constants);
      return constants;
    });
    for (const [room, known] of Object.entries(SAME)) jest.doMock(room, () => known);
    const classification = require('.') as typeof import('.');
    const { PROFILE, WISHES } = require('../../kitchen/making') as typeof import('../../kitchen/making');
    const verdicts = PARSED.flatMap((parsed) =>
      shapes.SCHOOLS.flatMap((school): Verdict[] => {
        const verdict = classification.classify(parsed, school, larder.CATALOGUE_LARDER);
        return verdict.ok ? [verdict.value] : [];
      }),
    );
    const words = Array.from({ length: 51 }, (_, tenth) => classification.strengthWord(tenth / 10));
    const { verdictOfPush } = require('./schoolVerdict') as typeof import('./schoolVerdict');
    const kinds = PUSHES.flatMap((firm) =>
      PUSHES.flatMap((soft) =>
        PUSHES.flatMap((oil) =>
          [10, 16, 25, 36, 45].flatMap((fat) =>
            [60, 92.5, 93.5, 96].map((water) =>
              verdictOfPush({ firm, soft, oil }, fat, water).kind.charAt(0),
            ),
          ),
        ),
      ),
    ).join('');
    const { STRONG_FROM, TANNIN_FIRMING } = classification;
    told = JSON.stringify({
      verdicts: verdicts.map(({ ledger: _, ...verdict }) => verdict),
      words,
      kinds,
      WISHES,
      PROFILE,
      STRONG_FROM,
      TANNIN_FIRMING,
    });
  });
  for (const room of ['./constants', ...Object.keys(SAME)]) jest.dontMock(room);
  return told;
}

const isGroup = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;

/** Ways to every number among the constants. */
function numbersIn(value: unknown, way: readonly string[] = []): (readonly string[])[] {
  if (typeof value === 'number') return value === 0 ? [] : [way];
  return isGroup(value) ? Object.entries(value).flatMap(([key, part]) => numbersIn(part, [...way, key])) : [];
}

function moved(constants: Constants, way: readonly string[]): void {
  const [last = '', ...above] = [...way].reverse();
  const holder = above
    .reverse()
    .reduce<unknown>((part, key) => (isGroup(part) ? part[key] : part), constants);
  if (isGroup(holder)) holder[last] = Number(holder[last]) * 1.2;
}

const WAYS = numbersIn(jest.requireActual<Constants>('./constants'));
const usual = worldWith(() => undefined);

it('there are constants to move, and without a change the world is the same', () => {
  expect(PARSED).toHaveLength(RECIPES.length);
  expect(WAYS.length).toBeGreaterThan(40);
  expect(worldWith(() => undefined)).toBe(usual);
  expect(JSON.parse(usual)).toMatchObject({ PROFILE: USUAL_PROFILE });
});

it.each(WAYS.map((way) => [way.join('.'), way] as const))('%s, moved by a fifth, is followed', (_, way) => {
  expect(worldWith((constants) => moved(constants, way))).not.toBe(usual);
});

it.each(['firm', 'soft'] as const)(
  'the half load of %s is followed by verdict, wishes and substitutes alike',
  (load) => {
    const [before, after] = [usual, worldWith((constants) => moved(constants, ['HALF_LOAD', load]))].map(
      (told) => JSON.parse(told) as { WISHES: unknown; PROFILE: unknown; verdicts: unknown },
    );
    for (const reader of ['verdicts', 'WISHES', 'PROFILE'] as const)
      expect(after?.[reader]).not.toEqual(before?.[reader]);
  },
);
