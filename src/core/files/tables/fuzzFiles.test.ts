import fc from 'fast-check';
import { calendarDay } from '../../base/measures';
import { larderOf } from '../../hair/history';
import { demoRecords } from '../../lab/simulation';
import { STAMP } from '../../lab/testing';
import { ofKind, storedRecordSchema } from '../../records/shapes';
import { readRecipes, recipesTaken, writeRecipes } from '../sharing';
import { READING_TABLE } from './readingTable';
import { readRecords, writeRecords } from './recordTable';
import { SESSION_TABLE } from './sessionTable';
import { hostile, isClean, spoilt, torn } from './testing';

const RUNS = { recipeFiles: 2000, tables: 3000 } as const;

const today = calendarDay('2026-05-13');
const demo = demoRecords(today);
const larder = larderOf(demo);
const RECIPES = writeRecipes(
  larder,
  larder.recipes.slice(0, 4).map(({ recipeId }) => recipeId),
  ofKind(demo, 'ingredient'),
  STAMP.recordedAt,
);

describe('recipe files and tables that come in, damaged by chance or on purpose', () => {
  it(`${RUNS.recipeFiles} recipe files: what is taken stands beside what is here`, () => {
    let next = 0;
    const stamp = () => ({ id: `come-${next++}`, recordedAt: STAMP.recordedAt });
    fc.assert(
      fc.property(spoilt(RECIPES), (text) => {
        const file = readRecipes(text);
        if (file.ok) {
          const { records } = recipesTaken(
            file.value,
            { records: demo, larder, headId: 'maren', today: calendarDay('2026-05-13') },
            stamp,
          );
          const known = new Set(demo.map(({ id }) => id));
          for (const record of records) {
            expect(storedRecordSchema.safeParse(record).success).toBe(true);
            expect(known.has(record.id)).toBe(false);
          }
          const after = larderOf([...demo, ...records]);
          for (const recipe of larder.recipes) expect(after.lastVersion(recipe.recipeId)).toBe(recipe);
        }
        isClean();
      }),
      { numRuns: RUNS.recipeFiles, seed: 20261126 },
    );
  });

  it(`${RUNS.tables} tables: whole rows or nothing`, () => {
    const some = demo
      .filter(({ kind }) => kind === 'head' || kind === 'recipe')
      .concat(ofKind(demo, 'reading').slice(0, 6), ofKind(demo, 'session').slice(0, 6));
    const texts = [
      [READING_TABLE, writeRecords(READING_TABLE, some)],
      [SESSION_TABLE, writeRecords(SESSION_TABLE, some)],
    ] as const;
    let next = 0;
    const stamp = () => ({ id: `come-${next++}`, recordedAt: STAMP.recordedAt });
    for (const [table, text] of texts) {
      const cell = fc
        .tuple(fc.nat(), fc.oneof(hostile.map(String), fc.string({ maxLength: 12 })))
        .map(([where, put]) => {
          const cells = text.split(',');
          cells[where % cells.length] = put.slice(0, 200);
          return cells.join(',');
        });
      fc.assert(
        fc.property(fc.oneof(cell, torn(text)), (spoiltText) => {
          const result = readRecords(table as typeof READING_TABLE, spoiltText, {
            records: some,
            today,
            stamp,
          });
          if (result.ok)
            for (const record of result.value.records)
              expect(storedRecordSchema.safeParse(record).success).toBe(true);
          else expect(result.problems.length).toBeLessThan(10);
          isClean();
        }),
        { numRuns: RUNS.tables / 2, seed: 20261127 },
      );
    }
  });
});
