import type { PlanChoices } from '@/core/agenda';

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
export const SCHOOL_CHOICES: readonly SchoolChoice[] = [
  school('rhythm', 'When protein is due', [
    {
      value: 'readings',
      label: 'by readings',
      hint: 'The measured state and how it moves decide; dates only remind.',
    },
    {
      value: 'calendar',
      label: 'by the calendar',
      hint: 'Dates decide: moisture weekly, protein every few weeks, whatever it feels like.',
    },
    {
      value: 'feel',
      label: 'by how it feels',
      hint: 'The state of today decides the next week; nothing is foreseen beyond it.',
    },
  ]),
  school('afterProtein', 'Moisture after a light protein', [
    {
      value: 'if-firm',
      label: 'only if it feels firm',
      hint: 'Light protein alone is often enough; after a strong one moisture always follows.',
    },
    { value: 'always', label: 'always', hint: 'Every protein is followed by moisture on the same day.' },
  ]),
  school('maskOrder', 'Where the mask goes', [
    {
      value: 'after-shampoo',
      label: 'after the shampoo',
      hint: 'On clean, damp hair, where nothing is in its way.',
    },
    {
      value: 'before-shampoo',
      label: 'before the shampoo',
      hint: 'On dry hair, washed out with the shampoo; it takes the pre-poo’s place on the day.',
    },
  ]),
  school('prePoo', 'What may go on before the shampoo', [
    { value: 'oil-only', label: 'oil only', hint: 'Oil slows the water; protein waits for the mask.' },
    {
      value: 'any',
      label: 'protein too',
      hint: 'A protein-rich pre-poo counts as protein and is spaced like it.',
    },
  ]),
  school('leftovers', 'What is left over', [
    { value: 'keep', label: 'is kept', hint: 'Portions on the shelf are planned before they spoil.' },
    {
      value: 'fresh',
      label: 'is made fresh',
      hint: 'Each time is mixed anew; nothing from the shelf is planned.',
    },
  ]),
  school('zones', 'Where a mask goes on', [
    { value: 'lengths', label: 'lengths and ends', hint: 'The scalp makes its own oil; it is left alone.' },
    {
      value: 'ends-first',
      label: 'the ends first',
      hint: 'The oldest hair gets the most and the longest, then the lengths.',
    },
    {
      value: 'scalp-too',
      label: 'the scalp too',
      hint: 'From the roots down; powders, oil, egg and protein stay off the scalp all the same.',
    },
  ]),
  school('rinse', 'What a mask is rinsed with', [
    { value: 'water', label: 'water', hint: 'As much as possible of the treatment stays on.' },
    {
      value: 'conditioner',
      label: 'conditioner, never shampoo',
      hint: 'It carries out what water leaves, and smooths.',
    },
    {
      value: 'mild-shampoo',
      label: 'a mild shampoo',
      hint: 'Nothing is left behind, and a little of the effect goes with it.',
    },
  ]),
  school('finish', 'The last water', [
    { value: 'warm', label: 'warm', hint: 'Lukewarm to the end is kinder, and hair does not mind.' },
    {
      value: 'warm-then-cold',
      label: 'warm, then cold',
      hint: 'A cold last rinse lays the outside of the strand flat.',
    },
  ]),
  school('conditioner', 'Conditioner in the wash', [
    { value: 'after-only', label: 'not before the mask', hint: 'The mask meets bare, clean hair.' },
    {
      value: 'before-mask',
      label: 'before the mask too',
      hint: 'It combs more easily, and a little less of the mask goes in.',
    },
  ]),
];
