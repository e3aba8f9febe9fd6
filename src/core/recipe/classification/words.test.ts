import { verdictOf } from '../../lab/testing';
import { confidenceWord, verdictReasons } from './words';

const reasonsOf = (...lines: string[]): string => verdictReasons(verdictOf(lines)).join(' ');

describe('the reasons of a verdict', () => {
  it('name what carries it and how much of it', () => {
    expect(reasonsOf('11 g gelatin', '150 ml water')).toMatch(
      /Most of what firms comes from the gelatin \(100 %\)/,
    );
    expect(reasonsOf('1 banana', '1 tsp coconut oil')).toMatch(/softens comes from the banana/);
    expect(reasonsOf('3 tbsp coconut oil')).toMatch(/soaks in comes from the coconut oil/);
    // Two kinds of oil are two sentences, and each says of which it is.
    const both = reasonsOf('3 tbsp coconut oil', '40 g shea butter');
    expect(both).toMatch(/soaks in comes from the coconut oil/);
    expect(both).toMatch(/coats comes from the shea butter/);
    expect(reasonsOf('2 cups water', '1 tsp nettle')).toMatch(/Little in it stays/);
  });

  it('name both sides of a balance', () => {
    const reasons = reasonsOf('1 egg', '2 tbsp olive oil', '1 tbsp honey');
    expect(reasons).toContain('firms comes from the egg');
    expect(reasons).toContain('softens comes from the honey');
  });

  it('say where the schools part', () => {
    expect(reasonsOf('1 egg', '2 tbsp olive oil', '1 tbsp honey')).toContain(
      'By “any protein” it is protein.',
    );
    expect(reasonsOf('11 g gelatin', '150 ml water')).toContain('All three views agree.');
  });
});

describe('confidence in words', () => {
  it.each([
    [0.9, 'quite sure'],
    [0.7, 'fairly sure'],
    [0.5, 'not very sure'],
    [0.1, 'a guess'],
  ])('%d is %s', (confidence, word) => {
    expect(confidenceWord(confidence)).toBe(word);
  });
});
