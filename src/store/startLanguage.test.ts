import { currentLanguage, speak } from '@/core/base/language';
import { speechOf } from '@/core/base/translation';
import { messages as portuguese } from '../../data/languages/pt';
import { firstSpoken, startLanguage } from './startLanguage';

const mockStored = new Map<string, string>();
jest.mock('@react-native-async-storage/async-storage', () => ({
  createAsyncStorage: () => ({
    getItem: async (key: string) => {
      if (mockStored.get('broken')) throw new Error('blocked');
      return mockStored.get(key) ?? null;
    },
  }),
}));

const speeches = async () => speechOf('pt', portuguese);

beforeEach(() => {
  mockStored.clear();
  speak(null);
});

it.each([
  [['pt-BR', 'en'], 'pt'],
  [['PT'], 'pt'],
  [['fr', 'pt-PT', 'en'], 'pt'],
  [['fr', 'en-GB', 'pt'], 'en'],
  [['zh-Hant-TW'], 'en'],
  [[], 'en'],
])(
  'of the languages %j that a browser asks for, the first that is spoken here is taken',
  (wanted, language) => {
    expect(firstSpoken(wanted)).toBe(language);
  },
);

it.each([
  ['nothing is chosen', null, ['pt-BR'], 'pt'],
  ['the browser shall decide', '{"language":"system"}', ['pt-BR'], 'pt'],
  ['English is chosen', '{"language":"en"}', ['pt-BR'], 'en'],
  ['Portuguese is chosen', '{"language":"pt"}', ['en'], 'pt'],
  ['what is stored is no choice', '{"language":"xx"', ['en'], 'en'],
])('where %s, the page starts so', async (_, prefs, wanted, language) => {
  if (prefs) mockStored.set('prefs', prefs);
  await startLanguage(wanted, speeches);
  expect(currentLanguage()).toBe(language);
  if (language === 'pt') expect(document.documentElement.lang).toBe('pt-BR');
});

it('a browser whose storage is blocked gets the language that it asks for', async () => {
  mockStored.set('broken', 'yes');
  await startLanguage(['pt'], speeches);
  expect(currentLanguage()).toBe('pt');
});

it('a language whose file cannot be had leaves English', async () => {
  await startLanguage(['pt'], () => Promise.reject(new Error('the server is away')));
  expect(currentLanguage()).toBe('en');
});
