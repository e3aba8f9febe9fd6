import fc from 'fast-check';
import { BLOCK_BYTES, frameOf, Gatherer, packed, readFrame, unpacked, writeFrame } from './index';

const bytes = fc.uint8Array({ minLength: 1, maxLength: 40 * BLOCK_BYTES });

describe('codes from screen to screen', () => {
  it('give all bytes back, whichever codes were lost and in whatever order they were seen', () => {
    const lost = fc
      .array(fc.boolean(), { minLength: 1, maxLength: 20 })
      .filter((each) => each.includes(false));
    fc.assert(
      fc.property(bytes, fc.integer({ min: 0, max: 5000 }), lost, (sent, first, pattern) => {
        const gatherer = new Gatherer();
        let received: Uint8Array | null = null;
        for (let number = first; received === null && number < first + 4000; number++) {
          if (pattern[number % pattern.length]) continue;
          received = gatherer.add(readFrame(writeFrame(frameOf(sent, 7, number)))!);
        }
        expect(received).toEqual(sent);
      }),
      { numRuns: 60 },
    );
  });

  it('need few more than there are blocks', () => {
    const sent = Uint8Array.from({ length: 50 * BLOCK_BYTES }, (_, at) => (at * 31) % 251);
    const needed = Array.from({ length: 40 }, (_, run) => {
      const gatherer = new Gatherer();
      for (let count = 1; ; count++)
        if (gatherer.add(frameOf(sent, 1, 1000 * (run + 1) + count))) return count;
    });
    expect(needed.reduce((sum, count) => sum + count, 0) / needed.length).toBeLessThan(53);
  });

  it('of another showing begin anew and are never mixed', () => {
    const gatherer = new Gatherer();
    const [one, other] = [new Uint8Array(700).fill(1), new Uint8Array(700).fill(2)];
    gatherer.add(frameOf(one, 1, 0));
    gatherer.add(frameOf(one, 1, 1));
    expect(gatherer.add(frameOf(other, 2, 2))).toBeNull();
    expect(gatherer.share).toBeCloseTo(1 / 3);
    gatherer.add(frameOf(other, 2, 0));
    expect(gatherer.add(frameOf(other, 2, 1))).toEqual(other);
  });

  it('that are no codes of these are left alone', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 400 }), (any) => {
        const frame = readFrame(any);
        if (any[0] !== 0x56) expect(frame).toBeNull();
      }),
    );
    expect(
      readFrame(writeFrame({ transfer: 1, length: 0, number: 0, data: new Uint8Array(300) })),
    ).toBeNull();
  });

  it('carry a text as few bytes; bytes that nobody packed are a problem, not an error', () => {
    const text = JSON.stringify(
      Array.from({ length: 200 }, (_, at) => ({ kind: 'reading', id: `r${at}`, feel: at % 7 })),
    );
    const few = packed(text);
    expect(few.length).toBeLessThan(text.length / 4);
    expect(unpacked(few)).toEqual({ ok: true, value: text });
    expect(unpacked(new Uint8Array([1, 2, 3])).ok).toBe(false);
  });
});
