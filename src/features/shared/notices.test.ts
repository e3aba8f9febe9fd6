import { isQuiet } from './notices';

describe('quiet hours', () => {
  it('may pass midnight, may be none, and end at their last hour', () => {
    const night = { from: 22, to: 7 };
    expect([21, 22, 23, 0, 6, 7, 12].filter((hour) => isQuiet(hour, night))).toEqual([22, 23, 0, 6]);
    expect([8, 9, 16, 17].filter((hour) => isQuiet(hour, { from: 9, to: 17 }))).toEqual([9, 16]);
    expect(isQuiet(3, { from: 5, to: 5 })).toBe(false);
  });
});
