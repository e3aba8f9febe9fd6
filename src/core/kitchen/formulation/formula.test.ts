import { sum } from '../../base/measures';
import { parsedOf } from '../../lab/testing';
import { CATALOGUE_LARDER } from '../../recipe/larder';
import { checkFormula, isFormula, type FormulaFinding } from './formula';

const CREAM = [
  'Phase A',
  'water to 100%',
  '3% glycerin',
  'Phase B',
  '5% BTMS',
  '6% argan oil',
  'Phase C',
  '1% preservative',
];
const formulaOf = (...lines: string[]) => checkFormula(parsedOf(lines), CATALOGUE_LARDER);
const codes = (...lines: string[]): FormulaFinding['code'][] =>
  formulaOf(...lines).findings.map(({ code }) => code);
const without = (word: string) => CREAM.filter((line) => !line.includes(word));

describe('a formula', () => {
  it('is told from a recipe by its phases or by percents alone', () => {
    expect(isFormula(parsedOf(CREAM))).toBe(true);
    expect(isFormula(parsedOf(['97% jojoba oil', '3% vitamin E']))).toBe(true);
    expect(isFormula(parsedOf(['2 tbsp honey', '3% glycerin']))).toBe(false);
    expect(isFormula(parsedOf(['100% honey']))).toBe(false);
  });

  it('that is right has nothing said beside it and adds to 100', () => {
    const { findings, total, percents } = formulaOf(...CREAM);
    expect(findings).toEqual([]);
    expect(total).toBeCloseTo(100, 9);
    expect(sum([...percents.values()])).toBeCloseTo(100, 9);
  });

  it('needs an emulsifier for its oil, and enough of it', () => {
    expect(codes(...without('BTMS'))).toContain('no-emulsifier');
    const oily = CREAM.map((line) => line.replace('6% argan', '30% argan').replace('5% BTMS', '1% BTMS'));
    expect(codes(...oily)).toContain('little-emulsifier');
  });

  it('needs a preservative for its water, and none without water', () => {
    expect(codes(...without('preservative'))).toContain('no-preservative');
    expect(codes('97% jojoba oil', '3% vitamin E')).not.toContain('no-preservative');
  });

  it.each([
    ['out-of-range', '3% glycerin', '40% glycerin'],
    ['wrong-phase', '3% glycerin', '3% argan oil'],
  ] as const)('says %s beside the line', (code, from, to) => {
    const lines = CREAM.map((line) => line.replace(from, to));
    const found = formulaOf(...lines).findings.find((finding) => finding.code === code);
    expect(found?.line).toBe(2);
  });

  it('moves what heat spoils to the cool-down', () => {
    const hot = [...without('preservative').filter((line) => line !== 'Phase C'), '1% preservative'];
    expect(codes(...hot)).toContain('heat-sensitive');
    expect(codes(...CREAM)).not.toContain('heat-sensitive');
  });

  it('says what is missing to 100', () => {
    const found = formulaOf('50% water', '5% BTMS', '3% cetyl alcohol', '1% preservative').findings[0];
    expect([found?.code, found?.text]).toEqual(['adds-to', expect.stringContaining('41 are missing')]);
  });

  it('written in grams is checked in percent', () => {
    const { total, percents } = formulaOf('Phase A', '80 g water', 'Phase B', '10 g BTMS', '10 g argan oil');
    expect(total).toBeCloseTo(100, 9);
    expect(percents.get(1)).toBeCloseTo(80, 9);
  });
});
