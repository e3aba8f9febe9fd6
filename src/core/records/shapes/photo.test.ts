import { addDays, calendarDay } from '../../base/measures';
import { STAMP } from '../../lab/testing';
import { PHOTO_LIMITS, photoBytes, photoSchema, photosOf, type Photo } from './photo';

const day = calendarDay('2026-05-10');
const photo = (id: string, back: number, place: Photo['place'] = 'nape'): Photo =>
  photoSchema.parse({
    ...STAMP,
    kind: 'photo',
    id,
    headId: 'h',
    day: addDays(day, -back),
    moment: 'dry',
    place,
    widthPx: 480,
    heightPx: 640,
    jpeg: '/9j/AAAA',
  });

describe('pictures', () => {
  it('of one place come oldest first', () => {
    const all = [photo('new', 0), photo('old', 60), photo('front', 10, 'front')];
    expect(photosOf(all, 'nape').map(({ id }) => id)).toEqual(['old', 'new']);
  });

  it('are counted by what they take', () => {
    expect(photoBytes([photo('a', 0), photo('b', 1)])).toBe(16);
  });

  it.each([
    [{ jpeg: 'data:text/html,<script>' }, 'no JPEG'],
    [{ jpeg: '/9j/<svg onload=alert(1)>' }, 'no JPEG'],
    [{ jpeg: `/9j/${'A'.repeat(PHOTO_LIMITS.characters)}` }, 'too large'],
    [{ widthPx: 5000 }, '640'],
    [{ widthPx: 0 }, '1'],
  ])('with %j are refused', (part, said) => {
    const result = photoSchema.safeParse({ ...photo('a', 0), ...part });
    expect(result.success).toBe(false);
    expect(result.error?.issues.map(({ message }) => message).join(' ')).toContain(said);
  });
});
