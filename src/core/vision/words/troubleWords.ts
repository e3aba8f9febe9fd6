import { t } from '@lingui/core/macro';
import { perLanguage } from '../../base/language';
import type { SheetTrouble } from '../hairs';
import type { LabelTrouble } from '../labels';

/** What she can do about a photo of a label that is hard to read. */
export const labelTroubleWords = perLanguage((): Readonly<Record<LabelTrouble, string>> => ({
  'small-print': t`The print is too small to read well. Come closer, or take half of it at a time.`,
  glare: t`A light shines back from it. Tilt it a little.`,
  blurred: t`Much of it is blurred or grainy. More light and a steady hand help.`,
  'no-list': t`No ingredient list can be read here. Fill the picture with it.`,
}));

/** What she can do about a photo of hairs. */
export const sheetTroubleWords = perLanguage((): Readonly<Record<SheetTrouble, string>> => ({
  'no-card': t`No bank card is seen. Lay one flat beside the hairs, all of it in the picture.`,
  tangled: t`Too tangled to be sure. Lay them in two rounds.`,
  'no-hair': t`No hair is seen. Light hair wants dark paper, dark hair light paper.`,
}));
