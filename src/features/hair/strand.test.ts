import { addDays, calendarDay } from '@/core/base/measures';
import type { Response, SignalState } from '@/core/hair/state';
import { testReading, testSession } from '@/core/lab/testing';
import { effectInWords, effectText, onHairWords } from '../shared/effectWords';
import { momentNow } from '../shared/momentNow';
import { lastLength, lengthKept } from './lengthKept';
import { levelText } from './levelText';
import { withScalpSign } from './readingOptions';

const today = calendarDay('2026-05-10');

describe('the moment of a reading taken now', () => {
  it.each([
    [0, 'after'],
    [1, 'dry'],
    [2, 'dry'],
    [3, 'before'],
  ] as const)('%d days after a treatment is “%s”', (back, moment) => {
    expect(momentNow({ sessions: [testSession('gel', addDays(today, -back))] }, today)).toBe(moment);
  });

  it('is “before” where nothing was ever done', () => {
    expect(momentNow({ sessions: [] }, today)).toBe('before');
  });
});

describe('length', () => {
  const readings = [
    testReading(addDays(today, -60), { lengths: [{ place: 'nape', cm: 30 }] }),
    testReading(today, {
      lengths: [
        { place: 'nape', cm: 31.4 },
        { place: 'front', cm: 12 },
      ],
    }),
  ];

  it('kept is told where it was measured twice', () => {
    expect(lengthKept(readings)).toMatchObject([{ place: 'nape', gainedCm: 1.4 }]);
  });

  it('is remembered, the last one', () => {
    expect(lastLength(readings, 'nape')?.cm).toBe(31.4);
    expect(lastLength(readings, 'crown')).toBeUndefined();
  });
});

describe('words of an effect', () => {
  const state = { signal: 'firmness', halfLifeDays: 8, halfLifeRange: { low: 5, high: 12 } } as SignalState;
  const response = (mean: number, sd: number, uses = 6): Omit<Response, 'recipeId'> => ({
    mean,
    sd,
    uses,
    expected: { mean: 0.2, sd: 0.3 },
  });

  it.each([
    [response(0.6, 0.1), /^Firms: \+0.6 \(\+0.4 to \+0.8\), felt for about 10 days \(6 to 15\)/],
    [response(-0.6, 0.1), /^Softens/],
    [response(0.2, 0.29, 1), /^Mostly a guess from the recipe so far/],
    [response(0.1, 0.2, 2), /^Too few uses to tell, perhaps firms/],
    [response(0.1, 0.2, 9), /^Hard to tell/],
    [response(0.2, 0.05), /too little to be noticed/],
  ])('%j say no more than the interval allows', (asked, words) => {
    expect(effectInWords(state, asked)).toMatch(words);
  });

  it.each([
    [undefined, 'Not used on Ada yet.'],
    [response(-0.6, 0.1, 9), /^On Ada’s hair: softer for about \d+ days?\.$/],
    [response(0.6, 0.1, 9), /^On Ada’s hair: firmer for about \d+ days?\.$/],
    [response(0.1, 0.2, 9), 'On Ada’s hair: too early to tell.'],
    [response(0.2, 0.05), 'On Ada’s hair it does next to nothing.'],
  ])('%j are said of one person in one sentence, and no more than is known', (asked, words) => {
    const said = onHairWords(state, asked && { ...asked, recipeId: 'gel' }, 'Ada');
    if (typeof words === 'string') expect(said).toBe(words);
    else expect(said).toMatch(words);
  });

  it('tell breakage as a share of pieces, and nothing without a sign', () => {
    expect(effectText('breakage', Math.log(0.8))).toBe('−20 %');
    expect(effectText('firmness', -0.01)).toBe('0.0');
  });
});

describe('the scalp', () => {
  it('that is calm shows nothing else', () => {
    expect(withScalpSign(['itch', 'flakes'], 'calm')).toEqual(['calm']);
    expect(withScalpSign(['calm'], 'itch')).toEqual(['itch']);
    expect(withScalpSign(['itch'], 'itch')).toEqual([]);
  });
});

describe('a level', () => {
  it('of few pieces a day has a decimal', () => {
    expect([levelText('breakage', Math.log(0.4)), levelText('breakage', Math.log(6.4))]).toEqual([
      '0.4',
      '6',
    ]);
  });
});
