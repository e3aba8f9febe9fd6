import { prepareTitle } from './prepareTitle';

describe('what to prepare', () => {
  it.each([
    [null, 600, 'Prepare'],
    [16 * 60 + 5, 9 * 60, 'Prepare, by 16:05 at the latest'],
    [16 * 60 + 5, 16 * 60 + 5, 'Prepare, by 16:05 at the latest'],
    [16 * 60 + 5, 20 * 60, 'Prepare at once: 16:05 was the last moment for the hour you wash at'],
  ])('with its last moment at %p, seen at %p: %s', (startMinute, now, title) => {
    expect(prepareTitle({ startMinute }, now)).toBe(title);
  });
});
