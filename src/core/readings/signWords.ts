import { t } from '../language';
import type { MarkId, ScalpSign } from './reading';

/** What each sign is called in a sentence. */
export const MARK_WORDS: Readonly<Record<MarkId, string>> = {
  slip: t`slip`,
  tangles: t`tangles`,
  shine: t`shine`,
  clumping: t`clumping of curls`,
  residue: t`residue`,
};

export const SCALP_WORDS: Readonly<Record<ScalpSign, string>> = {
  calm: t`calm`,
  itch: t`itches`,
  flakes: t`flakes`,
  tender: t`tender`,
  sores: t`sores`,
  patches: t`bald patches`,
  pain: t`hurts`,
};
