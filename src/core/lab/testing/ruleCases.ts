import { addDays } from '../../base/measures';
import { PLAN_RULES, USUAL_CHOICES } from '../../plan/agenda';
import type { PlanProblem, Standing } from '../../plan/planning';
import type { Occasion, PlanSettings } from '../../records/shapes';
import { ALL, BALM, FROM, GUMMY, problemOf, strands, type Asked } from './planProblems';
import { STAMP, testOccasion, testRecipe } from './records';

const NEW = testRecipe('new', ['100 g plain conditioner', '1 tbsp honey']);
const NEWER = testRecipe('newer', ['100 g plain conditioner', '2 tbsp aloe juice']);
/** Goes on before the shampoo, and is no oil. */
const SLIP = testRecipe('slip', ['100 g plain conditioner', '1 tbsp glycerin'], { use: 'pre-poo' });
/** The same with protein in it. */
const RICE_SLIP = testRecipe('rice-slip', ['200 ml rice water', '1 tbsp hydrolysed silk'], {
  use: 'pre-poo',
});
const FREE = [240, 240, 240, 240, 240, 240, 240];
const CLEAR = ['new', 'newer', 'slip', 'rice-slip'].map((recipeId) => ({
  ...STAMP,
  kind: 'patch-test' as const,
  id: `p-${recipeId}`,
  headId: 'h',
  recipeId,
  startedOn: addDays(FROM, -5),
  outcome: 'clear' as const,
  note: '',
}));

export const beat = (
  at: number,
  recipeId: string,
  slot: Standing['slot'] = 'main',
  overnight = false,
): Standing => ({
  day: addDays(FROM, at),
  slot,
  recipeId,
  overnight,
  batchId: null,
});
const occasion = (what: Occasion['what'], first: number, last: number) =>
  testOccasion(what, addDays(FROM, first), addDays(FROM, last), { id: `${what}${first}` });
export const settings = (changes: Partial<PlanSettings>): PlanSettings => ({
  ...STAMP,
  ...USUAL_CHOICES,
  kind: 'plan-settings',
  id: 's',
  headId: 'h',
  ...changes,
});

/** A problem with time on every day and hair that is soft. */
export function openProblem({ history, head, ...asked }: Asked = {}): PlanProblem {
  return problemOf({
    weeks: 4,
    head: { freeMinutes: FREE, ...head },
    history: {
      recipes: [...ALL, BALM, NEW, NEWER, SLIP, RICE_SLIP],
      readings: [GUMMY],
      patchTests: CLEAR,
      ...history,
    },
    ...asked,
  });
}

/** What is done, the rule that it breaks, and where that is so. */
export const RULE_CASES: readonly (readonly [string, string, readonly Standing[], Asked?])[] = [
  ['two washes in a row', PLAN_RULES.washGap.id, [beat(2, 'balm'), beat(3, 'balm')]],
  ['protein within a week', PLAN_RULES.lightProteinGap.id, [beat(1, 'light'), beat(7, 'light')]],
  [
    'strong protein within four weeks',
    PLAN_RULES.strongProteinGap.id,
    [beat(0, 'strong'), beat(0, 'balm', 'follow-up'), beat(27, 'strong'), beat(27, 'balm', 'follow-up')],
  ],
  ['three in seven days', PLAN_RULES.mainsPerWeek.id, [beat(1, 'balm'), beat(4, 'balm'), beat(7, 'balm')]],
  ['a strong protein alone', 'moisture-after-protein', [beat(2, 'strong')]],
  [
    'a light one alone where moisture always follows',
    'moisture-after-protein',
    [beat(2, 'light')],
    { history: { planSettings: [settings({ afterProtein: 'always' })] } },
  ],
  [
    'strong protein on a child',
    'no-strong-protein',
    [beat(2, 'strong'), beat(2, 'balm', 'follow-up')],
    { head: { ageBand: 'child' } },
  ],
  [
    'protein on firm hair',
    PLAN_RULES.firmHold.id,
    [beat(0, 'light')],
    { history: { readings: [strands(63, 61, true)] } },
  ],
  ['two new ones in a week', PLAN_RULES.newPerWeek.id, [beat(2, 'new'), beat(6, 'newer')]],
  ['an untested one too early', PLAN_RULES.patchTest.id, [beat(1, 'new')], { history: { patchTests: [] } }],
  ['soaking without an evening before', 'evening-before', [beat(0, 'cream')]],
  ['on a day away', 'free-time', [beat(3, 'balm')], { history: { occasions: [occasion('hours', 3, 3)] } }],
  [
    'in a stretch without a wash',
    'no-wash',
    [beat(3, 'balm')],
    { history: { occasions: [occasion('no-wash', 2, 4)] } },
  ],
  [
    'in a protective style',
    'style',
    [beat(3, 'balm')],
    { history: { occasions: [occasion('style', 1, 9)] } },
  ],
  [
    'a new one before a day to look good',
    PLAN_RULES.newBeforeEvent.id,
    [beat(3, 'new')],
    { history: { occasions: [occasion('look-good', 8, 8)] } },
  ],
  [
    'a strong one before a day to look good',
    PLAN_RULES.strongBeforeEvent.id,
    [beat(3, 'strong'), beat(3, 'balm', 'follow-up')],
    { history: { occasions: [occasion('look-good', 5, 5)] } },
  ],
  ['a pre-poo without a wash', 'pre-poo-without-a-wash', [beat(3, 'oil', 'pre-poo')]],
  [
    'two pre-poos for one wash',
    'two-pre-poos',
    [beat(2, 'oil', 'pre-poo', true), beat(3, 'oil', 'pre-poo'), beat(3, 'balm')],
  ],
  [
    'an overnight oil on an evening that is not hers',
    'evening-before',
    [beat(2, 'oil', 'pre-poo', true), beat(3, 'balm')],
    { head: { nights: Array<boolean>(7).fill(false) } },
  ],
  ['moisture after no protein', 'follow-up-without-protein', [beat(3, 'balm'), beat(3, 'balm', 'follow-up')]],
  ['what is not known', 'unknown-recipe', [beat(3, 'nothing')]],
  ['an oil as a main treatment', 'not-a-mask', [beat(3, 'oil')]],
  ['a mask as a pre-poo', 'not-a-pre-poo', [beat(3, 'balm', 'pre-poo'), beat(3, 'balm')]],
  [
    'protein before the shampoo where it waits for the mask',
    'oil-only',
    [beat(3, 'rice-slip', 'pre-poo'), beat(3, 'balm')],
  ],
  [
    'a mask left on overnight',
    'overnight-only-oil',
    [beat(2, 'slip', 'pre-poo', true), beat(3, 'balm')],
    { history: { planSettings: [settings({ prePoo: 'any' })] } },
  ],
  [
    'something else while a trial runs',
    'trial',
    [beat(3, 'cream')],
    {
      history: {
        trials: [
          {
            ...STAMP,
            id: 'trial-1',
            kind: 'trial',
            trialId: 'trial-1',
            headId: 'h',
            recipeId: 'balm',
            againstId: null,
            signal: 'firmness',
            startsOn: FROM,
            rounds: 3,
            washoutDays: 5,
            endsBy: addDays(FROM, 40),
            givenUpOn: null,
          },
        ],
      },
    },
  ],
];
