import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import type { MarkId } from '@/core/records/shapes';

const steps = (...words: string[]) => words.map((label, value) => ({ value, label }));

/** What beside the feel is looked at, in five steps each. */
export const markOptions = perLanguage(
  (): Record<
    MarkId,
    {
      readonly label: string;
      readonly options: readonly { readonly value: number; readonly label: string }[];
    }
  > => ({
    slip: {
      label: t`Slip`,
      options: steps(
        t({ message: 'none', context: 'slip' }),
        t({ message: 'little', context: 'slip' }),
        t({ message: 'some', context: 'slip' }),
        t({ message: 'good', context: 'slip' }),
        t({ message: 'glides', context: 'slip' }),
      ),
    },
    tangles: {
      label: t`Tangles`,
      options: steps(
        t({ message: 'none', context: 'tangles' }),
        t({ message: 'few', context: 'tangles' }),
        t({ message: 'some', context: 'tangles' }),
        t({ message: 'many', context: 'tangles' }),
        t({ message: 'knots', context: 'tangles' }),
      ),
    },
    shine: {
      label: t`Shine`,
      options: steps(
        t({ message: 'dull', context: 'shine' }),
        t({ message: 'faint', context: 'shine' }),
        t({ message: 'some', context: 'shine' }),
        t({ message: 'good', context: 'shine' }),
        t({ message: 'bright', context: 'shine' }),
      ),
    },
    clumping: {
      label: t`Curls clump`,
      options: steps(
        t({ message: 'not', context: 'how much the curls clump' }),
        t({ message: 'hardly', context: 'how much the curls clump' }),
        t({ message: 'partly', context: 'how much the curls clump' }),
        t({ message: 'mostly', context: 'how much the curls clump' }),
        t({ message: 'all', context: 'how much the curls clump' }),
      ),
    },
    residue: {
      label: t`Left in the hair`,
      options: steps(
        t({ message: 'nothing', context: 'residue' }),
        t({ message: 'a trace', context: 'residue' }),
        t({ message: 'some', context: 'residue' }),
        t({ message: 'much', context: 'residue' }),
        t({ message: 'coated', context: 'residue' }),
      ),
    },
    softness: {
      label: t`Softness`,
      options: steps(
        t({ message: 'harsh', context: 'softness' }),
        t({ message: 'rough', context: 'softness' }),
        t({ message: 'so-so', context: 'softness' }),
        t({ message: 'soft', context: 'softness' }),
        t({ message: 'very soft', context: 'softness' }),
      ),
    },
    scent: {
      label: t`Scent`,
      options: steps(
        t({ message: 'bad', context: 'scent' }),
        t({ message: 'not nice', context: 'scent' }),
        t({ message: 'none', context: 'scent' }),
        t({ message: 'nice', context: 'scent' }),
        t({ message: 'lovely', context: 'scent' }),
      ),
    },
  }),
);
