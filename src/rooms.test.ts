import { places } from './features/shell/places';
import { TodayScreen } from './features/today/TodayScreen';
import * as rooms from './rooms';

jest.mock('expo-router', () => ({}));
jest.mock('expo-haptics', () => ({}));
jest.mock('@/core/base/language/texts', () => {
  const texts = jest.requireActual<object>('@/core/base/language/texts');
  const said: string[] = [];
  const say = (message: string | { readonly message?: string }) => {
    said.push(typeof message === 'string' ? message : (message.message ?? ''));
    return '';
  };
  return { ...texts, i18n: { _: say }, inWords: say, said };
});

it('no text is read with its module: it would stay in the language of that moment', () => {
  const { said } = jest.requireMock<{ readonly said: readonly string[] }>('@/core/base/language/texts');
  expect([rooms.RecipesScreen, TodayScreen].every(Boolean)).toBe(true);
  expect(said).toEqual([]);
  // Texts are heard here at all.
  places();
  expect(said).toContain('Today');
});
