import { t } from '@lingui/core/macro';
import { perLanguage } from '../../base/language';
import type { MarkId, ScalpSign } from '../../records/shapes';

export const feelWords = perLanguage(
  () => [t`gummy`, t`mushy`, t`very soft`, t`springy`, t`firm`, t`rough`, t`straw`] as const,
);

/** What each sign is called in a sentence. */
export const markWords = perLanguage((): Readonly<Record<MarkId, string>> => ({
  slip: t`slip`,
  tangles: t`tangles`,
  shine: t`shine`,
  clumping: t`clumping of curls`,
  residue: t`residue`,
  softness: t`softness`,
  scent: t`scent`,
}));

export const scalpWords = perLanguage((): Readonly<Record<ScalpSign, string>> => ({
  calm: t`calm`,
  itch: t`itches`,
  flakes: t`flakes`,
  tender: t`tender`,
  sores: t`sores`,
  patches: t`bald patches`,
  pain: t`hurts`,
}));
