import { RULES, USUAL_CHOICES, type Occasion, type PlanSettings } from '../agenda';
import { addDays, daysBetween } from '../measures';
import {
  ALL,
  BALM,
  FROM as from,
  GUMMY,
  KNOWN,
  STAMP,
  problemOf,
  strands,
  testOccasion,
  testRecipe,
  testSession,
  type Asked,
} from '../testing';
import { breachesOf, checkBeats, type Standing } from '.';

const NEW = testRecipe('new', ['100 g plain conditioner', '1 tbsp honey']);
const NEWER = testRecipe('newer', ['100 g plain conditioner', '2 tbsp aloe juice']);
const FREE = [240, 240, 240, 240, 240, 240, 240];
const CLEAR = ['new', 'newer'].map((recipeId) => ({
  ...STAMP,
  kind: 'patch-test' as const,
  id: `p-${recipeId}`,
  headId: 'h',
  recipeId,
  startedOn: addDays(from, -5),
  outcome: 'clear' as const,
  note: '',
}));

const beat = (
  at: number,
  recipeId: string,
  slot: Standing['slot'] = 'main',
  overnight = false,
): Standing => ({
  day: addDays(from, at),
  slot,
  recipeId,
  overnight,
  batchId: null,
});
const occasion = (what: Occasion['what'], first: number, last: number) =>
  testOccasion(what, addDays(from, first), addDays(from, last), { id: `${what}${first}` });
const settings = (changes: Partial<PlanSettings>): PlanSettings => ({
  ...STAMP,
  ...USUAL_CHOICES,
  kind: 'plan-settings',
  id: 's',
  headId: 'h',
  ...changes,
});

/** The rules that these beats break, each once, in a problem with time on every day and hair that is soft. */
function broken(beats: readonly Standing[], { history, head, ...asked }: Asked = {}): string[] {
  const problem = problemOf({
    weeks: 4,
    head: { freeMinutes: FREE, ...head },
    history: { recipes: [...ALL, BALM, NEW, NEWER], readings: [GUMMY], patchTests: CLEAR, ...history },
    ...asked,
  });
  return [...new Set(checkBeats(problem, new Map([['h', beats]])).map(({ rule }) => rule))].sort();
}

describe('a plan that keeps every rule', () => {
  it('is a wash of each sort with what belongs to it', () => {
    expect(
      broken([
        beat(0, 'oil', 'pre-poo', true),
        beat(1, 'strong'),
        beat(1, 'cream', 'follow-up'),
        beat(4, 'mist', 'refresh'),
        beat(6, 'cream'),
        beat(10, 'light'),
        beat(14, 'oil', 'pre-poo'),
        beat(14, 'balm'),
      ]),
    ).toEqual([]);
  });

  it('is no plan at all, too', () => {
    expect(broken([])).toEqual([]);
  });
});

/** What is done, the rule that it breaks, and where that is so. */
const CASES: readonly (readonly [string, string, readonly Standing[], Asked?])[] = [
  ['two washes in a row', RULES.washGap.id, [beat(2, 'balm'), beat(3, 'balm')]],
  ['protein within a week', RULES.lightProteinGap.id, [beat(1, 'light'), beat(7, 'light')]],
  [
    'strong protein within four weeks',
    RULES.strongProteinGap.id,
    [beat(0, 'strong'), beat(0, 'balm', 'follow-up'), beat(27, 'strong'), beat(27, 'balm', 'follow-up')],
  ],
  ['three in seven days', RULES.mainsPerWeek.id, [beat(1, 'balm'), beat(4, 'balm'), beat(7, 'balm')]],
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
    RULES.firmHold.id,
    [beat(0, 'light')],
    { history: { readings: [strands(63, 61, true)] } },
  ],
  ['two new ones in a week', RULES.newPerWeek.id, [beat(2, 'new'), beat(6, 'newer')]],
  ['an untested one too early', RULES.patchTest.id, [beat(1, 'new')], { history: { patchTests: [] } }],
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
    RULES.newBeforeEvent.id,
    [beat(3, 'new')],
    { history: { occasions: [occasion('look-good', 8, 8)] } },
  ],
  [
    'a strong one before a day to look good',
    RULES.strongBeforeEvent.id,
    [beat(3, 'strong'), beat(3, 'balm', 'follow-up')],
    { history: { occasions: [occasion('look-good', 5, 5)] } },
  ],
  ['a pre-poo without a wash', 'pre-poo-without-a-wash', [beat(3, 'oil', 'pre-poo')]],
  [
    'oil on the day where the mask goes first',
    'mask-goes-first',
    [beat(3, 'oil', 'pre-poo'), beat(3, 'balm')],
    { history: { planSettings: [settings({ maskOrder: 'before-shampoo' })] } },
  ],
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
];

describe('each rule is seen when it alone is broken', () => {
  it.each(CASES.map(([name, rule, beats, asked = {}]) => [name, rule, beats, asked] as const))(
    '%s',
    (_, rule, beats, asked) => {
      expect(broken(beats, asked)).toContain(rule);
    },
  );

  it('and by how much: days for a gap, minutes for a day', () => {
    const problem = problemOf({ weeks: 2, history: { recipes: [...ALL, BALM] } });
    const [head] = problem.heads;
    if (!head) throw new Error('there is a head');
    const beats = [beat(0, 'light'), beat(3, 'light')];
    const [, later] = beats;
    if (!later) throw new Error('there are two');
    const gap = breachesOf(problem, head, beats, later).find(({ rule }) => rule === RULES.lightProteinGap.id);
    expect(gap?.by).toBe(RULES.lightProteinGap.value - 3);
    // A Monday has no minutes.
    const over = checkBeats(problem, new Map([['h', [beat(1, 'balm')]]])).find(
      ({ rule }) => rule === 'free-time',
    );
    expect(over?.by).toBeGreaterThan(RULES.washMinutes.value);
  });

  it('uses of the past count like planned ones', () => {
    const used = (recipeId: string, back: number) => ({
      history: { sessions: [...KNOWN, testSession(recipeId, addDays(from, -back))] },
    });
    expect(broken([beat(2, 'light')], used('light', 4))).toContain(RULES.lightProteinGap.id);
    expect(broken([beat(3, 'light')], used('light', 4))).toEqual([]);
    expect(broken([beat(1, 'balm')], used('balm', 0))).toContain(RULES.washGap.id);
    expect(broken([beat(3, 'new')], used('newer', 3))).toContain(RULES.newPerWeek.id);
    expect(broken([beat(4, 'new')], used('newer', 3))).toEqual([]);
  });

  it('a rule that is switched off is not', () => {
    const off = { history: { planSettings: [settings({ rules: { [RULES.mainsPerWeek.id]: null } })] } };
    expect(broken([beat(1, 'balm'), beat(4, 'balm'), beat(7, 'balm')], off)).toEqual([]);
  });

  it('what she decided has to stand, and what she does not want must not', () => {
    const decision = (what: 'place' | 'avoid', recipeId: string | null) => ({
      history: {
        decisions: [
          {
            ...STAMP,
            kind: 'decision' as const,
            id: 'd',
            headId: 'h',
            day: addDays(from, 3),
            slot: 'main' as const,
            what,
            recipeId,
          },
        ],
      },
    });
    expect(broken([], decision('place', 'balm'))).toEqual(['locked']);
    expect(broken([beat(3, 'balm')], decision('place', 'balm'))).toEqual([]);
    expect(broken([beat(3, 'balm')], decision('avoid', null))).toEqual(['locked']);
    expect(broken([beat(3, 'balm')], decision('avoid', 'light'))).toEqual([]);
  });

  it('any beat moved by a day is told apart from the plan that it was', () => {
    const kept = [beat(1, 'balm'), beat(3, 'balm')];
    expect(broken(kept)).toEqual([]);
    for (const moved of kept) {
      const other = kept.map((each) =>
        each === moved
          ? { ...each, day: addDays(each.day, daysBetween(from, each.day) === 1 ? 1 : -1) }
          : each,
      );
      expect(broken(other)).toEqual([RULES.washGap.id]);
    }
  });
});
