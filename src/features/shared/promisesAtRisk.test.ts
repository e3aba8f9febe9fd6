import { calendarDay } from '@/core/base/measures';
import type { UnmetRule } from '@/core/plan/planning';
import { promisesAtRisk } from './promisesAtRisk';

const day = calendarDay('2026-03-02');
const unmet = (rhythmId: string | null, reason: string): UnmetRule => ({
  rule: 'free-time',
  text: reason,
  promise: {
    asked: 'Oil: Mondays',
    rhythmId,
    from: day,
    to: day,
    times: 1,
    reason,
    nearest: { text: 'Sunday would fit.', day: null, recipeId: null },
  },
});

describe('promises at risk', () => {
  it('are said once each, whatever stands in their way, and no other rule with them', () => {
    const plan = {
      unmet: [
        unmet('oil', 'has 0 minutes'),
        unmet('oil', 'comes a day too soon'),
        unmet(null, 'placed by hand'),
        { rule: 'wash-gap', text: 'No wash fits.' },
        unmet('mist', 'no recipe'),
      ],
    };
    expect(promisesAtRisk(plan).map(({ rhythmId, reason }) => [rhythmId, reason])).toEqual([
      ['oil', 'has 0 minutes'],
      ['mist', 'no recipe'],
    ]);
  });
});
