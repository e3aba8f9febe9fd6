import fc from 'fast-check';
import { calendarDay } from '../../base/measures';
import { testReading, testStrand } from '../../lab/testing';
import {
  BLANK_DRAFT,
  BLANK_STRAND,
  draftFromReading,
  readingFromDraft,
  type ReadingDraft,
} from './readingDraft';

const today = calendarDay('2026-05-10');
const stamp = { id: 'r1', headId: 'h1', recordedAt: '2026-05-10T10:00:00Z' };
const strand = (rest: string, stretched: string, released: string) => ({
  ...BLANK_STRAND,
  rest,
  stretched,
  released,
});
const draft = (part: Partial<ReadingDraft>): ReadingDraft => ({
  ...BLANK_DRAFT,
  day: '2026-05-10',
  moment: 'before',
  strands: [BLANK_STRAND, BLANK_STRAND],
  ...part,
});
const problemOf = (part: Partial<ReadingDraft>) => {
  const result = readingFromDraft(draft(part), stamp, today);
  return result.ok ? null : `${result.problems[0].path}: ${result.problems[0].message}`;
};

describe('a reading as typed', () => {
  it('becomes a reading, with a decimal comma and blank strands left out', () => {
    const result = readingFromDraft(
      draft({ strands: [BLANK_STRAND, strand('60,5', '80', '62')], feel: -1 }),
      stamp,
      today,
    );
    expect(result.ok && result.value.strands).toEqual([testStrand(60.5, 80, 62)]);
  });

  it.each([
    [{}, 'Nothing was measured'],
    [{ strands: [strand('60', '50', '50')] }, 'strands.0.stretched: The stretched length cannot be shorter'],
    [{ strands: [BLANK_STRAND, strand('60', '70', '90')] }, 'strands.1.released'],
    [{ strands: [strand('long', '70', '60')] }, 'strands.0.rest: Write a length'],
    [{ strands: [strand('60', '240', '60')] }, 'strands.0.stretched: No hair stretches to 3 times'],
    [{ strands: Array.from({ length: 2000 }, () => strand('60', '70', '60')) }, 'strands'],
    [{ broken: '-1', days: '3' }, 'broken: A count cannot be below 0'],
    [{ broken: '1.5', days: '3' }, 'broken: A count is a whole number'],
    [{ broken: '3', days: '0' }, 'days: At least one day'],
    [{ broken: '3' }, 'days: Write the days'],
    [{ feel: 0, day: '2026-05-11' }, 'day: That day has not come yet'],
    [{ feel: 0, day: '2026-02-30' }, 'day: That day is not in the calendar'],
    [{ mistSeconds: '0' }, 'mistSeconds: Less than a second'],
    [{ dryMinutes: '4000' }, 'dryMinutes: More than a day'],
    [{ lengths: { front: '', crown: '900', sides: '', nape: '31' } }, 'lengths.crown: More than 250 cm'],
  ])('%j is refused beside its field', (part, said) => {
    expect(problemOf(part as Partial<ReadingDraft>)).toContain(said);
  });

  it('comes back from its form as it was, for any reading', () => {
    const length = fc.integer({ min: 40, max: 120 });
    const count = fc.integer({ min: 0, max: 90 });
    const mark = fc.option(fc.integer({ min: 0, max: 4 }), { nil: null });
    fc.assert(
      fc.property(
        fc.record({
          strands: fc.array(
            fc.oneof(
              length.map((mm) => testStrand(mm, mm + 12, mm + 1)),
              length.map((mm) => ({
                outcome: 'snapped' as const,
                region: 'nape' as const,
                restMm: mm,
                snappedMm: null,
              })),
            ),
            { maxLength: 5 },
          ),
          tally: fc.option(
            fc.record({
              sections: fc.array(fc.record({ broken: count, shed: count }), { minLength: 1, maxLength: 4 }),
              days: fc.integer({ min: 1, max: 30 }),
            }),
            { nil: null },
          ),
          marks: fc.record({
            slip: mark,
            tangles: mark,
            shine: mark,
            clumping: mark,
            residue: mark,
            softness: mark,
            scent: mark,
          }),
          feel: fc.constant(1),
          lengths: fc.subarray([
            { place: 'front' as const, cm: 12.5 },
            { place: 'nape' as const, cm: 31 },
          ]),
        }),
        (measured) => {
          const reading = testReading(today, { ...measured, scalp: ['itch'] });
          const again = readingFromDraft(
            draftFromReading(reading),
            { id: reading.id, headId: reading.headId, recordedAt: reading.recordedAt },
            today,
          );
          expect(again).toEqual({ ok: true, value: reading });
        },
      ),
      { numRuns: 60 },
    );
  });

  it('keeps the sections of a count until its totals are changed', () => {
    const reading = testReading(today, {
      tally: {
        sections: [
          { broken: 2, shed: 9 },
          { broken: 3, shed: 7 },
        ],
        days: 3,
      },
    });
    const changed = readingFromDraft({ ...draftFromReading(reading), broken: '6' }, stamp, today);
    expect(changed.ok && changed.value.tally?.sections).toEqual([{ broken: 6, shed: 16 }]);
  });
});
