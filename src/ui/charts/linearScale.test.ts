import { linearScale } from './linearScale';

it('a figure has its place, also upside down, and one beyond stays at the edge', () => {
  const down = linearScale([-2, 2], [100, 0]);
  expect([-2, 0, 1, 2, 5, -9].map(down)).toEqual([100, 50, 25, 0, 0, 100]);
  // A chart of one day has one place, in the middle.
  expect(linearScale([3, 3], [0, 10])(3)).toBe(5);
});
