import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import { CUPS, type CupKind, type View } from '@/core/base/measures';
import type { Prefs } from '@/store';

interface Words {
  readonly label: string;
  readonly meaning: string;
}

export const viewWords = perLanguage((): Readonly<Record<View, Words>> => ({
  grams: { label: t`grams`, meaning: t`A scale says the same each time; what worked can be repeated.` },
  spoons: { label: t`spoons`, meaning: t`As most kitchens measure; a heaped spoon is a third more.` },
  percent: { label: t`percent`, meaning: t`As formulas are written: shares of the whole, for any batch.` },
}));

export const cupKinds = perLanguage(() => Object.keys(CUPS) as CupKind[]);

export const cupWords = perLanguage((): Readonly<Record<CupKind, string>> => ({
  us: t`US, 237 ml`,
  metric: t`metric, 250 ml`,
}));

export const textSizeWords = perLanguage((): Readonly<Record<Prefs['textSize'], string>> => ({
  '100': t({ message: 'usual', context: 'size of text' }),
  '115': t`larger`,
  '130': t`large`,
  '150': t`largest`,
}));

export const effortWords = perLanguage((): Readonly<Record<Prefs['effort'], string>> => ({
  brief: t`briefly, for a slow device`,
  usual: t`as usual, seconds`,
  long: t`up to a minute`,
}));

export const weekStartWords = perLanguage((): Readonly<Record<Prefs['weekStart'], string>> => ({
  monday: t`Monday`,
  saturday: t`Saturday`,
  sunday: t`Sunday`,
}));
