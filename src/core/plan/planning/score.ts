import { addDays, daysBetween, sum, type CalendarDay } from '../../base/measures';
import type { SignalId } from '../../records/shapes';
import {
  holdsUnder,
  isOn,
  overdueFactor,
  RHYTHMS,
  PLAN_RULES,
  WEIGHTS,
  type RuleKey,
  type WeightKey,
} from '../agenda';
import { mayPrePoo, minutesOf, moving, takesNoStrong, washWindow, type PlanDraft } from './draft';
import { outOfLane, untreated } from './forecast';
import type { HeadProblem, PastUse, ScoreParts, Treatment } from './plan';
import { rhythmShort } from './rhythms';
import { SORTS, type Sort } from './sorts';
import type { Span } from './span';

/** Days after the plan whose comfort zone still counts, so that its last week does not spend what the next one needs. */
export const LOOK_BEYOND_DAYS = 4;
/** How many times more a day to look good for counts. */
export const EVENT_FACTOR = 5;
/** Days between two looks at a signal; those that move slowly are looked at less often. */
export const LOOK_EVERY: Readonly<Record<SignalId, number>> = { firmness: 1, breakage: 2, porosity: 7 };

export const spanOf = (weeks: number): Span => ({ start: 0, end: 7 * weeks });

/**
 * What a plan of one head costs, part by part, in weighed units; smaller is better. The programme minimises the same with
 * the curved parts drawn as straight pieces.
 * @param drafts the whole plan, its earlier days too
 * @param span the days that are counted
 */
export function scoreParts(
  head: HeadProblem,
  from: CalendarDay,
  drafts: readonly PlanDraft[],
  span: Span,
): ScoreParts {
  const { weights } = head;
  const inSpan = drafts.filter(({ day }) => {
    const at = daysBetween(from, day);
    return at >= span.start && at < span.end;
  });
  const comfortZone = zoneParts(head, from, moving(drafts), span);
  const quantities: Record<WeightKey, number> = {
    ...comfortZone,
    hour: sum(inSpan.map((draft) => minutesOf(head, draft))) / 60,
    money: sum(inSpan.map(({ treatment, batchId }) => (batchId === null ? (treatment.cost ?? 0) : 0))),
    waste: wasted(head, from, drafts, span),
    overdue: sum(cadences(head).map((cadence) => overdueDays(head, cadence, from, drafts, span))),
    noPrePoo: washesWithoutPrePoo(head, drafts, inSpan),
    style: stylesWithoutProtein(head, from, drafts, span),
    rhythm: rhythmShort(head, from, drafts, span),
    trialDelay: trialDelay(head, from, drafts, span),
    change: changes(head, from, inSpan, span),
  };
  return Object.fromEntries(
    (Object.keys(WEIGHTS) as WeightKey[]).map((key) => [key, weights[key] * quantities[key]]),
  ) as ScoreParts;
}

export function scoreOf(parts: ScoreParts): number {
  return sum(Object.values(parts));
}

/** How many times a day's firmness counts. */
export function dayFactor({ occasions, choices }: HeadProblem, from: CalendarDay, at: number): number {
  if (at >= RHYTHMS[choices.rhythm].zoneDays) return 0;
  const day = addDays(from, at);
  return occasions.some((occasion) => occasion.what === 'look-good' && isOn(occasion, day))
    ? EVENT_FACTOR
    : 1;
}

/** Firmness, breakage and porosity outside their comfort zones, day by day, each weighed by the days that one look stands for. */
function zoneParts(
  head: HeadProblem,
  from: CalendarDay,
  drafts: readonly PlanDraft[],
  { start, end }: Span,
): Pick<Record<WeightKey, number>, 'outOfLane' | 'overload' | 'breakage' | 'porosity'> {
  const found = { outOfLane: 0, overload: 0, breakage: 0, porosity: 0 };
  const last = end + LOOK_BEYOND_DAYS;
  for (const signal of ['firmness', 'breakage', 'porosity'] as const) {
    const every = LOOK_EVERY[signal];
    const path = pathOf(head, signal, from, drafts, last);
    for (let at = start - (start % every) + every - 1; at < last; at += every) {
      const estimate = path[at];
      if (!estimate || at < start) continue;
      const { below, above } = outOfLane(head.signals[signal].comfortZone, estimate);
      const factor = every * dayFactor(head, from, at);
      if (signal === 'firmness') {
        found.outOfLane += factor * (below + above);
        found.overload += factor * above;
      } else if (signal === 'breakage') found.breakage += factor * above;
      else found.porosity += factor * (below + above);
    }
  }
  return found;
}

/** A signal on each day from the plan's first on; what treatments add fades day by day. */
export function pathOf(
  head: HeadProblem,
  signal: SignalId,
  from: CalendarDay,
  drafts: readonly { readonly day: CalendarDay; readonly treatment: Treatment }[],
  days: number,
): { readonly mean: number; readonly sd: number }[] {
  const { retentionPerDay: kept } = head.signals[signal];
  const shift = new Float64Array(days);
  const spread = new Float64Array(days);
  for (const { day, treatment } of drafts) {
    const at = daysBetween(from, day);
    if (at < 0 || at >= days) continue;
    const { mean, sd } = treatment.effect[signal];
    shift[at] = (shift[at] ?? 0) + mean;
    spread[at] = (spread[at] ?? 0) + sd ** 2;
  }
  let departure = 0;
  let variance = 0;
  return baseOf(head, signal, from, days).map(({ mean, sd }, at) => {
    departure = kept * departure + (shift[at] ?? 0);
    variance = kept ** 2 * variance + (spread[at] ?? 0);
    return { mean: mean + departure, sd: Math.sqrt(sd ** 2 + variance) };
  });
}

/** The course without any treatment. */
export function baseOf(head: HeadProblem, signal: SignalId, from: CalendarDay, days: number) {
  const known = BASES.get(head)?.get(`${signal}/${from}`);
  if (known && known.length >= days) return known.length === days ? known : known.slice(0, days);
  const base = Array.from({ length: days }, (_, at) => untreated(head, signal, addDays(from, at)));
  const ofHead = BASES.get(head) ?? new Map<string, ReturnType<typeof untreated>[]>();
  BASES.set(head, ofHead.set(`${signal}/${from}`, base));
  return base;
}

/** The same for every plan of one question, and asked for thousands of times. */
const BASES = new WeakMap<HeadProblem, Map<string, ReturnType<typeof untreated>[]>>();

/** Something that is not to be left undone for longer than a rule says. */
export interface Cadence {
  readonly rule: RuleKey;
  readonly within: number;
  readonly counts: Sort['is'];
}

/** Those that are in force and that a recipe of hers could meet. */
export function cadences(head: HeadProblem): Cadence[] {
  const { rules, choices, treatments } = head;
  return SORTS.flatMap(({ what, is, within: rule }): Cadence[] => {
    const within = rules[rule];
    const isInForce = holdsUnder(PLAN_RULES[rule], choices);
    const isForbidden = what === 'strong protein' && takesNoStrong(head);
    return within !== null && isInForce && !isForbidden && treatments.some(is)
      ? [{ rule, within, counts: is }]
      : [];
  });
}

/**
 * How much a day counts on which something is overdue: by her school and by how long ago something was read; nothing while a
 * style or a stretch without wash forbids it.
 */
export function overdueWeight(head: HeadProblem, rule: RuleKey, from: CalendarDay, at: number): number {
  const day = addDays(from, at);
  if (washWindow(head, day) !== undefined) return 0;
  const { lastReading, choices } = head;
  const sinceReading = lastReading === null ? Infinity : daysBetween(lastReading, day);
  return overdueFactor(choices.rhythm, sinceReading, choices.rules[PLAN_RULES[rule].id] !== undefined);
}

function overdueDays(
  head: HeadProblem,
  { counts, within, rule }: Cadence,
  from: CalendarDay,
  drafts: readonly PlanDraft[],
  { start, end }: Span,
): number {
  let last = lastUse(head.past, counts, from);
  const on = new Set(
    moving(drafts)
      .filter(({ treatment }) => counts(treatment))
      .map(({ day }) => daysBetween(from, day)),
  );
  let days = 0;
  for (let at = 0; at < end; at++) {
    if (on.has(at)) last = at;
    if (at >= start && at - last >= within) days += overdueWeight(head, rule, from, at);
  }
  return days;
}

/** Place of the latest past use, negative; −Infinity where there is none. */
export function lastUse(past: readonly PastUse[], is: (use: PastUse) => boolean, from: CalendarDay): number {
  let last = -Infinity;
  for (const use of past) if (is(use)) last = Math.max(last, Math.min(0, daysBetween(from, use.day)));
  return last;
}

function wasted(
  { treatments }: HeadProblem,
  from: CalendarDay,
  drafts: readonly PlanDraft[],
  { start, end }: Span,
): number {
  return sum(
    treatments.flatMap(({ batches }) =>
      batches.map(({ batchId, portions, useBy }) => {
        const spoilsAt = daysBetween(from, useBy);
        if (spoilsAt < start || spoilsAt >= end) return 0;
        return Math.max(0, portions - drafts.filter((draft) => draft.batchId === batchId).length);
      }),
    ),
  );
}

/** Whether the head has anything that could go on before a shampoo. */
export function canPrePoo({ treatments, choices }: HeadProblem): boolean {
  return treatments.some((treatment) => !treatment.isNew && mayPrePoo({ choices }, treatment));
}

function washesWithoutPrePoo(
  head: HeadProblem,
  drafts: readonly PlanDraft[],
  inSpan: readonly PlanDraft[],
): number {
  if (!canPrePoo(head)) return 0;
  const before = new Set(
    drafts.flatMap(({ slot, day, overnight }) =>
      slot === 'pre-poo' ? [overnight ? addDays(day, 1) : day] : [],
    ),
  );
  return inSpan.filter(({ slot, day }) => slot === 'main' && !before.has(day)).length;
}

/** Stretches of places in which protein is wanted for the sake of a protective style, each with the place of its going in or coming out. */
export function styleWants(
  head: HeadProblem,
  from: CalendarDay,
  { start, end }: Span,
): (Span & { readonly at: number })[] {
  const ahead = head.rules.proteinBeforeStyle;
  if (ahead === null || !head.treatments.some(({ firms, uses }) => firms && uses.includes('mask'))) return [];
  return head.occasions
    .filter(({ what }) => what === 'style')
    .flatMap((style) => {
      const goesIn = daysBetween(from, style.from);
      const comesOut = daysBetween(from, style.to);
      return [
        { start: goesIn - ahead, end: goesIn + 1, at: goesIn },
        { start: comesOut, end: comesOut + 2, at: comesOut },
      ];
    })
    .filter((want) => want.end > 0 && want.end - 1 >= start && want.end <= end);
}

function stylesWithoutProtein(
  head: HeadProblem,
  from: CalendarDay,
  drafts: readonly PlanDraft[],
  span: Span,
): number {
  const proteins = [
    ...head.past.filter(({ firms }) => firms),
    ...drafts.filter(({ treatment }) => treatment.firms),
  ].map(({ day }) => daysBetween(from, day));
  return styleWants(head, from, span).filter(
    (want) => !proteins.some((at) => at >= want.start && at < want.end),
  ).length;
}

function trialDelay(
  { trial }: HeadProblem,
  from: CalendarDay,
  drafts: readonly PlanDraft[],
  { end }: Span,
): number {
  if (!trial) return 0;
  const washes = drafts
    .filter(({ slot }) => slot === 'main')
    .map(({ day }) => daysBetween(from, day))
    .sort((a, b) => a - b);
  const first = daysBetween(from, trial.from);
  const latest = Math.min(end, daysBetween(from, trial.endsBy) + 1);
  return sum(
    trial.recipeIds.map((_, index) => {
      const earliest = first + index * trial.washoutDays;
      return Math.max(0, Math.min(latest, washes[index] ?? latest) - earliest);
    }),
  );
}

/** Places of the agreed plan's days, within which a treatment that was not agreed is a change. */
export function agreedSpan({ agreed }: HeadProblem, from: CalendarDay): Span {
  const places = agreed.map(({ day }) => daysBetween(from, day));
  return { start: 0, end: Math.max(-1, ...places) + 1 };
}

function changes(head: HeadProblem, from: CalendarDay, inSpan: readonly PlanDraft[], span: Span): number {
  const limit = agreedSpan(head, from);
  const agreed = head.agreed.filter(({ slot, day }) => {
    const at = daysBetween(from, day);
    return slot === 'main' && at >= span.start && at < span.end;
  });
  const mains = inSpan.filter(({ slot }) => slot === 'main');
  const isSame = (a: { day: CalendarDay; recipeId: string }, b: { day: CalendarDay; recipeId: string }) =>
    a.day === b.day && a.recipeId === b.recipeId;
  const dropped = agreed.filter((assignment) => !mains.some((main) => isSame(main, assignment)));
  const added = mains.filter(
    (main) =>
      daysBetween(from, main.day) < limit.end && !agreed.some((assignment) => isSame(main, assignment)),
  );
  return dropped.length + added.length;
}
