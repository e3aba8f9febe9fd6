import { addDays, calendarDay } from '../../base/measures';
import {
  testHead,
  testHistory,
  testReading,
  testRecipe,
  testSession,
  testStrand,
  testTally,
} from '../../lab/testing';
import { COMPLAINTS, type Complaint, type Reading } from '../../records/shapes';
import { estimateHair } from './estimate';

const today = calendarDay('2026-05-10');
const needOf = (complaint: Complaint, readings: readonly Reading[] = []) =>
  estimateHair(testHead({ complaints: [complaint] }), testHistory({ readings }), today).need;
const counts = (broken: number, shed: number) =>
  [-8, -5, -2].map((at) =>
    testReading(addDays(today, at), { tally: testTally(broken, shed, 2) }, { id: `c${at}` }),
  );
const springy = testReading(addDays(today, -1), {
  strands: Array.from({ length: 5 }, () => testStrand(60, 78, 60.5)),
});

describe('the first answer', () => {
  it.each([...COMPLAINTS])(
    'to “%s” begins with it, says what would settle it, and never that there is nothing to fix',
    (complaint) => {
      const { headline, reasons, complaint: answer } = needOf(complaint, [springy]);
      expect(headline).toMatch(/^(You say|It|Your scalp)/);
      expect(headline.split(' ').length).toBeLessThanOrEqual(9);
      expect(answer?.complaint).toBe(complaint);
      expect(reasons.join(' ')).not.toContain('nothing to fix');
      expect(answer?.isShown || answer?.reason).toBeTruthy();
    },
  );

  it('agrees where the counts show it', () => {
    expect(needOf('breaks', counts(60, 20)).headline).toBe('It breaks, and your counts show it');
    expect(needOf('sheds', counts(2, 240)).headline).toBe('It sheds more than is usual');
  });

  it('argues where they say otherwise, and does not overrule', () => {
    const { headline, complaint } = needOf('breaks', counts(2, 20));
    expect(headline).toBe('You say it breaks');
    expect(complaint?.reason).toMatch(/^About \d broken pieces a day\. Your counts look ordinary\./);
    expect(needOf('stiff', [springy]).complaint?.reason).toContain("isn't too firm");
  });

  it('says what nothing here measures, and who to ask', () => {
    expect(needOf('scalp').complaint?.reason).toContain('No check here measures it');
    expect(needOf('edges').complaint?.meanwhile).toContain('doctor');
  });

  it('is the reading’s where nothing troubles her', () => {
    const { headline, complaint } = estimateHair(
      testHead(),
      testHistory({ readings: [springy] }),
      today,
    ).need;
    expect(complaint).toBeNull();
    expect(headline).not.toMatch(/^You say/);
  });

  it('does not move where the estimate began when it changes later', () => {
    const level = (complaints: Complaint[], firstComplaints?: Complaint[]) =>
      estimateHair(
        testHead({ complaints, ...(firstComplaints ? { firstComplaints } : {}) }),
        testHistory({}),
        today,
      ).signals.firmness.mean;
    expect(level(['stiff'], ['limp'])).toBe(level(['limp']));
  });
});

describe('a treatment told from memory', () => {
  const recipe = testRecipe('veil', ['200 ml rice water', '1 tbsp hydrolysed silk']);
  const known = (about: boolean, ago: number) =>
    estimateHair(
      testHead(),
      testHistory({
        recipes: [recipe],
        sessions: [
          testSession('veil', addDays(today, -ago), {
            recordedAt: `${today}T08:00:00Z`,
            ...(about ? { about: true as const } : {}),
          }),
        ],
      }),
      today,
    ).signals.firmness;

  it('counts as one use, of which it is less sure when it was, the more so the longer ago', () => {
    expect(known(true, 8).responses[0]?.uses).toBe(1);
    expect(known(true, 8).sd).toBeGreaterThan(known(false, 8).sd);
    expect(known(true, 8).mean).toBeGreaterThan(0);
  });
});
