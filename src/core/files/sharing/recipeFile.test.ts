import { calendarDay } from '../../base/measures';
import { headsIn, larderOf } from '../../hair/history';
import { demoRecords } from '../../lab/simulation';
import { STAMP, testHead, testRecipe, testRhythm, valueOf } from '../../lab/testing';
import { ingredientById } from '../../recipe/ingredients';
import { makeLarder } from '../../recipe/larder';
import { readBackup } from '../../records/files';
import { ofKind, type OwnIngredient, type StoredRecord } from '../../records/shapes';
import { readRecipes, recipesTaken, writeRecipes, writeRhythm } from './recipeFile';

const HONEY = ingredientById('honey');
if (!HONEY) throw new Error('the catalogue has honey');
const heather: OwnIngredient = {
  ...STAMP,
  kind: 'ingredient',
  id: 'heather-1',
  ingredient: { ...HONEY, id: 'heather', name: 'Heather honey', names: [] },
  note: 'from the label',
};
const gel = testRecipe('gel', ['3 tbsp linseed', '200 ml water'], { name: 'Fen jelly' });
const withGel = makeLarder({ own: [heather], recipes: [gel] });
const cream = testRecipe(
  'cream',
  ['100 g Fen jelly', '1 tbsp heather honey'],
  { name: 'Moor cream' },
  withGel,
);
const lard = makeLarder({ own: [heather], recipes: [gel, cream] });
const text = writeRecipes(lard, ['cream'], [heather], '2026-03-01T10:00:00Z');
const file = valueOf(readRecipes(text));

let count = 0;
const stamp = () => ({ id: `new-${++count}`, recordedAt: '2026-03-02T10:00:00Z' });
const HERE = { headId: 'h', today: calendarDay('2026-03-02') };
const taken = (...records: StoredRecord[]) =>
  recipesTaken(file, { records, larder: larderOf(records), ...HERE }, stamp);

describe('a recipe that is passed on', () => {
  it('comes with its own ingredients and the recipes within it, and nothing else', () => {
    expect(file.records.map(({ id }) => id).sort()).toEqual(['cream-1', 'gel-1', 'heather-1']);
  });

  it('is a recipe of one’s own there: new records of today, understood as it was', () => {
    const { records, names, same } = taken();
    expect([names, same]).toEqual([['Fen jelly', 'Moor cream'], []]);
    expect(records.every(({ recordedAt }) => recordedAt === '2026-03-02T10:00:00Z')).toBe(true);
    const larder = larderOf(records);
    const [line] = larder.lastVersion('cream')?.lines ?? [];
    expect(line?.made).toMatchObject({ recipeId: 'gel', version: 1 });
    // The record that it names is the one that came with it.
    expect(records.map(({ id }) => id)).toContain(line?.made?.recordId);
    expect(larder.ingredient('heather')?.name).toBe('Heather honey');
  });

  it('is taken once: read in again, nothing is new', () => {
    const again = taken(...taken().records);
    expect([again.records, again.same]).toEqual([[], ['Fen jelly', 'Moor cream']]);
  });

  it('stands beside one of the same identity that says something else, under another name', () => {
    const mine = testRecipe('cream', ['200 ml aloe juice'], { name: 'Moor cream' });
    const { records, names } = taken(mine);
    expect(names).toEqual(['Fen jelly', 'Moor cream (2)']);
    const come = ofKind(records as StoredRecord[], 'recipe').find(({ name }) => name === 'Moor cream (2)');
    expect(come?.recipeId).not.toBe('cream');
    expect(larderOf([mine, ...records]).lastVersion('cream')?.text).toBe('200 ml aloe juice');
  });

  it('brings an ingredient of the same identity under a new one, and its lines with it', () => {
    const other: OwnIngredient = { ...heather, ingredient: { ...heather.ingredient, name: 'Heather syrup' } };
    const { records } = taken(other);
    const own = ofKind(records as StoredRecord[], 'ingredient')[0];
    const come = ofKind(records as StoredRecord[], 'recipe').find(({ name }) => name === 'Moor cream');
    expect(own?.ingredient.id).not.toBe('heather');
    expect(come?.lines.map(({ ingredientId }) => ingredientId)).toContain(own?.ingredient.id);
  });

  it('that is made of itself ends', () => {
    const looped = {
      ...file,
      records: file.records.map((record) =>
        record.kind === 'recipe' && record.recipeId === 'gel'
          ? {
              ...record,
              lines: record.lines.map((line) => ({ ...line, made: { recipeId: 'cream', version: 1 } })),
            }
          : record,
      ),
    };
    expect(recipesTaken(looped, { records: [], larder: larderOf([]), ...HERE }, stamp).names).toHaveLength(2);
  });

  it('that stands too deep within others is refused with what to do, however deep', () => {
    const [recipe] = file.records.flatMap((record) => (record.kind === 'recipe' ? [record] : []));
    if (!recipe) throw new Error('the file has a recipe');
    const [line] = recipe.lines;
    const deep = (levels: number) =>
      JSON.stringify({
        ...file,
        records: Array.from({ length: levels }, (_, level) => ({
          ...recipe,
          id: `deep-${level}`,
          recipeId: `deep-${level}`,
          lines:
            level === 0
              ? [line]
              : [
                  {
                    ...line,
                    ingredientId: null,
                    made: { recipeId: `deep-${level - 1}`, version: recipe.version },
                  },
                ],
        })),
      });
    const refused = readRecipes(deep(1900));
    expect(!refused.ok && refused.problems[0].code).toBe('too-deep');
    expect(readRecipes(deep(4)).ok).toBe(true);
  });

  it('is told from a backup, and a backup from it', () => {
    const asBackup = readBackup(text);
    expect(!asBackup.ok && asBackup.problems[0].message).toContain('This is a recipe file, not a backup');
    const head = JSON.stringify({ ...JSON.parse(text), records: [testHead()] });
    expect(readRecipes(head).ok).toBe(false);
  });

  it('of the demo all come over, and none twice', () => {
    const demo = demoRecords(calendarDay('2026-05-13'));
    const larder = larderOf(demo);
    const ids = larder.recipes.map(({ recipeId }) => recipeId);
    const all = valueOf(readRecipes(writeRecipes(larder, ids, ofKind(demo, 'ingredient'), STAMP.recordedAt)));
    const { records } = recipesTaken(all, { records: [], larder: larderOf([]), ...HERE }, stamp);
    expect(
      larderOf(records)
        .recipes.map(({ name }) => name)
        .sort(),
    ).toEqual(larder.recipes.map(({ name }) => name).sort());
    expect(headsIn(records)).toEqual([]);
    expect(recipesTaken(all, { records: demo, larder, ...HERE }, stamp).records).toEqual([]);
  });
});

describe('a challenge that is shared', () => {
  const rhythm = testRhythm(calendarDay('2026-01-05'), {
    name: 'Eight weeks of gel',
    of: { recipeId: 'gel' },
    themes: [{ week: 2, text: 'Ends only' }],
    endedOn: calendarDay('2026-02-01'),
  });
  const shared = valueOf(readRecipes(writeRhythm(lard, rhythm, [heather], '2026-03-01T10:00:00Z')));
  const begun = (...records: StoredRecord[]) =>
    recipesTaken(shared, { records, larder: larderOf(records), ...HERE }, stamp);

  it('comes with its recipe and themes, and begins today for as many weeks', () => {
    const { rhythms, names } = begun();
    expect(names).toEqual([gel.name]);
    expect(rhythms).toMatchObject([
      {
        headId: 'h',
        name: 'Eight weeks of gel',
        of: { recipeId: 'gel' },
        startsOn: '2026-03-02',
        until: '2026-04-26',
        toldOn: '2026-03-02',
        endedOn: null,
        themes: [{ week: 2, text: 'Ends only' }],
      },
    ]);
  });

  it('is of the recipe that is here already, under whatever identity', () => {
    expect(begun({ ...gel, id: 'mine', recipeId: 'my-gel' }).rhythms[0]?.of).toEqual({ recipeId: 'my-gel' });
  });

  it('is not begun where nobody is described', () => {
    const { rhythms } = recipesTaken(
      shared,
      { records: [], larder: larderOf([]), ...HERE, headId: null },
      stamp,
    );
    expect(rhythms).toEqual([]);
  });
});
