import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import {
  currentLanguage,
  LANGUAGES,
  languageSchema,
  speak,
  type Language,
  type Speech,
} from '@/core/base/language';
import { DATABASE, PREFS_KEY } from './database';

type Other = Exclude<Language, 'en'>;
type Speeches = Record<Other, () => Promise<Speech>>;

/** Each language in files of its own, which only those load who read it. */
const SPEECHES: Speeches = {
  pt: async () => {
    const [{ speechOf }, catalogue] = await Promise.all([
      import('@/core/base/translation'),
      import('../../data/languages/pt'),
    ]);
    return speechOf('pt', catalogue.messages);
  },
};

/** Before the first text is shown: what was chosen goes first, then what the browser asks for. */
export async function startLanguage(
  wanted: readonly string[] = navigator.languages,
  speeches = SPEECHES,
): Promise<void> {
  await speakChosen((await storedChoice()) ?? 'system', wanted, speeches);
}

/**
 * Speaks what was chosen, or for "system" what the browser asks for; English where neither is spoken here. Where the file
 * of a language cannot be had, what was spoken goes on.
 */
export async function speakChosen(
  choice: Language | 'system',
  wanted: readonly string[] = navigator.languages,
  speeches = SPEECHES,
): Promise<void> {
  const language = choice === 'system' ? firstSpoken(wanted) : choice;
  if (language === currentLanguage()) return;
  try {
    speak(language === 'en' ? null : await speeches[language]());
    document.documentElement.lang = LANGUAGES[language].tag;
  } catch {
    // Another language is better than nothing on screen.
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

async function storedChoice(): Promise<Language | null> {
  try {
    const stored: unknown = JSON.parse((await createAsyncStorage(DATABASE).getItem(PREFS_KEY)) ?? '{}');
    const chosen = languageSchema.safeParse((stored as { readonly language?: unknown } | null)?.language);
    return chosen.success ? chosen.data : null;
  } catch {
    return null;
  }
}
