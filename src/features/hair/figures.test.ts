import { speak } from '@/core/base/language';
import { speechOf } from '@/core/base/translation';
import { messages as portuguese } from '../../../data/languages/pt';
import { effectText } from '../shared/effectWords';
import { levelText } from './levelText';

afterEach(() => speak(null));

describe.each([
  ['English', null, ['0.0', '0.0', '−0.4', '+1.2', '0 %', '−12 %'], ['−0.4', '0.0', '+1.2', '1.6', '7']],
  [
    'Portuguese',
    speechOf('pt', portuguese),
    ['0,0', '0,0', '−0,4', '+1,2', '0 %', '−12 %'],
    ['−0,4', '0,0', '+1,2', '1,6', '7'],
  ],
])('figures in %s', (_, speech, effects, levels) => {
  it('have no sign where nothing is left of them', () => {
    speak(speech);
    expect([
      effectText('firmness', 0.02),
      effectText('firmness', -0.02),
      effectText('firmness', -0.4),
      effectText('porosity', 1.23),
      effectText('breakage', 0.001),
      effectText('breakage', Math.log(0.88)),
    ]).toEqual(effects);
  });

  it('of a level have a sign, or are pieces a day', () => {
    speak(speech);
    expect([
      levelText('firmness', -0.42),
      levelText('firmness', 0.01),
      levelText('porosity', 1.2),
      levelText('breakage', Math.log(1.6)),
      levelText('breakage', Math.log(7.2)),
    ]).toEqual(levels);
  });
});
