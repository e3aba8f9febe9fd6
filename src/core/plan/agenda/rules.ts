import type { MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import { perLanguage, worded } from '../../base/language';
import { learnedWashMinutes } from '../../hair/history';
import { LEANINGS, type Leaning, type PlanSettings, type WashDay } from '../../records/shapes';
import { choicesOf, type PlanChoices } from './planSettings';

/** A planning rule as data: what it is, its default, its unit, where it may be moved to, and why it stands. */
export interface Rule {
  readonly id: string;
  readonly label: string;
  readonly value: number;
  readonly unit: 'a week' | 'days' | 'minutes' | 'share' | 'pieces';
  readonly least: number;
  readonly most: number;
  /** "hard": no plan breaks it; "wish": breaking it costs; "time": how long something takes. */
  readonly sort: 'hard' | 'wish' | 'time';
  /** What keeps her safe, and what a thing takes, cannot be switched off. */
  readonly canBeOff: boolean;
  /** It holds only where the calendar decides when protein is due. */
  readonly byCalendar: boolean;
  readonly why: string;
}

type Facts = readonly [
  label: MessageDescriptor,
  value: number,
  unit: Rule['unit'],
  least: number,
  most: number,
];

const rule =
  (sort: Rule['sort'], canBeOff: boolean, byCalendar = false) =>
  (id: string, [label, value, unit, least, most]: Facts, why: MessageDescriptor): Rule =>
    worded({ id, label, value, unit, least, most, sort, canBeOff, byCalendar, why }, 'label', 'why');
const hard = rule('hard', true);
const safe = rule('hard', false);
const wish = rule('wish', true);
const calendarWish = rule('wish', true, true);
const time = rule('time', false);

/** Defaults are those of the job's rhythm rules; figures without a source there are working assumptions. */
export const PLAN_RULES = {
  mainsPerWeek: hard(
    'mains-per-week',
    [msg`Main treatments, at most`, 2, 'a week', 1, 7],
    msg`One or two a week; more leaves no time to see what a treatment did. Half a dose counts as half.`,
  ),
  washGap: hard(
    'wash-gap',
    [msg`Between wash days`, 2, 'days', 1, 14],
    msg`Each wash swells and shrinks the strand; it rests in between, after half a dose for half the days.`,
  ),
  lightProteinGap: hard(
    'light-protein-gap',
    [msg`Between protein treatments`, 7, 'days', 2, 60],
    msg`Light protein goes weekly at the most; results show late. After half a dose, half the days is enough.`,
  ),
  strongProteinGap: hard(
    'strong-protein-gap',
    [msg`Between strong proteins`, 28, 'days', 14, 120],
    msg`Never twice within four weeks: overload builds up unseen.`,
  ),
  firmHold: hard(
    'firm-hold',
    [msg`Chance of too firm that stops protein`, 0.4, 'share', 0.1, 0.9],
    msg`Firm hair gets no protein until it has recovered.`,
  ),
  newPerWeek: hard(
    'new-per-week',
    [msg`New recipes a week, at most`, 1, 'pieces', 1, 7],
    msg`With two new ones nobody can say which one worked.`,
  ),
  patchTest: safe(
    'patch-test',
    [msg`Clear days after a patch test`, 2, 'days', 2, 7],
    msg`A reaction can take two days to show, and longer on some skins.`,
  ),
  newBeforeEvent: hard(
    'new-before-event',
    [msg`No new recipe before a day to look good`, 7, 'days', 0, 30],
    msg`A surprise wants time to grow out of the hair again.`,
  ),
  strongBeforeEvent: hard(
    'strong-before-event',
    [msg`No strong protein before a day to look good`, 3, 'days', 0, 14],
    msg`Straight after a strong protein hair is stiff.`,
  ),
  mainWithin: wish(
    'main-within',
    [msg`Longest without a main treatment`, 7, 'days', 2, 30],
    msg`Longer leaves residue and dust, and nothing to read. While you check your hair, the checks decide, unless you set this yourself.`,
  ),
  moistureWithin: wish(
    'moisture-within',
    [msg`Longest without moisture`, 7, 'days', 2, 30],
    msg`Moisture goes weekly or twice a week. While you check your hair, the checks decide, unless you set this yourself.`,
  ),
  proteinWithin: calendarWish(
    'protein-within',
    [msg`By the calendar: longest without protein`, 28, 'days', 7, 120],
    msg`Light protein goes every one to four weeks.`,
  ),
  strongWithin: calendarWish(
    'strong-within',
    [msg`By the calendar: longest without strong protein`, 56, 'days', 28, 180],
    msg`A strong protein goes every six to eight weeks, so after eight it is overdue.`,
  ),
  proteinBeforeStyle: wish(
    'protein-before-style',
    [msg`Protein before a protective style, at most`, 3, 'days', 1, 7],
    msg`The style pulls for weeks; the strand goes in strengthened.`,
  ),
  refreshEvery: wish(
    'refresh-every',
    [msg`Refresh every`, 3, 'days', 1, 7],
    msg`Hair dries between washes; every three to five days is enough.`,
  ),
  scalpEvery: wish(
    'scalp-every',
    [msg`Scalp oil every`, 5, 'days', 2, 14],
    msg`Once or twice a week, and washed out.`,
  ),
  washMinutes: time(
    'wash-minutes',
    [msg`A wash day without waiting and making`, 60, 'minutes', 15, 240],
    msg`Detangle, cleanse, section, apply, rinse.`,
  ),
  prePooMinutes: time(
    'pre-poo-minutes',
    [msg`A pre-poo, at least`, 20, 'minutes', 5, 60],
    msg`It works from twenty minutes on.`,
  ),
  takeDownMinutes: time(
    'take-down-minutes',
    [msg`Taking a protective style down`, 120, 'minutes', 15, 480],
    msg`Taking down and detangling can eat a day.`,
  ),
  refreshMinutes: time('refresh-minutes', [msg`A refresh`, 3, 'minutes', 1, 30], msg`A mist and a scrunch.`),
} as const satisfies Record<string, Rule>;

/** Whether a rule holds under the school that decides when protein is due. */
export function holdsUnder(
  { byCalendar }: Pick<Rule, 'byCalendar'>,
  { rhythm }: Pick<PlanChoices, 'rhythm'>,
): boolean {
  return !byCalendar || rhythm === 'calendar';
}

export type RuleKey = keyof typeof PLAN_RULES;
export const RULE_KEYS = Object.keys(PLAN_RULES) as RuleKey[];

/** What is in force; null where a rule is switched off. */
export type RuleValues = Readonly<Record<RuleKey, number | null>>;

/** The rules that are not numbers: they can be broken, named and explained like the others. */
export const FIXED_RULES: Readonly<Record<string, { readonly label: string; readonly why: string }>> = {
  'no-strong-protein': worded(
    {
      label: msg`No strong protein for this person`,
      why: msg`A child’s hair and protein-sensitive hair get stiff from small doses.`,
    },
    'label',
    'why',
  ),
  'moisture-after-protein': worded(
    { label: msg`Moisture on the same day`, why: msg`Protein without moisture after it leaves hair hard.` },
    'label',
    'why',
  ),
  'free-time': worded(
    { label: msg`Your minutes of the day`, why: msg`A day has only so many minutes of yours.` },
    'label',
    'why',
  ),
  'no-wash': worded(
    { label: msg`Days without a wash`, why: msg`You said that these days have no wash.` },
    'label',
    'why',
  ),
  style: worded(
    { label: msg`A protective style is in`, why: msg`While it is in, only mist and scalp care.` },
    'label',
    'why',
  ),
  'evening-before': worded(
    {
      label: msg`Begun the evening before`,
      why: msg`What soaks for hours is begun on an evening when you have time.`,
    },
    'label',
    'why',
  ),
  trial: worded(
    { label: msg`A trial is running`, why: msg`Any other treatment would spoil its answer.` },
    'label',
    'why',
  ),
  locked: worded({ label: msg`What you decided`, why: msg`It stands where you put it.` }, 'label', 'why'),
};

/** A rule that is off, or a number outside of what can be meant, falls back to what is safe. */
export function rulesInForce({ rules }: Pick<PlanChoices, 'rules'>): RuleValues {
  return Object.fromEntries(
    RULE_KEYS.map((key) => {
      const { id, value, least, most, canBeOff } = PLAN_RULES[key];
      const chosen = rules[id];
      if (chosen === undefined) return [key, value];
      if (chosen === null) return [key, canBeOff ? null : value];
      return [key, Math.min(most, Math.max(least, chosen))];
    }),
  ) as RuleValues;
}

/** Days that a patch test on this head has to be clear. It keeps her safe, so it is never off. */
export function patchTestDays(settings: readonly PlanSettings[], headId: string): number {
  return rulesInForce(choicesOf(settings, headId)).patchTest ?? PLAN_RULES.patchTest.value;
}

/** As {@link rulesInForce}; what a wash of this head takes is learned from its wash days, unless she set it herself. */
export function rulesOfHead(choices: Pick<PlanChoices, 'rules'>, washDays: readonly WashDay[]): RuleValues {
  const rules = rulesInForce(choices);
  const { id, value } = PLAN_RULES.washMinutes;
  const learned = choices.rules[id] === undefined ? learnedWashMinutes(washDays, value) : null;
  return learned ? { ...rules, washMinutes: learned.minutes } : rules;
}

/** A part of what the planner minimises: the cost of one unit of what it names. */
export interface Weight {
  readonly label: string;
  readonly value: number;
  readonly unit: string;
}

const weight = (label: MessageDescriptor, value: number, unit: MessageDescriptor): Weight =>
  worded({ label, value, unit }, 'label', 'unit');

/** The open weights; one unit is a day at one step of firmness outside the comfort zone. */
export const WEIGHTS = {
  outOfLane: weight(msg`time outside the comfort zone`, 1, msg`a day at one step of firmness outside`),
  overload: weight(msg`too firm, on top`, 0.4, msg`a day at one step of firmness above the comfort zone`),
  breakage: weight(msg`breakage`, 0.4, msg`a day at one unit of log-breakage above the comfort zone`),
  porosity: weight(msg`porosity`, 0.2, msg`a day at one step of porosity outside the comfort zone`),
  hour: weight(msg`your time`, 0.08, msg`an hour`),
  money: weight(msg`money`, 0.03, msg`one unit of your currency`),
  waste: weight(msg`waste`, 0.3, msg`a portion that spoils`),
  overdue: weight(msg`overdue`, 0.15, msg`a day beyond the longest time without`),
  noPrePoo: weight(msg`a wash without a pre-poo`, 0.35, msg`a wash`),
  style: weight(msg`no protein around a protective style`, 0.8, msg`a style`),
  rhythm: weight(msg`a rhythm not kept`, 0.8, msg`a treatment short`),
  trialDelay: weight(msg`a trial kept waiting`, 0.1, msg`a day`),
  change: weight(msg`change of what was agreed`, 0.06, msg`a main treatment moved, added or dropped`),
} as const satisfies Record<string, Weight>;

export type WeightKey = keyof typeof WEIGHTS;
export type WeightValues = Readonly<Record<WeightKey, number>>;

/** What each leaning multiplies, a step. */
const LEANS: Readonly<Record<Leaning, Partial<Record<WeightKey, number>>>> = {
  gentler: { overload: 1.8, breakage: 1.3 },
  faster: { outOfLane: 1.5, breakage: 1.5 },
  cheaper: { money: 2.2, waste: 1.5 },
  'less-work': { hour: 2.2 },
};

export const leaningWords = perLanguage(
  (): Readonly<Record<Leaning, { readonly label: string; readonly why: string }>> => ({
    gentler: { label: t`Gentler`, why: t`Weighs being too firm, and breakage, more.` },
    faster: { label: t`Faster`, why: t`Weighs every day outside the comfort zone more.` },
    cheaper: { label: t`Cheaper`, why: t`Weighs money and what spoils more.` },
    'less-work': { label: t`Less work`, why: t`Your hours weigh more.` },
  }),
);

/** How much an overdue date and the comfort zone count under each school of rhythm; days ahead that the comfort zone counts. */
export const RHYTHMS: Readonly<
  Record<
    PlanChoices['rhythm'],
    { readonly comfortZone: number; readonly overdue: number; readonly zoneDays: number }
  >
> = {
  // What is measured decides. Dates beside it cost half an hour a week and took no day outside the comfort zone away; see docs/model.md.
  readings: { comfortZone: 1, overdue: 0, zoneDays: Infinity },
  calendar: { comfortZone: 0.15, overdue: 3, zoneDays: Infinity },
  // How it feels today says something of the next days and little of next month.
  feel: { comfortZone: 1, overdue: 1, zoneDays: 7 },
};

/** So many days ahead a reading says something; beyond them dates are all there is. */
const LATELY_DAYS = 14;

/**
 * How much a day overdue counts under a school of rhythm.
 * @param sinceReading days from the last reading to that day
 * @param isHers she set the rule herself: it counts whatever is measured
 */
export function overdueFactor(rhythm: PlanChoices['rhythm'], sinceReading: number, isHers: boolean): number {
  const { overdue } = RHYTHMS[rhythm];
  return sinceReading <= LATELY_DAYS && !isHers ? overdue : Math.max(1, overdue);
}

export function weightsInForce({ leanings, rhythm }: Pick<PlanChoices, 'leanings' | 'rhythm'>): WeightValues {
  const { comfortZone } = RHYTHMS[rhythm];
  const schools: Partial<Record<WeightKey, number>> = {
    outOfLane: comfortZone,
    overload: comfortZone,
    breakage: comfortZone,
    porosity: comfortZone,
  };
  return Object.fromEntries(
    Object.entries(WEIGHTS).map(([key, { value }]) => {
      const leaned = LEANINGS.reduce(
        (product, leaning) => product * (LEANS[leaning][key as WeightKey] ?? 1) ** leanings[leaning],
        schools[key as WeightKey] ?? 1,
      );
      return [key, value * leaned];
    }),
  ) as WeightValues;
}
