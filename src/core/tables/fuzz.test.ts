import fc from 'fast-check';
import {
  headsIn,
  historyOf,
  larderOf,
  mergeRecords,
  ofKind,
  readBackup,
  storedRecordSchema,
  writeBackup,
  type StoredRecord,
} from '../exchange';
import { readRecipes, recipesTaken, recordsOfHead, writeRecipes } from '../sharing';
import { classifyVersion } from '../classification';
import { calendarDay } from '../measures';
import { parseRecipe } from '../parsing';
import { demoRecords } from '../simulation';
import { EMPTY_KITCHEN, planProblem } from '../planning';
import { estimateHair } from '../estimation';
import { READING_TABLE, readRecords, SESSION_TABLE, writeRecords } from '.';
import { STAMP } from '../testing';

/** Ten thousand files that somebody damaged, by chance or on purpose. */
const RUNS = { backups: 3000, recipeFiles: 2000, tables: 3000, pasted: 2000 } as const;

const today = calendarDay('2026-05-13');
const demo = demoRecords(today);
const larder = larderOf(demo);
/** One of each kind and a few more: small enough to be read thousands of times. */
const few = [...new Map(demo.map((record) => [record.kind, record])).values(), ...demo.slice(0, 25)].filter(
  (record, index, all) => record.kind !== 'photo' && all.indexOf(record) === index,
);
const BACKUP = writeBackup(few, STAMP.recordedAt);
const RECIPES = writeRecipes(
  larder,
  larder.recipes.slice(0, 4).map(({ recipeId }) => recipeId),
  ofKind(demo, 'ingredient'),
  STAMP.recordedAt,
);

const HOSTILE: readonly unknown[] = [
  null,
  true,
  -1,
  0,
  1e308,
  Number.MAX_SAFE_INTEGER,
  '',
  '__proto__',
  'constructor',
  '<script>alert(1)</script>',
  '"><img src=x onerror=alert(1)>',
  'javascript:alert(1)',
  '\u0000\uFFFF\u202E',
  'x'.repeat(30_000),
  [],
  {},
  [[[[[[]]]]]],
  JSON.parse('{"__proto__": {"polluted": true}, "constructor": {"prototype": {"polluted": true}}}'),
  '9999-99-99',
  '2026-02-30',
  '2026-05-13',
];
const hostile = fc.constantFrom(...HOSTILE);

interface Hit {
  readonly where: number;
  readonly how: 'replace' | 'drop' | 'double' | 'add';
  readonly value: unknown;
}
const hit: fc.Arbitrary<Hit> = fc.record({
  where: fc.nat(),
  how: fc.constantFrom('replace', 'drop', 'double', 'add'),
  value: hostile,
});

/** Every place of a tree that can be changed. */
function placesIn(node: unknown): { readonly holder: any; readonly key: string | number }[] {
  if (node === null || typeof node !== 'object') return [];
  const keys: (string | number)[] = Array.isArray(node) ? node.map((_, index) => index) : Object.keys(node);
  return keys.flatMap((key) => [{ holder: node, key }, ...placesIn((node as any)[key])]);
}

function damaged(text: string, hits: readonly Hit[]): string {
  const tree = JSON.parse(text);
  for (const { where, how, value } of hits) {
    const places = placesIn(tree);
    const place = places[where % Math.max(1, places.length)];
    if (!place) break;
    const { holder, key } = place;
    if (how === 'drop') {
      if (Array.isArray(holder)) holder.splice(Number(key), 1);
      else delete holder[key];
    } else if (how === 'double') {
      if (Array.isArray(holder)) holder.push(holder[Number(key)]);
      else holder[`${key}2`] = holder[key];
    } else if (how === 'add') {
      if (Array.isArray(holder)) holder.push(value);
      else Object.defineProperty(holder, '__proto__', { value, enumerable: true, configurable: true });
    } else holder[key] = value;
  }
  return JSON.stringify(tree);
}

/** Characters taken out and put in, without regard for what they mean. */
const torn = (text: string) =>
  fc
    .tuple(
      fc.nat(text.length),
      fc.nat(20),
      fc.oneof(fc.string({ maxLength: 6 }), fc.constantFrom('"', '{', ']', ',', '\r\n', '=', '\u0000')),
    )
    .map(([at, cut, put]) => text.slice(0, at) + put + text.slice(at + cut));
const spoilt = (text: string) =>
  fc.oneof(
    {
      weight: 3,
      arbitrary: fc.array(hit, { minLength: 1, maxLength: 4 }).map((hits) => damaged(text, hits)),
    },
    { weight: 1, arbitrary: torn(text) },
  );

function isClean(): void {
  expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
  expect(Object.keys(Object.prototype)).toEqual([]);
}

/** What was taken is whole, and everything that starts from it can be worked out. */
function isUsable(records: readonly StoredRecord[]): void {
  for (const record of records) expect(storedRecordSchema.safeParse(record).success).toBe(true);
  const all = mergeRecords([], records).added;
  const known = larderOf(all);
  for (const recipe of known.recipes) classifyVersion(recipe, 'my-hair', known);
  const heads = headsIn(all);
  planProblem(
    heads.map((head) => {
      const history = historyOf(all, head.headId);
      recordsOfHead(all, head.headId);
      return { head, history, state: estimateHair(head, history, today) };
    }),
    EMPTY_KITCHEN,
    today,
    1,
  );
}

describe('what comes in, damaged by chance or on purpose', () => {
  it(`${RUNS.backups} backups: each is taken whole or not at all`, () => {
    let taken = 0;
    fc.assert(
      fc.property(spoilt(BACKUP), (text) => {
        const result = readBackup(text);
        if (result.ok) {
          if (taken++ % 40 === 0) isUsable(result.value.records);
        } else expect(result.problems[0].message.length).toBeGreaterThan(10);
        isClean();
      }),
      { numRuns: RUNS.backups, seed: 20261125 },
    );
    // Some are only changed, not broken: both ways are walked.
    expect(taken).toBeGreaterThan(RUNS.backups / 100);
    expect(taken).toBeLessThan(RUNS.backups / 2);
  });

  it(`${RUNS.recipeFiles} recipe files: what is taken stands beside what is here`, () => {
    let next = 0;
    const stamp = () => ({ id: `come-${next++}`, recordedAt: STAMP.recordedAt });
    fc.assert(
      fc.property(spoilt(RECIPES), (text) => {
        const file = readRecipes(text);
        if (file.ok) {
          const { records } = recipesTaken(file.value, { records: demo, larder }, stamp);
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

  it(`${RUNS.pasted} recipes as they are pasted: read, or refused with what to do`, () => {
    const text = larder.recipes
      .map((recipe) => recipe.text)
      .join('\n')
      .slice(0, 200);
    const put = fc.oneof(
      hostile.map((value) => String(value).slice(0, 500)),
      fc.string({ unit: 'grapheme', maxLength: 12 }),
    );
    fc.assert(
      fc.property(fc.nat(text.length), fc.nat(60), put, (at, cut, piece) => {
        const parsed = parseRecipe(text.slice(0, at) + piece + text.slice(at + cut), { larder });
        if (parsed.ok)
          for (const line of parsed.value.lines)
            if (line.status === 'read') expect(Number.isFinite(line.grams ?? 1)).toBe(true);
        isClean();
      }),
      { numRuns: RUNS.pasted, seed: 20261128 },
    );
  });

  it('a file that is too large is refused before it is looked into', () => {
    const large = `{"format":"velvet-rhythm-backup","version":1,"records":["${'x'.repeat(50_000_001)}"]}`;
    const result = readBackup(large);
    expect(!result.ok && result.problems[0].code).toBe('too-large');
  });
});
