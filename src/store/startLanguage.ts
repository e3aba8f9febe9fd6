import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import {
  currentLanguage,
  LANGUAGES,
  languageSchema,
  speak,
  type Language,
  type Speech,
} from '@/core/base/language';
import { CATALOGUES } from '../../data/languages/catalogues';
import { DATABASE, PREFS_KEY } from './database';

type Other = Exclude<Language, 'en'>;

/** Each language in files of its own, which only those load who read it. */
async function speechFor(language: Other): Promise<Speech> {
  const [{ speechOf }, { messages }] = await Promise.all([
    import('@/core/base/translation'),
    CATALOGUES[language](),
  ]);
  return speechOf(language, messages);
}

/** Before the first text is shown: what was chosen goes first, then what the browser asks for. */
export async function startLanguage(
  wanted: readonly string[] = navigator.languages,
  speech = speechFor,
): Promise<void> {
  await speakChosen((await storedChoice()) ?? 'system', wanted, speech);
}

/**
 * Speaks what was chosen, or for "system" what the browser asks for; English where neither is spoken here. Where the file
 * of a language cannot be had, what was spoken goes on.
 */
export async function speakChosen(
  choice: Language | 'system',
  wanted: readonly string[] = navigator.languages,
  speech = speechFor,
): Promise<void> {
  const language = choice === 'system' ? firstSpoken(wanted) : choice;
  if (language === currentLanguage()) return;
  try {
    speak(language === 'en' ? null : await speech(language));
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
