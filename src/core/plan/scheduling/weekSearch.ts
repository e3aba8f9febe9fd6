import { addDays, daysBetween, type CalendarDay } from '../../base/measures';
import { isAvoided, placedBy, PLAIN_WASH_ID } from '../agenda';
import {
  draftOf,
  freeMinutesOn,
  handsMinutes,
  isDecidedToday,
  LOOK_BEYOND_DAYS,
  needsMoisture,
  scoreOf,
  scoreParts,
  sharedMinutesOn,
  spanOf,
  timedMinutes,
  washDayOf,
  withPortion,
  type PlanDraft,
  type HeadProblem,
  type PlanProblem,
} from '../planning';
import { brokenRules } from './brokenRules';
import { isNeverAllowed } from './neverRelaxed';
import { followUpsOf, placementsOf, prePoosOf, type Placement } from './placements';

/** Washes that one pass over a week puts in or moves at most; far more than a week has days. */
const MOST_STEPS = 12;

/**
 * The planner that answers where the solver cannot be had, and the first answer while the solver is still at it: what she
 * decided first, then week by week whatever wash lowers the score most, and after each whatever exchange lowers it more. It
 * never takes what the checker would refuse, but proves nothing.
 */
export function weekSearch(problem: PlanProblem): PlanDraft[][] {
  const plans: PlanDraft[][] = problem.heads.map(() => []);
  problem.heads.forEach((_, index) => {
    const allMains = placementsOf(problem, index).filter(({ slot }) => slot === 'main');
    const search = new HeadSearch(problem, index, plans, allMains);
    search.placeDecided();
    search.placeAgreed();
    for (let week = 0; week < problem.weeks; week++) search.fillWeek(week);
    plans[index] = search.drafts;
  });
  return plans;
}

/** Further apart than this no two treatments of a plan have a rule between them; the forecast has faded, too. */
const REACH_DAYS = 60;

class HeadSearch {
  drafts: PlanDraft[] = [];
  /** Weeks that were agreed already. */
  private agreedWeeks = 0;
  private readonly head: HeadProblem;

  constructor(
    private readonly problem: PlanProblem,
    index: number,
    private readonly others: readonly (readonly PlanDraft[])[],
    private readonly mains: readonly Placement[],
  ) {
    this.head = problem.heads[index] as HeadProblem;
  }

  placeDecided(): void {
    this.placeToday();
    this.placeDecidedMains();
    this.placeDecidedCompanions();
  }

  /** What was decided from today's check, as far as nothing else stands against it. */
  private placeToday(): void {
    const { main, followUp } = this.head.decidedToday ?? { main: null, followUp: null };
    if (!main) return;
    const day = this.problem.from;
    const added = [
      this.withPortion(draftOf(day, main, 'main'), []),
      ...(followUp ? [this.withPortion(draftOf(day, followUp, 'follow-up'), [])] : []),
    ];
    if (this.isAllowed(added, added)) this.drafts = added;
  }

  private placeDecidedMains(): void {
    for (const { what, slot, day, recipeId } of this.head.decisions) {
      if (what !== 'place' || slot !== 'main') continue;
      const treatment = this.head.treatments.find((known) => known.recipeId === recipeId);
      if (!treatment || this.washOn(day, this.drafts)) continue;
      const main = draftOf(day, treatment, slot);
      const allowed = this.washDays(main, this.drafts).find((added) =>
        this.isAllowed([...this.drafts, ...added], added),
      );
      // What is never relaxed is not done because she put it there; that is said where her decisions are.
      if (allowed || !isNeverAllowed(this.problem, this.head, main))
        this.drafts = [...this.drafts, ...(allowed ?? [main])];
    }
  }

  /** A pre-poo or a follow-up that she put somewhere goes to the wash that is there, or brings the cheapest one that may be. */
  private placeDecidedCompanions(): void {
    for (const { what, slot, day, recipeId, overnight: forNight } of this.head.decisions) {
      if (what !== 'place' || (slot !== 'pre-poo' && slot !== 'follow-up')) continue;
      const treatment = this.head.treatments.find((known) => known.recipeId === recipeId);
      if (!treatment) continue;
      const isIt = (draft: PlanDraft) =>
        draft.day === day && draft.slot === slot && draft.recipeId === recipeId;
      const options = (slot === 'pre-poo' ? (forNight ? [true] : [false, true]) : [false]).flatMap(
        (overnight): PlanDraft[][] => {
          const companion = this.withPortion(draftOf(day, treatment, slot, overnight), this.drafts);
          const washDay = overnight ? addDays(day, 1) : day;
          if (this.washOn(washDay, this.drafts)) return [[companion]];
          return this.mains
            .filter(({ at }) => addDays(this.problem.from, at) === washDay)
            .flatMap((main) => this.washDays(draftOf(washDay, main.treatment, 'main'), this.drafts))
            .filter((wash) => wash.some((draft) => isIt(draft) && draft.overnight === overnight));
        },
      );
      const [best] = options
        .filter((added) => this.isAllowed([...this.drafts, ...added], added))
        .map((added) => ({ added, cost: this.costOf([...this.drafts, ...added]) }))
        .sort((a, b) => a.cost - b.cost);
      if (best && !this.drafts.some(isIt)) this.drafts = [...this.drafts, ...best.added];
    }
  }

  private costOf(drafts: readonly PlanDraft[], span = spanOf(this.problem.weeks)): number {
    return scoreOf(scoreParts(this.head, this.problem.from, drafts, span));
  }

  /**
   * What was agreed before stands where it still keeps every rule, as a whole or else wash by wash beside what she decided
   * since: what she saw last is what she sees first.
   */
  placeAgreed(): void {
    const { from, weeks } = this.problem;
    const agreed = this.head.agreed.flatMap(({ day, slot, recipeId, overnight }): PlanDraft[] => {
      const treatment = this.head.treatments.find((known) => known.recipeId === recipeId);
      const at = daysBetween(from, day);
      if (!treatment || at < 0 || at >= 7 * weeks) return [];
      const draft = draftOf(day, treatment, slot, overnight);
      if (this.head.decidedToday && washDayOf(draft) === from) return [];
      // A trial that runs has washes of its own, put in as its order wants.
      return this.head.trial && washDayOf(draft) <= this.head.trial.endsBy ? [] : [draft];
    });
    if (agreed.length === 0) return;
    const fromShelf = agreed.reduce<PlanDraft[]>(
      (kept, draft) => [...kept, this.withPortion(draft, kept)],
      [],
    );
    if (this.drafts.length === 0 && this.isAllowed(fromShelf, fromShelf)) {
      this.drafts = fromShelf;
      this.agreedWeeks = Math.ceil((1 + Math.max(...fromShelf.map(({ day }) => daysBetween(from, day)))) / 7);
      return;
    }
    for (const main of fromShelf.filter(({ slot }) => slot === 'main')) {
      const wash = fromShelf.filter((draft) => washDayOf(draft) === main.day);
      const drafts = [...this.drafts, ...wash];
      if (!this.washOn(main.day, this.drafts) && this.isAllowed(drafts, wash)) this.drafts = drafts;
    }
  }

  fillWeek(week: number): void {
    if (week < this.agreedWeeks) return;
    const span = { start: 7 * week, end: 7 * week + 7 };
    const inWeek = this.mains.filter(({ at }) => at >= span.start && at < span.end);
    const cost = (drafts: readonly PlanDraft[]) => this.costOf(drafts, span);
    let current = cost(this.drafts);
    for (let step = 0; step < MOST_STEPS; step++) {
      let best: { drafts: PlanDraft[]; cost: number } | undefined;
      for (const option of inWeek.filter(({ round, at }) => this.mayBegin(round, at))) {
        const day = addDays(this.problem.from, option.at);
        const without = this.drafts.filter((draft) => !this.inReach(draft, day));
        for (const kept of without.length === this.drafts.length ? [this.drafts] : [this.drafts, without]) {
          for (const added of this.washDays(draftOf(day, option.treatment, 'main'), kept)) {
            const drafts = [...kept, ...added];
            const price = cost(drafts);
            // A hair's breadth is no reason to prefer the later choice: the order of trying decides ties. The rules are asked last, because
            // asking them takes longest.
            if (price >= (best?.cost ?? current) - 1e-9 || !this.isAllowed(drafts, added)) continue;
            best = { drafts, cost: price };
            break;
          }
        }
      }
      if (!best) return;
      this.drafts = best.drafts;
      current = best.cost;
    }
  }

  /** Of a trial's washes, the next one only, and none of another recipe before they are done. */
  private mayBegin(round: number | null, at: number): boolean {
    const { trial } = this.head;
    if (!trial) return true;
    const done = this.drafts.filter(({ slot }) => slot === 'main').length;
    const endsAt = daysBetween(this.problem.from, trial.endsBy);
    return round === null ? at > endsAt : round === done;
  }

  /** What another head has taken from the shelf is not there any more. */
  private withPortion(draft: PlanDraft, kept: readonly PlanDraft[]): PlanDraft {
    return withPortion(draft, [...kept, ...this.others.flat()]);
  }

  private washOn(day: CalendarDay, drafts: readonly PlanDraft[]): boolean {
    return drafts.some((draft) => draft.slot === 'main' && draft.day === day);
  }

  /** What belongs to a wash too near to `day`, unless she decided on it. */
  private inReach(draft: PlanDraft, near: CalendarDay): boolean {
    return (
      !placedBy(this.head.decisions, draft) &&
      !isDecidedToday(this.head, draft) &&
      Math.abs(daysBetween(washDayOf(draft), near)) <= LOOK_BEYOND_DAYS
    );
  }

  /** A main treatment with what may belong to it, the fullest wash day first. */
  private washDays(main: PlanDraft, kept: readonly PlanDraft[]): PlanDraft[][] {
    if (this.washOn(main.day, kept)) return [];
    const fromShelf = this.withPortion(main, kept);
    const mustBeFollowed = needsMoisture(this.head, main.treatment);
    return [...this.companions(fromShelf, kept), []]
      .filter((companions) => !mustBeFollowed || companions.some(({ slot }) => slot === 'follow-up'))
      .map((companions) => [fromShelf, ...companions]);
  }

  private companions(main: PlanDraft, kept: readonly PlanDraft[]): PlanDraft[][] {
    const { day, treatment, recipeId } = main;
    const followUps = needsMoisture(this.head, treatment)
      ? followUpsOf(this.head).map((moisture) => draftOf(day, moisture, 'follow-up'))
      : [];
    const oils =
      recipeId === PLAIN_WASH_ID
        ? []
        : prePoosOf(this.head).flatMap((oil) => [
            this.withPortion(draftOf(addDays(day, -1), oil, 'pre-poo', true), kept),
            this.withPortion(draftOf(day, oil, 'pre-poo'), kept),
          ]);
    if (followUps.length === 0) return oils.map((oil) => [oil]);
    return followUps.flatMap((followUp) => [...oils.map((oil) => [oil, followUp]), [followUp]]);
  }

  private isAllowed(drafts: readonly PlanDraft[], added: readonly PlanDraft[]): boolean {
    const { problem, head } = this;
    if (added.some((draft) => isAvoided(head.decisions, draft))) return false;
    const onDay = (all: readonly PlanDraft[], day: CalendarDay) => all.filter((draft) => draft.day === day);
    for (const day of new Set(added.map((draft) => draft.day))) {
      const own = timedMinutes(head, onDay(drafts, day));
      const all = problem.heads.map((other, index) =>
        other === head ? own : timedMinutes(other, onDay(this.others[index] ?? [], day)),
      );
      if (own.all > freeMinutesOn(head, day) || handsMinutes(all) > sharedMinutesOn(problem, day))
        return false;
    }
    // A new treatment can break a rule for one that stands after it, too.
    const [first] = added;
    const near = drafts.filter(({ day }) => Math.abs(daysBetween(day, first?.day ?? day)) <= REACH_DAYS);
    const broken = brokenRules(problem, head, near);
    if (broken.size === 0) return true;
    // A rule that was broken before, by what she decided, is no reason to leave every other day empty.
    const before = brokenRules(
      problem,
      head,
      near.filter((draft) => !added.includes(draft)),
    );
    return [...broken].every((rule) => before.has(rule));
  }
}
