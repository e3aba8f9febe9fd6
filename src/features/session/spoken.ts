import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';

/** What can be said to a step. */
export type Spoken = 'done' | 'back' | 'skip' | 'pause' | 'longer' | 'again';

/** Words for each, in the language that is spoken; any of them, alone or among others. */
const words = perLanguage((): Readonly<Record<Spoken, string>> => ({
  done: t({ message: 'done, next, ready, off with it', context: 'said aloud' }),
  back: t({ message: 'back, go back', context: 'said aloud' }),
  skip: t({ message: 'skip, leave it out', context: 'said aloud' }),
  pause: t({ message: 'pause, wait, stop', context: 'said aloud' }),
  longer: t({ message: 'longer, five more', context: 'said aloud' }),
  again: t({ message: 'again, repeat, what', context: 'said aloud' }),
}));

const plain = (text: string) =>
  ` ${text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()} `;

/** More words than this are talk in the room and no answer to the step. */
const MOST_WORDS = 5;

/** What was meant by what was heard; null where it was nothing for the step, or two things at once. */
export function spokenIn(heard: string): Spoken | null {
  const said = plain(heard);
  if (said.trim().split(' ').length > MOST_WORDS) return null;
  const meant = (Object.entries(words()) as [Spoken, string][]).filter(([, all]) =>
    all.split(',').some((word) => said.includes(plain(word))),
  );
  const [only, other] = meant;
  return only && !other ? only[0] : null;
}

/** The words to say, for showing them. */
export const spokenWords = (what: Spoken): string => words()[what].split(',')[0] ?? '';
