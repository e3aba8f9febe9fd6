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

export const assignment = (
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
  ['two washes in a row', PLAN_RULES.washGap.id, [assignment(2, 'balm'), assignment(3, 'balm')]],
  ['protein within a week', PLAN_RULES.lightProteinGap.id, [assignment(1, 'light'), assignment(7, 'light')]],
  [
    'strong protein within four weeks',
    PLAN_RULES.strongProteinGap.id,
    [
      assignment(0, 'strong'),
      assignment(0, 'balm', 'follow-up'),
      assignment(27, 'strong'),
      assignment(27, 'balm', 'follow-up'),
    ],
  ],
  [
    'three in seven days',
    PLAN_RULES.mainsPerWeek.id,
    [assignment(1, 'balm'), assignment(4, 'balm'), assignment(7, 'balm')],
  ],
  ['a strong protein alone', 'moisture-after-protein', [assignment(2, 'strong')]],
  [
    'a light one alone where moisture always follows',
    'moisture-after-protein',
    [assignment(2, 'light')],
    { history: { planSettings: [settings({ afterProtein: 'always' })] } },
  ],
  [
    'strong protein on a child',
    'no-strong-protein',
    [assignment(2, 'strong'), assignment(2, 'balm', 'follow-up')],
    { head: { ageBand: 'child' } },
  ],
  [
    'protein on firm hair',
    PLAN_RULES.firmHold.id,
    [assignment(0, 'light')],
    { history: { readings: [strands(63, 61, true)] } },
  ],
  ['two new ones in a week', PLAN_RULES.newPerWeek.id, [assignment(2, 'new'), assignment(6, 'newer')]],
  [
    'an untested one too early',
    PLAN_RULES.patchTest.id,
    [assignment(1, 'new')],
    { history: { patchTests: [] } },
  ],
  ['soaking without an evening before', 'evening-before', [assignment(0, 'cream')]],
  [
    'on a day away',
    'free-time',
    [assignment(3, 'balm')],
    { history: { occasions: [occasion('hours', 3, 3)] } },
  ],
  [
    'in a stretch without a wash',
    'no-wash',
    [assignment(3, 'balm')],
    { history: { occasions: [occasion('no-wash', 2, 4)] } },
  ],
  [
    'in a protective style',
    'style',
    [assignment(3, 'balm')],
    { history: { occasions: [occasion('style', 1, 9)] } },
  ],
  [
    'a new one before a day to look good',
    PLAN_RULES.newBeforeEvent.id,
    [assignment(3, 'new')],
    { history: { occasions: [occasion('look-good', 8, 8)] } },
  ],
  [
    'a strong one before a day to look good',
    PLAN_RULES.strongBeforeEvent.id,
    [assignment(3, 'strong'), assignment(3, 'balm', 'follow-up')],
    { history: { occasions: [occasion('look-good', 5, 5)] } },
  ],
  ['a pre-poo without a wash', 'pre-poo-without-a-wash', [assignment(3, 'oil', 'pre-poo')]],
  [
    'two pre-poos for one wash',
    'two-pre-poos',
    [assignment(2, 'oil', 'pre-poo', true), assignment(3, 'oil', 'pre-poo'), assignment(3, 'balm')],
  ],
  [
    'an overnight oil on an evening that is not hers',
    'evening-before',
    [assignment(2, 'oil', 'pre-poo', true), assignment(3, 'balm')],
    { head: { nights: Array<boolean>(7).fill(false) } },
  ],
  [
    'moisture after no protein',
    'follow-up-without-protein',
    [assignment(3, 'balm'), assignment(3, 'balm', 'follow-up')],
  ],
  ['what is not known', 'unknown-recipe', [assignment(3, 'nothing')]],
  ['an oil as a main treatment', 'not-a-mask', [assignment(3, 'oil')]],
  ['a mask as a pre-poo', 'not-a-pre-poo', [assignment(3, 'balm', 'pre-poo'), assignment(3, 'balm')]],
  [
    'protein before the shampoo where it waits for the mask',
    'oil-only',
    [assignment(3, 'rice-slip', 'pre-poo'), assignment(3, 'balm')],
  ],
  [
    'a mask left on overnight',
    'overnight-only-oil',
    [assignment(2, 'slip', 'pre-poo', true), assignment(3, 'balm')],
    { history: { planSettings: [settings({ prePoo: 'any' })] } },
  ],
  [
    'something else while a trial runs',
    'trial',
    [assignment(3, 'cream')],
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
