import { readFileSync } from 'node:fs';
import path from 'node:path';
import { modelRows, verdictOf } from '../src/core/lab/testing';
import { SCHOOLS } from '../src/core/records/shapes';

const rows = modelRows(readFileSync(path.resolve(__dirname, '../docs/model.md'), 'utf8'));

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
