import { testHead, verdictOf } from '../../lab/testing';
import { expectedMaskGrams, hairMassGrams, hairMassReason, MASK_PER_HAIR } from './hairMass';
import { ownVerdict, ownVerdictWords } from './ownVerdict';
import { priorEffect } from './signals';

const verdict = verdictOf(['1 egg', '2 tbsp olive oil', '1 tbsp honey']);
const expected = priorEffect(verdict.push).firmness;
const shown = (shift: number, sd: number, uses = 4) =>
  ownVerdict(verdict, {
    recipeId: 'r',
    mean: expected + shift,
    sd,
    uses,
    expected: { mean: expected, sd: 0.3 },
  });

describe('a verdict on her own hair', () => {
  it('is not spoken of before a use, or while it acts as it reads', () => {
    expect(ownVerdict(verdict, undefined)).toBeNull();
    expect(shown(0.5, 0.1, 0)).toBeNull();
    expect(shown(0.1, 0.2)).toBeNull();
  });

  it('moves toward what the hair has shown', () => {
    const firmer = shown(0.4, 0.1);
    const softer = shown(-0.4, 0.1);
    expect(firmer?.acts).toBe('firmer');
    expect(firmer?.push.firm).toBeGreaterThan(verdict.push.firm);
    expect(firmer?.kind).toBe('protein');
    expect(softer?.push.soft).toBeGreaterThan(verdict.push.soft);
    expect(softer?.kind).toBe('moisture');
  });

  it('explains the shown effect: the shifted pushes would let it expect', () => {
    const { push } = shown(0.3, 0.1) ?? verdict;
    expect(priorEffect(push).firmness).toBeCloseTo(expected + 0.3, 6);
  });

  it('stays a push, however wild the effect', () => {
    for (const shift of [-9, 9]) {
      const { push, strength } = shown(shift, 0.1) ?? verdict;
      expect([push.firm, push.soft].every((each) => each >= 0 && each < 1)).toBe(true);
      expect(strength).toBeLessThanOrEqual(5);
    }
  });

  it('is said in words', () => {
    const own = shown(0.4, 0.1, 1);
    expect(own && ownVerdictWords(own, 'Ada')).toMatch(
      /^On Ada’s hair it acts firmer than it reads \(1 use\): protein, /,
    );
  });
});

describe('hair mass', () => {
  it('is 150 g for 100,000 strands of 30 cm at 70 µm', () => {
    expect(hairMassGrams(testHead())).toBeCloseTo(150, 6);
    expect(hairMassReason(testHead())).toContain('150 g of hair');
    // Half of the regions ten centimetres longer: five on the whole.
    const longer = testHead({ lengthsCm: { front: null, crown: 40, sides: null, nape: 40 } });
    expect(hairMassReason(longer)).toContain('strands of 35 cm');
    expect(hairMassGrams(longer)).toBeCloseTo(175, 6);
  });

  it('grows with length, density and thickness of strand', () => {
    const base = hairMassGrams(testHead());
    expect(hairMassGrams(testHead({ lengthCm: 60 }))).toBeCloseTo(2 * base, 6);
    expect(hairMassGrams(testHead({ density: 'thick' }))).toBeGreaterThan(base);
    expect(hairMassGrams(testHead({ strand: 'coarse' }))).toBeGreaterThan(base);
  });

  it('gives the mask that it takes, and learns what this head really takes', () => {
    const head = testHead();
    expect(expectedMaskGrams(head, 'mask', []).grams).toBeCloseTo(150 * MASK_PER_HAIR.mask, 6);
    const learned = expectedMaskGrams(head, 'mask', [60, 60, 60, 60]);
    expect(learned).toMatchObject({ uses: 4 });
    expect(learned.factor).toBeLessThan(MASK_PER_HAIR.mask);
    expect(learned.factor).toBeGreaterThan(60 / 150);
    expect(expectedMaskGrams(head, 'oil', []).grams).toBeLessThan(30);
  });
});
