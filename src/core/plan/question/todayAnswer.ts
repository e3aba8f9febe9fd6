import { plural, t } from '@lingui/core/macro';
import { addDays, rounded, type CalendarDay } from '../../base/measures';
import type { TestId } from '../../hair/checks';
import type { HeadHistory } from '../../hair/history';
import type { HairState, NextReading } from '../../hair/state';
import { placeInWords } from '../../hair/state';
import type { Reading, Session } from '../../records/shapes';
import { PLAN_RULES, type RuleValues } from '../agenda';
import { freeMinutesOn, type HeadProblem, type PlanDraft, type PlanProblem } from '../planning';
import { TODAY, todayOptions, type TodayOption } from '../scheduling';

/** One treatment of today, with its dose. */
export interface TodayChoice {
  readonly recipeId: string;
  readonly name: string;
  readonly minutes: number;
  readonly warm: boolean;
  /** Share of what is usual for this head, 0 to 1. */
  readonly amount: number;
}

/** A check that would tell something. */
export interface CheckToTake {
  readonly day: CalendarDay;
  readonly moment: Reading['moment'];
  readonly test: TestId;
  /** Of a stretch: so many strands are enough for a day's decision. */
  readonly strands: number | null;
}

/** What to do today, decided from what is known this moment. */
export interface TodayAnswer {
  /** Null for nothing. */
  readonly choice: TodayChoice | null;
  /** The moisture that has to follow it the same day. */
  readonly followUp: TodayChoice | null;
  readonly why: string;
  /** Of nothing: why, in a few words; of a treatment what it takes. */
  readonly short: string;
  /** Hair was felt or stretched today, and since what was done today. */
  readonly isChecked: boolean;
  /**
   * The check that would tell most now: before anything is done, or of what was done today once it has dried. Null where it is taken,
   * or none would tell anything.
   */
  readonly ask: CheckToTake | null;
  /** The check after that: when what is done has dried, else on the morning of the next free day. */
  readonly next: CheckToTake | null;
}

/** Doubt that a check has to take away to be worth twenty seconds, bits (working assumption). */
const WORTH_ASKING_BITS = 0.02;
/** A day is decided by two strands or a stroke. */
const STRANDS_A_DAY = 2;
const DAYS_OF_A_WEEK = 7;

/** @param history of this head, for whether today's check is taken, and what was done today */
export function todayAnswer(
  problem: PlanProblem,
  index: number,
  state: HairState,
  { readings, sessions }: Pick<HeadHistory, 'readings' | 'sessions'>,
): TodayAnswer {
  const head = problem.heads[index] as HeadProblem;
  const day = problem.from;
  const options = todayOptions(problem, index);
  const [best] = options;
  const [main, followUp] = best?.drafts ?? [];
  const done = sessions.filter((session) => session.day === day);
  const isChecked = readings.some(
    (reading) => isDayCheck(reading, day) && done.every((session) => isAfter(reading, session)),
  );
  const test = state.nextReadings.find((each) => isDaily(each));
  const check = (on: CalendarDay, moment: Reading['moment']): CheckToTake => {
    const kind = test?.test ?? 'stretch';
    return { day: on, moment, test: kind, strands: kind === 'stretch' ? STRANDS_A_DAY : null };
  };
  const isAsked =
    done.length > 0 || (freeMinutesOn(head, day) > 0 && test !== undefined && test.bits >= WORTH_ASKING_BITS);
  const nextFree = nextFreeDay(head, day);
  return {
    choice: main ? choiceOf(main) : null,
    followUp: followUp ? choiceOf(followUp) : null,
    why: [whyWords(head, day, options, state), spacingWords(problem, index, options)]
      .filter(Boolean)
      .join(' '),
    short: shortWords(head, day, options),
    isChecked,
    ask: isChecked || !isAsked ? null : check(day, done.length > 0 ? 'dry' : 'before'),
    next: main ? check(day, 'dry') : nextFree ? check(nextFree, 'before') : null,
  };
}

/** Whether hair was felt or stretched on this day: what a day is decided from. */
export function isDayCheck({ day: on, feel, strands }: Reading, day: CalendarDay): boolean {
  return on === day && (feel !== null || strands.length > 0);
}

/** A look before the treatment of the same day says nothing of what it did. */
function isAfter({ moment, recordedAt }: Reading, session: Session): boolean {
  return moment !== 'before' && recordedAt >= session.recordedAt;
}

/** A stroke or some strands: what twenty seconds are enough for. */
const isDaily = ({ test }: NextReading) => test === 'stretch' || test === 'feel';

function choiceOf({ recipeId, treatment }: PlanDraft): TodayChoice {
  const { name, contactMinutes, warmth, amount } = treatment;
  return { recipeId, name, minutes: contactMinutes, warm: warmth === 'warm', amount };
}

function nextFreeDay(head: HeadProblem, day: CalendarDay): CalendarDay | null {
  const days = Array.from({ length: DAYS_OF_A_WEEK }, (_, index) => addDays(day, index + 1));
  return days.find((each) => freeMinutesOn(head, each) > 0) ?? null;
}

/** Rules that keep treatments apart, each with what it is without: one wash a day all the same. */
const SPACING = {
  washGap: 1,
  mainsPerWeek: null,
  lightProteinGap: null,
} as const satisfies Partial<RuleValues>;
/** Days outside that a rule has to cost to be spoken of. */
const WORTH_SAYING_DAYS = 0.3;

/** What the rule costs that keeps most away from today. */
function spacingWords(problem: PlanProblem, index: number, options: readonly TodayOption[]): string {
  const kept = options[0]?.outside ?? 0;
  const costs = (Object.keys(SPACING) as (keyof typeof SPACING)[]).map((key) => {
    const heads = problem.heads.map((head, each) =>
      each === index ? { ...head, rules: { ...head.rules, [key]: SPACING[key] } } : head,
    );
    const [best] = todayOptions({ ...problem, heads }, index);
    return { key, days: kept - (best?.outside ?? kept) };
  });
  const dearest = costs.reduce((a, b) => (b.days > a.days ? b : a));
  if (dearest.days < WORTH_SAYING_DAYS) return '';
  const { label } = PLAN_RULES[dearest.key];
  return t`Waiting costs about ${plural({ days: rounded(dearest.days, 1) }, { one: '# day', other: '# days' })} outside the comfort zone (rule: ${{ label: label.toLowerCase() }}).`;
}

function shortWords(head: HeadProblem, day: CalendarDay, options: readonly TodayOption[]): string {
  const main = options[0]?.drafts[0]?.treatment;
  if (main) return t`${{ minutes: main.contactMinutes }} min on the hair.`;
  if (freeMinutesOn(head, day) <= 0) return t`You have no free minutes today.`;
  return options.length === 1 ? t`Your rules allow none today.` : t`None would help enough.`;
}

function whyWords(
  head: HeadProblem,
  day: CalendarDay,
  options: readonly TodayOption[],
  state: HairState,
): string {
  if (freeMinutesOn(head, day) <= 0) return t`You have no free minutes today.`;
  const [best] = options;
  const nothing = options.find(({ drafts }) => drafts.length === 0);
  const place = placeInWords(state.signals.firmness, state.signals.firmness.comfortZone);
  if (!best || !nothing || options.length === 1)
    return t`By the last checks it's ${place}. No recipe may go on today by your rules.`;
  const outside = (option: TodayOption) => rounded(option.outside, 1);
  const span = { days: TODAY.days };
  if (best === nothing)
    return t`By the last checks it's ${place}. Of the next ${{ days: span.days }} days about ${{ outside: outside(nothing) }} would be outside the comfort zone; no treatment takes enough off that for its minutes.`;
  return t`By the last checks it's ${place}. Of the next ${{ days: span.days }} days about ${{ with: outside(best) }} would be outside the comfort zone, ${{ without: outside(nothing) }} if nothing is done.`;
}
