import { addDays, daysBetween, type CalendarDay } from '../../base/measures';
import { placedBy, PLAIN_WASH_ID } from '../agenda';
import {
  breachesOf,
  draftOf,
  isFreeEvening,
  freeMinutesOn,
  inDose,
  mayPrePoo,
  minutesOf,
  waitingMinutesOf,
  withPortion,
  type PlanDraft,
  type HeadProblem,
  type PlanProblem,
  type Treatment,
} from '../planning';

/** One thing that could be done on one day: a binary variable of the programme. */
export interface Placement {
  readonly name: string;
  /** Place of its head in the problem. */
  readonly head: number;
  /** Place of its day in the plan. */
  readonly at: number;
  /** Place of the wash that it belongs to. */
  readonly washAt: number;
  readonly slot: 'main' | 'pre-poo' | 'follow-up';
  readonly treatment: Treatment;
  readonly overnight: boolean;
  /** Of a trial's wash, its place in the trial's order. */
  readonly round: number | null;
  /** It cannot be made in time, only taken from the shelf. */
  readonly onlyFromShelf: boolean;
  /** Minutes with making; what a batch saves is given back by the batch's variable. */
  readonly minutes: number;
  /** Of these, those in which the hands are free for another head. */
  readonly waiting: number;
  /** Rules that it breaks by itself, whatever else is planned. */
  readonly breaks: readonly string[];
}

/** More main treatments than this are not weighed on every day; the most promising ones and what she decided are. */
export const MOST_MAINS = 16;
const MOST_FOLLOW_UPS = 3;
const MOST_PRE_POOS = 3;

/** Rules that depend on what else is planned: they are rows of the programme, not a reason to leave a placement out. */
const AMONG_OTHERS: ReadonlySet<string> = new Set([
  'moisture-after-protein',
  'pre-poo-without-a-wash',
  'follow-up-without-protein',
  'firm-hold',
]);

/** @param brokenAt days on which what a rule forbids by itself is there too, for asking which rules stand in the way */
export function placementsOf(
  problem: PlanProblem,
  index: number,
  brokenAt: (at: number) => boolean = () => false,
): Placement[] {
  const head = problem.heads[index] as HeadProblem;
  const all = [
    ...mains(problem, head, index, brokenAt),
    ...followUps(problem, head, index),
    ...prePoos(problem, head, index),
  ];
  const isDecided = ({ at, slot, treatment: { recipeId } }: Placement) =>
    placedBy(head.decisions, { day: addDays(problem.from, at), slot, recipeId }) !== undefined;
  return all.filter(
    (placement) => brokenAt(placement.at) || placement.breaks.length === 0 || isDecided(placement),
  );
}

function daysOf({ weeks }: PlanProblem): number {
  return 7 * weeks;
}

function placed(
  problem: PlanProblem,
  head: HeadProblem,
  index: number,
  draft: PlanDraft,
  washAt: number,
  round: number | null,
): Placement {
  const at = daysBetween(problem.from, draft.day);
  const made = { ...draft, batchId: null };
  const breaks = breachesOf(problem, head, [draft], draft)
    .map(({ rule }) => rule)
    .filter((rule) => !AMONG_OTHERS.has(rule));
  const tooLong = minutesOf(head, draft) > freeMinutesOn(head, draft.day);
  const name = `h${index}d${at}${draft.slot.charAt(0)}${draft.overnight ? 'o' : ''}${round ?? ''}_${head.treatments.findIndex(({ recipeId }) => recipeId === draft.recipeId)}${draft.treatment.doseShare === 1 ? '' : 'part'}`;
  return {
    name,
    head: index,
    at,
    washAt,
    slot: draft.slot as Placement['slot'],
    treatment: draft.treatment,
    overnight: draft.overnight,
    round,
    onlyFromShelf:
      draft.batchId !== null &&
      breachesOf(problem, head, [made], made).some(({ rule }) => rule === 'evening-before'),
    minutes: minutesOf(head, made),
    waiting: waitingMinutesOf(head, made),
    breaks: tooLong ? [...breaks, 'free-time'] : breaks,
  };
}

/** A batch that would be there: what is made from the shelf breaks no evening before. */
const draftOn = (...of: Parameters<typeof draftOf>) => withPortion(draftOf(...of));

function mains(
  problem: PlanProblem,
  head: HeadProblem,
  index: number,
  brokenAt: (at: number) => boolean,
): Placement[] {
  const masks = head.treatments.filter(({ uses }) => uses.includes('mask'));
  const ordinary = masks.filter(({ recipeId }) => recipeId !== PLAIN_WASH_ID);
  const chosen = ordinary.length <= MOST_MAINS ? ordinary : mostPromising(head, ordinary);
  const { trial } = head;
  const trialDays = trial ? daysBetween(problem.from, trial.endsBy) + 1 : 0;
  const lastArm = trial ? trial.recipeIds.length - 1 : -1;
  return Array.from({ length: daysOf(problem) }, (_, at) => addDays(problem.from, at)).flatMap((day, at) => {
    if (at === 0 && head.decidedToday) {
      const { main } = head.decidedToday;
      return main ? [placed(problem, head, index, draftOn(day, main, 'main'), 0, null)] : [];
    }
    const rounds =
      trial && day >= trial.from && at < trialDays
        ? trial.recipeIds.flatMap((recipeId, round) => {
            const treatment = masks.find((known) => known.recipeId === (recipeId ?? PLAIN_WASH_ID));
            const soonest = daysBetween(problem.from, trial.from) + round * trial.washoutDays;
            return treatment && at >= soonest
              ? [placed(problem, head, index, draftOn(day, treatment, 'main'), at, round)]
              : [];
          })
        : [];
    // While the trial has washes ahead nothing else is washed; rows of the programme open the days after its last one.
    const mayBeOver =
      !trial || at >= trialDays || at > daysBetween(problem.from, trial.from) + lastArm * trial.washoutDays;
    const others =
      mayBeOver || brokenAt(at)
        ? [...chosen, ...plainAt(head, day)].map((treatment) =>
            placed(problem, head, index, draftOn(day, treatment, 'main'), at, null),
          )
        : [];
    return [...rounds, ...others];
  });
}

/** A wash without a treatment, where she put one: to wash an oil out. */
function plainAt({ decisions, treatments }: HeadProblem, day: CalendarDay): Treatment[] {
  const isPut = placedBy(decisions, { day, slot: 'main', recipeId: PLAIN_WASH_ID }) !== undefined;
  return isPut ? treatments.filter(({ recipeId }) => recipeId === PLAIN_WASH_ID) : [];
}

/** Of very many masks: those she decided on or that stand on the shelf, then the best of each sort, measured by what they move an hour. */
function mostPromising(head: HeadProblem, masks: readonly Treatment[]): Treatment[] {
  const wanted = new Set([
    ...head.decisions.flatMap(({ recipeId }) => recipeId ?? []),
    ...head.agreed.map(({ recipeId }) => recipeId),
    ...askedFor(head),
    ...masks.filter(({ batches }) => batches.length > 0).map(({ recipeId }) => recipeId),
  ]);
  const sorts: ((treatment: Treatment) => boolean)[] = [
    ({ strong }) => strong,
    ({ firms, strong }) => firms && !strong,
    ({ moistens, firms }) => moistens && !firms,
    ({ firms, moistens }) => !firms && !moistens,
  ];
  const known = (treatment: Treatment) => (treatment.isNew ? 1 : 0);
  const ranked = sorts.map((is) =>
    masks
      .filter(is)
      .sort(
        (a, b) => known(a) - known(b) || usefulness(b) - usefulness(a) || (a.recipeId < b.recipeId ? -1 : 1),
      ),
  );
  const chosen = masks.filter(({ recipeId }) => wanted.has(recipeId)).slice(0, MOST_MAINS);
  for (let rank = 0; chosen.length < MOST_MAINS && rank < masks.length; rank++) {
    for (const sort of ranked) {
      const next = sort[rank];
      if (next && chosen.length < MOST_MAINS && !chosen.includes(next)) chosen.push(next);
    }
  }
  return chosen;
}

/** Sure movement of firmness and breakage, against the time that it takes. */
function usefulness({ effect, contactMinutes, makeMinutes }: Treatment): number {
  const sure = Math.max(0, Math.abs(effect.firmness.mean) - effect.firmness.sd / 2) - effect.breakage.mean;
  return sure / (1 + (contactMinutes + makeMinutes) / 60);
}

/** Minutes that keep the rule of moisture after protein and take least of the protein away. */
const BRIEF_MINUTES = 5;

/**
 * Moisture that can follow a protein, of what is known to this head: what she put somewhere, or the strongest; and the easiest to make
 * for a few minutes, because a whole one can take away all that the protein gave.
 */
export function followUpsOf(head: HeadProblem): Treatment[] {
  const { treatments, decisions } = head;
  const known = treatments.filter(
    ({ uses, kind, firms, isNew, recipeId }) =>
      uses.includes('mask') && kind === 'moisture' && !firms && (!isNew || decided(decisions, recipeId)),
  );
  const best = (cost: (treatment: Treatment) => number) => [...known].sort((a, b) => cost(a) - cost(b))[0];
  const whole = [
    ...new Set([
      ...known.filter(({ recipeId }) => decided(decisions, recipeId)),
      best(({ strength }) => -strength),
    ]),
  ]
    .flatMap((treatment) => treatment ?? [])
    .slice(0, MOST_FOLLOW_UPS);
  const easiest = best(({ makeMinutes, batches, strength }) =>
    batches.length > 0 ? -strength : makeMinutes - strength / 10,
  );
  if (!easiest || easiest.contactMinutes <= BRIEF_MINUTES) return whole;
  const { warmth, amount } = easiest;
  return [...whole, inDose(head, easiest, { minutes: BRIEF_MINUTES, warmth, amount })];
}

const decided = (decisions: HeadProblem['decisions'], recipeId: string) =>
  decisions.some((decision) => decision.what === 'place' && decision.recipeId === recipeId);

function followUps(problem: PlanProblem, head: HeadProblem, index: number): Placement[] {
  const chosen = followUpsOf(head);
  const { decidedToday } = head;
  return Array.from({ length: daysOf(problem) }, (_, at) => at).flatMap((at) =>
    (at === 0 && decidedToday ? [decidedToday.followUp].flatMap((each) => each ?? []) : chosen).map(
      (treatment) =>
        placed(problem, head, index, draftOn(addDays(problem.from, at), treatment, 'follow-up'), at, null),
    ),
  );
}

/** What may go on before a shampoo on this head. */
export function prePoosOf(head: HeadProblem): Treatment[] {
  const asked = askedFor(head);
  const isAsked = ({ recipeId }: Treatment) => asked.has(recipeId) || decided(head.decisions, recipeId);
  const may = head.treatments.filter(
    (treatment) => mayPrePoo(head, treatment) && (!treatment.isNew || isAsked(treatment)),
  );
  return [...may.filter(isAsked), ...may.filter((treatment) => !isAsked(treatment))].slice(
    0,
    Math.max(MOST_PRE_POOS, may.filter(isAsked).length),
  );
}

/** Recipes that have a rhythm of their own. */
function askedFor({ rhythms }: HeadProblem): ReadonlySet<string> {
  return new Set(rhythms.flatMap(({ rhythm: { of } }) => ('recipeId' in of ? of.recipeId : [])));
}

function prePoos(problem: PlanProblem, head: HeadProblem, index: number): Placement[] {
  const chosen = prePoosOf(head);
  return Array.from({ length: daysOf(problem) }, (_, at) => at).flatMap((at) => {
    const day = addDays(problem.from, at);
    return chosen.flatMap((treatment) => [
      placed(problem, head, index, draftOn(day, treatment, 'pre-poo'), at, null),
      ...(treatment.kind === 'oil' && at + 1 < daysOf(problem) && isFreeEvening(head, day)
        ? [placed(problem, head, index, draftOn(day, treatment, 'pre-poo', true), at + 1, null)]
        : []),
    ]);
  });
}
