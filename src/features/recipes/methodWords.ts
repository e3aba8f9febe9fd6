import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import type { Grit, Tool } from '@/core/kitchen/methods';

export const toolWords = perLanguage((): Record<Tool, string> => ({
  bowl: t`bowl`,
  pot: t`pot`,
  blender: t`blender`,
  cloth: t`cloth`,
}));

export const gritWords = perLanguage((): Record<Grit['chance'], string> => ({
  unlikely: t`Bits in your hair: unlikely.`,
  possible: t`Bits in your hair: possible.`,
  likely: t`Bits in your hair: likely.`,
}));
