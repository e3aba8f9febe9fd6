import { sum } from '@/core/base/measures';
import { testHead, testRecipe } from '@/core/lab/testing';
import { factorOf, headAmounts, NEW_AMOUNT, type AmountDraft, type AmountFacts } from './useAmount';

const recipe = testRecipe('bowl', ['100 g banana', '50 g honey', 'stir']);
const facts: AmountFacts = {
  recipe,
  finishedGrams: 150,
  density: 1.2,
  isOil: false,
  heads: [testHead(), testHead({ headId: 'bo', name: 'Bo', lengthCm: 15 })],
  usedGrams: () => [],
};
const draft = (changes: Partial<AmountDraft>): AmountDraft => ({
  kind: 'heads',
  headIds: ['h'],
  ...NEW_AMOUNT,
  ...changes,
});
const finished = (changes: Partial<AmountDraft>) => {
  const wanted = draft(changes);
  const factor = factorOf(facts, wanted, headAmounts(facts, wanted.headIds));
  return factor.ok ? Math.round(factor.value * facts.finishedGrams * 100) / 100 : factor.problems[0].message;
};

describe('how much is made', () => {
  it('for two heads it is what each takes, added', () => {
    const [one, two] = headAmounts(facts, ['h', 'bo']);
    expect(two?.grams).toBeCloseTo((one?.grams ?? 0) / 2, 6);
    expect(finished({ headIds: ['h', 'bo'] })).toBeCloseTo(sum([one?.grams ?? 0, two?.grams ?? 0]), 1);
  });

  it.each<[Partial<AmountDraft>, number | string]>([
    [{ kind: 'written' }, 150],
    [{ kind: 'grams', grams: '312,5' }, 312.5],
    [{ kind: 'jar', millilitres: '100', jars: '2' }, 240],
    [{ kind: 'portions', portions: '4', portionGrams: '80' }, 320],
    [{ kind: 'left', line: 1, gramsLeft: '25' }, 75],
    [{ headIds: [] }, 'Write how many grams you want, more than 0.'],
    [{ kind: 'grams', grams: 'much' }, 'Write how many grams you want, more than 0.'],
    [{ kind: 'jar', millilitres: '', jars: '1' }, 'Write the volume of the jar in millilitres, more than 0.'],
    [{ kind: 'left', line: 2, gramsLeft: '25' }, 'Choose an ingredient of the recipe.'],
  ])('%j', (changes, expected) => {
    expect(finished(changes)).toBe(expected);
  });

  it('learns from what really went on', () => {
    const learned = { ...facts, usedGrams: () => [60, 60, 60] };
    const [usual] = headAmounts(facts, ['h']);
    const [own] = headAmounts(learned, ['h']);
    expect(own?.uses).toBe(3);
    expect(own?.grams).toBeLessThan(usual?.grams ?? 0);
  });
});
