import { speak } from '@/core/base/language';
import { speechOf } from '@/core/base/translation';
import { messages as portuguese } from '../../../data/languages/pt';
import { spokenIn } from './spoken';

afterEach(() => speak(null));

describe('what is said to a step', () => {
  it.each([
    ['Done', 'done'],
    ['okay, next!', 'done'],
    ['go back', 'back'],
    ['skip it please', 'skip'],
    ['wait', 'pause'],
    ['five more', 'longer'],
    ['say that again', 'again'],
  ])('%s is %s', (heard, meant) => {
    expect(spokenIn(heard)).toBe(meant);
  });

  it.each([
    [''],
    ['the kettle is on'],
    ['done, go back'],
    ['I think we are nearly done with the dishes now'],
  ])('“%s” is nothing for it', (heard) => {
    expect(spokenIn(heard)).toBeNull();
  });

  it('is understood in the language that is spoken', () => {
    speak(speechOf('pt', portuguese));
    expect(spokenIn('pronto')).toBe('done');
    expect(spokenIn('próximo')).toBe('done');
    expect(spokenIn('voltar')).toBe('back');
    expect(spokenIn('de novo')).toBe('again');
  });
});
