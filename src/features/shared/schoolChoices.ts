import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import type { PlanChoices } from '@/core/plan/agenda';

type SchoolKey =
  | 'rhythm'
  | 'afterProtein'
  | 'maskOrder'
  | 'prePoo'
  | 'leftovers'
  | 'zones'
  | 'rinse'
  | 'finish'
  | 'conditioner';

interface SchoolChoice {
  readonly key: SchoolKey;
  readonly label: string;
  readonly options: readonly { readonly value: string; readonly label: string; readonly hint: string }[];
}

type Options<Key extends SchoolKey> = readonly {
  readonly value: PlanChoices[Key];
  readonly label: string;
  readonly hint: string;
}[];

const school = <Key extends SchoolKey>(key: Key, label: string, options: Options<Key>): SchoolChoice => ({
  key,
  label,
  options,
});

/** Both sides of what makers disagree on, in a sentence each. */
export const schoolChoices = perLanguage((): readonly SchoolChoice[] => [
  school('rhythm', t`When protein is due`, [
    {
      value: 'readings',
      label: t`by your checks`,
      hint: t`The measured state and how it moves decide; dates only remind.`,
    },
    {
      value: 'calendar',
      label: t`by the calendar`,
      hint: t`Dates decide: moisture weekly, protein every few weeks, whatever it feels like.`,
    },
    {
      value: 'feel',
      label: t`by how it feels`,
      hint: t`The state of today decides the next week; nothing is foreseen beyond it.`,
    },
  ]),
  school('afterProtein', t`Moisture after a light protein`, [
    {
      value: 'if-firm',
      label: t`only if it feels firm`,
      hint: t`Light protein alone is often enough; after a strong one moisture always follows.`,
    },
    { value: 'always', label: t`always`, hint: t`Every protein is followed by moisture on the same day.` },
  ]),
  school('maskOrder', t`Where the mask goes`, [
    {
      value: 'after-shampoo',
      label: t`after the shampoo`,
      hint: t`On clean, damp hair, where nothing is in its way.`,
    },
    {
      value: 'before-shampoo',
      label: t`before the shampoo`,
      hint: t`On dry hair, washed out with the shampoo; it takes the pre-poo’s place on the day.`,
    },
  ]),
  school('prePoo', t`What may go on before the shampoo`, [
    {
      value: 'oil-only',
      label: t`oil and slip only`,
      hint: t`Oil slows the water; protein waits for the mask.`,
    },
    {
      value: 'any',
      label: t`protein too`,
      hint: t`A protein-rich pre-poo counts as protein and is spaced like it.`,
    },
  ]),
  school('leftovers', t`What is left over`, [
    { value: 'keep', label: t`is kept`, hint: t`Portions on the shelf are planned before they spoil.` },
    {
      value: 'fresh',
      label: t`is made fresh`,
      hint: t`Mixed fresh each time; nothing from the shelf is planned.`,
    },
  ]),
  school('zones', t`Where a mask goes on`, [
    { value: 'lengths', label: t`lengths and ends`, hint: t`The scalp makes its own oil; it is left alone.` },
    {
      value: 'ends-first',
      label: t`the ends first`,
      hint: t`The oldest hair gets the most and the longest, then the lengths.`,
    },
    {
      value: 'scalp-too',
      label: t`the scalp too`,
      hint: t`From the roots down; powders, oil, egg and protein stay off the scalp all the same.`,
    },
  ]),
  school('rinse', t`What a mask is rinsed with`, [
    { value: 'water', label: t`water`, hint: t`As much as possible of the treatment stays on.` },
    {
      value: 'conditioner',
      label: t`conditioner, never shampoo`,
      hint: t`It carries out what water leaves, and smooths.`,
    },
    {
      value: 'mild-shampoo',
      label: t`a mild shampoo`,
      hint: t`Nothing is left behind, and a little of the effect goes with it.`,
    },
  ]),
  school('finish', t`The last water`, [
    { value: 'warm', label: t`warm only`, hint: t`Lukewarm to the end is kinder, and hair does not mind.` },
    {
      value: 'warm-then-cold',
      label: t`warm, then cold`,
      hint: t`A cold last rinse lays the outside of the strand flat.`,
    },
  ]),
  school('conditioner', t`Conditioner in the wash`, [
    { value: 'after-only', label: t`not before the mask`, hint: t`The mask meets bare, clean hair.` },
    {
      value: 'before-mask',
      label: t`before the mask too`,
      hint: t`It combs more easily, and a little less of the mask goes in.`,
    },
  ]),
]);
