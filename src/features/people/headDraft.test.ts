import type { HeadDraft } from '@/store';
import { draftOfHead, headFromDraft, NEW_HEAD } from './personDraft';

const stamp = { id: 'h1', recordedAt: '2026-05-10T10:00:00Z', headId: 'h1' };
const good: HeadDraft = { ...NEW_HEAD, name: 'Ada', lengthCm: '32,5' };

describe('a head as typed', () => {
  it('becomes a head and comes back', () => {
    const head = headFromDraft(good, stamp);
    expect(head.ok && head.value).toMatchObject({
      name: 'Ada',
      lengthCm: 32.5,
      freeMinutes: [150, 0, 0, 120, 0, 0, 120],
      washFrom: [10, 18, 18, 18, 18, 18, 10],
      nights: Array(7).fill(true),
    });
    expect(head.ok && draftOfHead(head.value)).toEqual({ ...good, lengthCm: '32.5' });
  });

  it.each([
    [{ name: '' }, 'name'],
    [{ lengthCm: '' }, 'lengthCm'],
    [{ lengthCm: '-3' }, 'lengthCm'],
    [{ lengthCm: '900' }, 'lengthCm'],
    [{ free: ['0', '0', 'lots', '0', '0', '0', '0'] }, 'free.2'],
    [{ free: ['0', '0', '0', '9999', '0', '0', '0'] }, 'free.3'],
    [{ from: ['10', '24', '18', '18', '18', '18', '10'] }, 'from.1'],
  ])('%j is refused at %s', (part, path) => {
    const result = headFromDraft({ ...good, ...part }, stamp);
    expect(!result.ok && result.problems[0].path).toBe(path);
  });
});
