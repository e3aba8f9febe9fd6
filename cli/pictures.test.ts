import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { labelPicture, pagePicture, pngOf, sheetPicture } from '../src/core/lab/rendering';
import { CommandError } from './commands';
import { hairsCommand, labelCommand, pageCommand } from './pictures';

const folder = mkdtempSync(path.join(tmpdir(), 'pictures-'));
afterAll(() => rmSync(folder, { recursive: true }));

function fileOf(name: string, content: Buffer | string): string {
  const file = path.join(folder, name);
  writeFileSync(file, content);
  return file;
}

interface LabelAnswer {
  readonly names: readonly { readonly name: string; readonly fate: string; readonly sure: number }[];
  readonly troubles: readonly string[];
}
interface HairsAnswer {
  readonly broken: number;
  readonly shed: number;
  readonly lengthsMm: readonly number[];
  readonly sure: number;
  readonly balls: readonly {
    readonly acrossMm: number;
    readonly hairs: { readonly low: number; readonly high: number } | null;
  }[];
  readonly troubles: readonly string[];
}

describe('velvet label', () => {
  it('reads lists that are tilted, blurred, shaded, on a bottle: nearly all names, none of them invented', async () => {
    let right = 0;
    let all = 0;
    for (const seed of [3, 13]) {
      const { picture, names } = labelPicture(seed);
      const answer = (await labelCommand({ image: fileOf('label.png', pngOf(picture)) })) as LabelAnswer;
      const accepted = answer.names.filter(({ fate }) => fate === 'accepted').map(({ name }) => name);
      expect(accepted.filter((name) => !names.includes(name))).toEqual([]);
      right += names.filter((name) => accepted.includes(name)).length;
      all += names.length;
    }
    expect(right / all).toBeGreaterThan(0.9);
  }, 60_000);

  it('says that none can be read where the print is too small and blurred', async () => {
    const image = fileOf('no-label.png', pngOf(labelPicture(10).picture));
    const { names, troubles } = (await labelCommand({ image })) as LabelAnswer;
    expect(names).toEqual([]);
    expect(troubles.join(' ')).toContain('No ingredient list');
  }, 60_000);
});

describe('velvet page', () => {
  it('reads a recipe off a printed page, line by line, and says where there is nothing to read', async () => {
    const lines = [
      'Harbour glaze',
      '2 tbsp honey',
      '1 cup plain yogurt',
      '3 tbsp olive oil',
      'Leave on 25 minutes.',
    ];
    const image = fileOf('page.png', pngOf(pagePicture(lines, 0.03, 0.8)));
    const page = (await pageCommand({ image })) as { text: string; readable: boolean };
    expect(page.text.split('\n')).toEqual(lines);
    const blank = fileOf('blank.png', pngOf(pagePicture([], 0, 0)));
    expect(await pageCommand({ image: blank })).toMatchObject({ text: '', readable: false });
  }, 60_000);
});

describe('velvet hairs', () => {
  it('counts and measures the hairs beside a card, on light paper and dark', async () => {
    for (const seed of [2, 28]) {
      const { picture, hairs } = sheetPicture(seed);
      const answer = (await hairsCommand({ image: fileOf('sheet.png', pngOf(picture)) })) as HairsAnswer;
      const drawn = hairs.map(({ lengthMm }) => lengthMm);
      const sum = (lengths: readonly number[]) => lengths.reduce((total, length) => total + length, 0);
      expect(Math.abs(answer.broken + answer.shed - hairs.length)).toBeLessThanOrEqual(0.1 * hairs.length);
      expect(sum(answer.lengthsMm) / sum(drawn)).toBeGreaterThan(0.95);
      expect(sum(answer.lengthsMm) / sum(drawn)).toBeLessThan(1.05);
      expect(answer.sure).toBeGreaterThan(0.75);
      expect(answer.troubles).toEqual([]);
      expect(answer.balls).toEqual([]);
    }
  }, 60_000);

  it('measures a ball that lies beside single hairs, and says a wide count of it', async () => {
    const { picture, hairs, inBall } = sheetPicture(404, 8, 150);
    const answer = (await hairsCommand({ image: fileOf('ball.png', pngOf(picture)) })) as HairsAnswer;
    const [ball, ...others] = answer.balls;
    expect(others).toEqual([]);
    expect(ball?.hairs?.low).toBeLessThanOrEqual(inBall);
    expect(ball?.hairs?.high).toBeGreaterThanOrEqual(inBall);
    expect(ball?.hairs?.high).toBeGreaterThan(2 * (ball?.hairs?.low ?? 0));
    // Its hairs are not taken for single ones.
    expect(Math.abs(answer.broken + answer.shed - hairs.length)).toBeLessThanOrEqual(3);
  }, 60_000);

  it('asks for the card where there is none', async () => {
    const image = fileOf('no-card.png', pngOf(labelPicture(3).picture));
    const { broken, shed, sure, troubles } = (await hairsCommand({ image })) as HairsAnswer;
    expect([broken, shed, sure]).toEqual([0, 0, 0]);
    expect(troubles.join(' ')).toContain('bank card');
  }, 60_000);
});

it.each([
  [undefined, '--image wants'],
  [path.join(folder, 'nowhere.png'), 'is not there'],
  [fileOf('text.png', 'no picture'), 'no picture that can be opened'],
])('%s cannot be looked at, and it is said', async (image, says) => {
  await expect(hairsCommand({ image })).rejects.toThrow(CommandError);
  await expect(labelCommand({ image })).rejects.toThrow(says);
});
