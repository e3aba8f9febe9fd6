import fc from 'fast-check';
import { calendarDay } from '../../base/measures';
import { larderOf } from '../../hair/history';
import { demoRecords } from '../../lab/simulation';
import { parseRecipe } from '../../recipe/parsing';
import { hostile, isClean } from './testing';

const RUNS = 2000;

const larder = larderOf(demoRecords(calendarDay('2026-05-13')));

describe('recipes as they are pasted, damaged by chance or on purpose', () => {
  it(`${RUNS} recipes as they are pasted: read, or refused with what to do`, () => {
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
      { numRuns: RUNS, seed: 20261128 },
    );
  });
});
