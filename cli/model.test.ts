import { readFileSync } from 'node:fs';
import path from 'node:path';
import { verdictOf } from '../src/core/lab/testing';
import { SCHOOLS } from '../src/core/records/shapes';

const model = readFileSync(path.resolve(__dirname, '../docs/model.md'), 'utf8');
const rows = [
  ...model.matchAll(
    /^\| ([^|]+) \| ([^|]+) \| (\w+ [\d.]+) \| (\w+ [\d.]+) \| (\w+ [\d.]+) \| ([^|]+) \|$/gm,
  ),
].map(([, name = '', lines = '', any, broken, mine, why = '']) => ({
  name,
  lines: lines.split('; '),
  verdicts: [any, broken, mine],
  why,
}));

describe('the recipes argued in docs/model.md', () => {
  it('are at least thirty, each with its own reason', () => {
    expect(rows.length).toBeGreaterThanOrEqual(30);
    expect(new Set(rows.map(({ why }) => why)).size).toBe(rows.length);
  });

  it.each(rows.map((row) => [row.name, row] as const))('%s is judged as it says', (_, row) => {
    const { schools } = verdictOf(row.lines);
    const judged = SCHOOLS.map((school) => `${schools[school].kind} ${schools[school].strength.toFixed(1)}`);
    expect(judged).toEqual(row.verdicts);
  });
});
