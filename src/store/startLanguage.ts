import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { LANGUAGES, languageSchema, speak, type Language, type Speech } from '@/core/base/language';
import { DATABASE, PREFS_KEY } from './database';

type Other = Exclude<Language, 'en'>;

/** Each language in files of its own, which only those load who read it. */
const SPEECHES: Record<Other, () => Promise<Speech>> = {
  pt: async () => {
    const [{ speechOf }, texts] = await Promise.all([
      import('@/core/base/translation'),
      import('../../data/languages/pt.json'),
    ]);
    return speechOf('pt', texts.default);
  },
};

/**
 * Sets the language before any module that holds texts is read. What was chosen goes first, then what the browser asks
 * for; English where neither is spoken here, or where its file cannot be had.
 */
export async function startLanguage(
  wanted: readonly string[] = navigator.languages,
  speeches = SPEECHES,
): Promise<void> {
  const language = (await chosenLanguage()) ?? firstSpoken(wanted);
  if (language === 'en') return;
  try {
    speak(await speeches[language]());
    document.documentElement.lang = LANGUAGES[language].tag;
  } catch {
    // English is better than nothing on screen.
  }
}

/** "pt-PT" is spoken as "pt". */
export function firstSpoken(wanted: readonly string[]): Language {
  for (const tag of wanted) {
    const known = languageSchema.safeParse(tag.toLowerCase().split('-')[0]);
    if (known.success) return known.data;
  }
  return 'en';
}

async function chosenLanguage(): Promise<Language | null> {
  try {
    const stored: unknown = JSON.parse((await createAsyncStorage(DATABASE).getItem(PREFS_KEY)) ?? '{}');
    const chosen = languageSchema.safeParse((stored as { readonly language?: unknown } | null)?.language);
    return chosen.success ? chosen.data : null;
  } catch {
    return null;
  }
}
