import { plural, t } from '@lingui/core/macro';
import { addDays, dayRange, daysBetween, formatDay, type CalendarDay } from '../../base/measures';
import type { Slot } from '../../records/shapes';
import { isSmall, PLAN_RULES, slotsOfUses, sortWords, FIXED_RULES, countsFor, USE_OF_SLOT } from '../agenda';
import { draftOf, freeMinutesOn, minutesOf, washWindow, type PlanDraft } from './draft';
import { breachesOf } from './permits';
import type { HeadProblem, PlanProblem, RhythmDemand, Treatment, UnmetRule } from './plan';
import { daysKept, washesWithout } from './rhythms';
import { spanOf, styleWants } from './score';

/** A stretch in which something that she asked for is not in the plan. */
interface Gap {
  readonly asked: string;
  readonly rhythmId: string | null;
  readonly from: CalendarDay;
  readonly to: CalendarDay;
  readonly slots: readonly Slot[];
  readonly candidates: readonly Treatment[];
  /** What is wanted, where no recipe of it is there. */
  readonly sort: string;
  readonly firm: boolean;
}

/** Why it is not there, and the nearest way to it. */
interface Answer {
  readonly rule: string;
  readonly reason: string;
  readonly nearest: NonNullable<UnmetRule['promise']>['nearest'];
}

/**
 * Whatever she asked for and these days do not hold, with the reason and the nearest way: rhythms, protein around a style, and
 * what she put on a day herself. What is missing for one reason is said once.
 */
export function unmetPromises(
  problem: PlanProblem,
  head: HeadProblem,
  drafts: readonly PlanDraft[],
): UnmetRule[] {
  const found = new Map<string, { gap: Gap; answer: Answer; times: number }>();
  for (const gap of [
    ...rhythmGaps(problem, head, drafts),
    ...styleGaps(problem, head, drafts),
    ...placedGaps(problem, head, drafts),
  ]) {
    const answer = answerTo(problem, head, drafts, gap);
    const key = `${gap.rhythmId ?? gap.asked}/${answer.rule}`;
    const known = found.get(key);
    if (known) known.times += 1;
    else found.set(key, { gap, answer, times: 1 });
  }
  return [...found.values()].map(({ gap, answer, times }) => said(gap, answer, times));
}

function said(
  { asked, rhythmId, from, to }: Gap,
  { rule, reason, nearest }: Answer,
  times: number,
): UnmetRule {
  const when =
    from === to
      ? t`${asked}. Not on ${{ day: dayWords(from) }}.`
      : t`${asked}. Not from ${{ from: dayWords(from) }} to ${{ to: dayWords(to) }}.`;
  const often =
    times > 1
      ? plural({ times: times - 1 }, { one: 'The same # time more.', other: 'The same # times more.' })
      : '';
  return {
    rule,
    text: [when, reason, often, nearest.text].filter(Boolean).join(' '),
    promise: { asked, rhythmId, from, to, times, reason, nearest },
  };
}

const dayWords = (day: CalendarDay) => formatDay(day, 'EEEE d MMMM');

function rhythmGaps(problem: PlanProblem, head: HeadProblem, drafts: readonly PlanDraft[]): Gap[] {
  const last = addDays(problem.from, 7 * problem.weeks - 1);
  return head.rhythms.flatMap((demand): Gap[] => {
    const gap = gapOf(head, demand);
    if (demand.rhythm.when.every === 'wash')
      return washesWithout(demand, drafts).map(({ day }) => ({
        ...gap,
        from: demand.slots.includes('pre-poo') || demand.slots.includes('scalp') ? addDays(day, -1) : day,
        to: day,
      }));
    return demand.windows
      .filter(
        (window) =>
          window.wanted > 0 && window.from <= last && daysKept(demand, window, drafts) < window.wanted,
      )
      .map(({ from, to }) => ({
        ...gap,
        from: from < problem.from ? problem.from : from,
        to: to > last ? last : to,
      }));
  });
}

function gapOf(head: HeadProblem, { rhythm, says, slots }: RhythmDemand): Omit<Gap, 'from' | 'to'> {
  const { of, firm, rhythmId } = rhythm;
  return {
    asked: says,
    rhythmId,
    slots,
    firm,
    candidates: head.treatments.filter((treatment) =>
      slots.some((slot) => isFor(treatment, slot) && countsFor(of, { ...treatment, use: USE_OF_SLOT[slot] })),
    ),
    sort: 'sort' in of ? sortWords()[of.sort] : '',
  };
}

const isFor = ({ uses }: Treatment, slot: Slot) => slotsOfUses(uses).includes(slot);

/** Protein before a style goes in and when it comes out, where that is her rule. */
function styleGaps(problem: PlanProblem, head: HeadProblem, drafts: readonly PlanDraft[]): Gap[] {
  const isDone = (from: CalendarDay, to: CalendarDay) =>
    [...head.past.filter(({ firms }) => firms), ...drafts.filter(({ treatment }) => treatment.firms)].some(
      ({ day }) => day >= from && day <= to,
    );
  return styleWants(head, problem.from, spanOf(problem.weeks)).flatMap(({ start, end, at }): Gap[] => {
    const [from, to] = [addDays(problem.from, Math.max(0, start)), addDays(problem.from, end - 1)];
    if (isDone(addDays(problem.from, start), to)) return [];
    const style = addDays(problem.from, at);
    return [
      {
        asked:
          start < at
            ? t`Protein before the style of ${{ day: dayWords(style) }}`
            : t`Protein when the style comes out, ${{ day: dayWords(style) }}`,
        rhythmId: null,
        from,
        to,
        slots: ['main'],
        candidates: head.treatments.filter(({ firms, uses }) => firms && uses.includes('mask')),
        sort: sortWords().protein,
        firm: false,
      },
    ];
  });
}

/** What she put on a day and the plan has not. */
function placedGaps(problem: PlanProblem, head: HeadProblem, drafts: readonly PlanDraft[]): Gap[] {
  const last = addDays(problem.from, 7 * problem.weeks - 1);
  return head.decisions.flatMap(({ what, day, slot, recipeId }): Gap[] => {
    if (what !== 'place' || day > last || recipeId === null) return [];
    if (drafts.some((draft) => draft.day === day && draft.slot === slot && draft.recipeId === recipeId))
      return [];
    const treatment = head.treatments.find((known) => known.recipeId === recipeId);
    return [
      {
        asked: treatment ? t`${{ name: treatment.name }}, put there by you` : t`What you put there`,
        rhythmId: null,
        from: day,
        to: day,
        slots: [slot],
        candidates: treatment ? [treatment] : [],
        sort: '',
        firm: true,
      },
    ];
  });
}

/** Ways in which a candidate could stand on a day. */
function draftsOn(day: CalendarDay, { slots, candidates }: Gap): PlanDraft[] {
  return candidates.flatMap((treatment) =>
    slots
      .filter((slot) => slot !== 'follow-up' && isFor(treatment, slot))
      .flatMap((slot) =>
        slot === 'pre-poo' && treatment.kind === 'oil'
          ? [draftOf(day, treatment, slot), draftOf(day, treatment, slot, true)]
          : [draftOf(day, treatment, slot)],
      ),
  );
}

interface Block {
  readonly rule: string;
  readonly by: number | null;
  readonly day: CalendarDay;
  readonly draft: PlanDraft;
}

/** What stands in the way of one way; null where nothing does. */
function blockOf(
  problem: PlanProblem,
  head: HeadProblem,
  drafts: readonly PlanDraft[],
  draft: PlanDraft,
): Block | null {
  const { day } = draft;
  const main = drafts.find((other) => other.slot === 'main' && other.day === day);
  // It would go on in place of what is there that day, or with the wash that is there.
  const others = draft.slot === 'main' ? drafts.filter((other) => other !== main) : drafts;
  const [broken] = breachesOf(problem, head, [...others, draft], draft).filter(
    ({ rule }) => rule !== 'moisture-after-protein',
  );
  if (broken) return { rule: broken.rule, by: broken.by ?? null, day, draft };
  if (isSmall(draft)) return null;
  const needed = minutesOf(head, draft);
  const free = freeMinutesOn(head, day);
  return needed > free ? { rule: 'free-time', by: needed - free, day, draft } : null;
}

/** Rules that say most when several stand in the way: what can be done about them, first. */
const TELLING = [
  PLAN_RULES.patchTest.id,
  'no-strong-protein',
  PLAN_RULES.firmHold.id,
  PLAN_RULES.strongProteinGap.id,
  PLAN_RULES.lightProteinGap.id,
  'style',
  'no-wash',
  'free-time',
  PLAN_RULES.washGap.id,
  PLAN_RULES.mainsPerWeek.id,
];

function answerTo(problem: PlanProblem, head: HeadProblem, drafts: readonly PlanDraft[], gap: Gap): Answer {
  if (gap.candidates.length === 0) return nothingToUse(gap);
  const isKept = keptOn(drafts, gap);
  const days = dayRange(gap.from, daysBetween(gap.from, gap.to) + 1).filter(
    (day) => day >= problem.from && !isKept(day),
  );
  const ways = days.flatMap((day) => draftsOn(day, gap));
  const blocks = ways.flatMap((draft) => blockOf(problem, head, drafts, draft) ?? []);
  const near = nearestDay(problem, head, drafts, gap);
  if (blocks.length < ways.length || blocks.length === 0) return outweighed(gap, near);
  const rank = ({ rule }: Block) => (TELLING.indexOf(rule) + TELLING.length + 1) % (TELLING.length + 1);
  // The least that stands in the way of any day is what would have to change.
  const byDay = days.map(
    (day) => blocks.filter((block) => block.day === day).sort((a, b) => rank(b) - rank(a))[0],
  );
  const [block] = byDay.flatMap((each) => each ?? []).sort((a, b) => rank(a) - rank(b));
  if (!block) return outweighed(gap, near);
  return { rule: block.rule, reason: reasonOf(head, block), nearest: near ?? wayPast(block) };
}

function nothingToUse({ sort }: Gap): Answer {
  return {
    rule: 'no-recipe',
    reason:
      sort === ''
        ? t`This recipe can't go on this hair, or isn't saved any more.`
        : t`No recipe of this sort is saved that may go on this hair.`,
    nearest: { text: t`Save one, or choose another recipe for it.`, day: null, recipeId: null },
  };
}

function outweighed({ firm }: Gap, near: Answer['nearest'] | null): Answer {
  return {
    rule: 'outweighed',
    reason: t`It would fit, but the rest of these days would be worse with it.`,
    nearest: near ?? {
      text: firm
        ? t`Put it on the day you want yourself.`
        : t`Ask for it whatever the rest, or put it on the day you want yourself.`,
      day: null,
      recipeId: null,
    },
  };
}

/** Whether a day has it already: a day counts once. */
const keptOn =
  (drafts: readonly PlanDraft[], { slots, candidates }: Gap) =>
  (day: CalendarDay): boolean =>
    drafts.some(
      (draft) => draft.day === day && slots.includes(draft.slot) && candidates.includes(draft.treatment),
    );

/** Days further off than this are not near. */
const NEAR_DAYS = 14;

/** The nearest day of the plan on which it would fit beside what stands there. */
function nearestDay(
  problem: PlanProblem,
  head: HeadProblem,
  drafts: readonly PlanDraft[],
  gap: Gap,
): Answer['nearest'] | null {
  const last = 7 * problem.weeks - 1;
  const isKept = keptOn(drafts, gap);
  const [start, end] = [daysBetween(problem.from, gap.from), daysBetween(problem.from, gap.to)];
  for (let away = 1; away <= NEAR_DAYS; away++) {
    for (const at of [start - away, end + away]) {
      if (at < 0 || at > last) continue;
      const day = addDays(problem.from, at);
      if (isKept(day)) continue;
      const free = draftsOn(day, gap).find((draft) => blockOf(problem, head, drafts, draft) === null);
      if (free)
        return {
          text: t`${{ day: dayWords(day) }} would fit.`,
          day,
          recipeId: free.recipeId,
        };
    }
  }
  return null;
}

function reasonOf(head: HeadProblem, { rule, day, draft, by }: Block): string {
  const { name } = draft.treatment;
  switch (rule) {
    case PLAN_RULES.patchTest.id:
      return t`${name} hasn't been patch-tested.`;
    case 'free-time':
      return t`${{ day: dayWords(day) }} has ${plural({ free: freeMinutesOn(head, day) }, { one: '# minute', other: '# minutes' })}, and it takes ${{ needed: minutesOf(head, draft) }}.`;
    case 'style':
      return t`A style is in.`;
    case 'no-wash':
      return washWindow(head, day) === 'style' ? t`A style is in.` : t`These are days without a wash.`;
    case PLAN_RULES.firmHold.id:
      return t`Hair may be too firm already, so protein waits.`;
    case 'pre-poo-without-a-wash':
      return t`No wash comes after it.`;
    case 'evening-before':
      return t`The evening before isn't free.`;
    default: {
      const known = Object.values(PLAN_RULES).find(({ id }) => id === rule);
      if (known && by !== null && known.unit === 'days')
        return t`${{ rule: known.label }}: ${plural({ by }, { one: '# day', other: '# days' })} too soon.`;
      return known?.why ?? FIXED_RULES[rule]?.why ?? t`It can't go on these days.`;
    }
  }
}

/** What would make way, where no near day fits. */
function wayPast({ rule, draft, day, by }: Block): Answer['nearest'] {
  const { treatment } = draft;
  const none = (text: string): Answer['nearest'] => ({ text, day: null, recipeId: treatment.recipeId });
  switch (rule) {
    case PLAN_RULES.patchTest.id:
      return none(
        treatment.patchTest === 'waits'
          ? t`Start its patch test today, and it may go on from ${{ day: dayWords(treatment.allowedFrom) }}. Or say that you've used it before.`
          : t`With its test clear it may go on from ${{ day: dayWords(treatment.allowedFrom) }}.`,
      );
    case 'free-time':
      return none(
        t`Give ${{ day: dayWords(day) }} ${plural({ by: by ?? 0 }, { one: '# minute', other: '# minutes' })} more, or make a batch ahead.`,
      );
    case 'pre-poo-without-a-wash':
      return none(t`Put a wash on the day after.`);
    case PLAN_RULES.firmHold.id:
      return none(t`A stretch check would tell, and moisture brings it back.`);
    case 'style':
    case 'no-wash':
      return none(t`A mist or scalp oil can go on meanwhile.`);
    default:
      return none(
        rule in FIXED_RULES
          ? t`Another recipe of yours may do it.`
          : t`You can change that rule under Rules.`,
      );
  }
}
