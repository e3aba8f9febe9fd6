import { blockPath, HALF_HEIGHT, wavePath } from './Mark';

describe('the marks', () => {
  it('have a block whose tip lies its length away, with square shoulders before it', () => {
    expect(blockPath(10, 20, 30)).toBe(`M10 ${20 - HALF_HEIGHT}h21l9 9l-9 9h-21z`);
  });

  it('have no shoulders left when a block is shorter than its tip', () => {
    expect(blockPath(0, 0, 4)).toBe('M0 -9h0l4 9l-4 9h0z');
  });

  it('have a wave that ends under where it began', () => {
    expect(wavePath(5, 50)).toMatch(/^M5 41C.* 5 59$/);
  });
});
