import { addDays, countingIds, daysBetween, invariant, type CalendarDay } from '../../base/measures';
import type { HeadHistory } from '../../hair/history';
import type { PlanDraft } from '../../plan/planning';
import { makeLarder } from '../../recipe/larder';
import { NOTHING_MEASURED, type HeadEvent, type Reading, type Session } from '../../records/shapes';
import { STAMP, testHistory } from '../testing';
import { START, type SeededHead } from './seededHead';
/** What is done on one day. */
export type Use = Pick<PlanDraft, 'day' | 'slot' | 'recipeId' | 'overnight'>;

/** A head's life as it is written down, and the truth beside it. */
export class Life {
  readonly readings: Reading[] = [];
  readonly sessions: Session[] = [];
  readonly events: HeadEvent[] = [];
  private readonly newId = countingIds('life');
  private lastDetangle: CalendarDay = addDays(START, -3);

  constructor(readonly seeded: SeededHead) {
    // All of it has been on this head, long ago: no patch tests, and nothing told of its effects.
    for (const { recipeId } of seeded.recipes) this.write(recipeId, addDays(START, -300));
  }

  history(): HeadHistory {
    const { recipes } = this.seeded;
    return testHistory({
      recipes,
      larder: makeLarder({ recipes }),
      readings: this.readings,
      sessions: this.sessions,
      events: this.events,
    });
  }

  /** Five strands and a stroke over the hair; where it is washed, the pieces in the comb too. */
  read(day: CalendarDay, moment: Reading['moment'], detangles: boolean): void {
    const measured = this.seeded.virtual.read(5, detangles ? daysBetween(this.lastDetangle, day) : null);
    if (detangles) this.lastDetangle = day;
    this.readings.push({
      ...STAMP,
      ...NOTHING_MEASURED,
      ...measured,
      porosity: detangles ? measured.porosity : null,
      kind: 'reading',
      id: this.newId(),
      headId: this.seeded.head.headId,
      day,
      moment,
    });
  }

  use({ recipeId, day }: Use): void {
    const { virtual, recipes, verdicts } = this.seeded;
    const recipe = recipes.find((known) => known.recipeId === recipeId);
    const verdict = verdicts.get(recipeId);
    if (!recipe || !verdict) return;
    virtual.treat(recipeId, verdict.push, recipe.contactMinutes, recipe.warmth);
    this.write(recipeId, day);
  }

  washedOn(day: CalendarDay): boolean {
    return this.sessions.some((session) => session.day === day);
  }

  /** Heat comes as it comes, once in two weeks on the average. */
  passDay(day: CalendarDay): void {
    const { virtual, random, head } = this.seeded;
    virtual.passDay();
    if (random() > 1 / 14) return;
    virtual.suffer('heat');
    this.events.push({
      ...STAMP,
      kind: 'event',
      id: this.newId(),
      headId: head.headId,
      day,
      what: 'heat',
      note: '',
    });
  }

  private write(recipeId: string, day: CalendarDay): void {
    const recipe = this.seeded.recipes.find((known) => known.recipeId === recipeId);
    invariant(recipe, `no recipe ${recipeId}`);
    this.sessions.push({
      ...STAMP,
      kind: 'session',
      id: this.newId(),
      headId: this.seeded.head.headId,
      day,
      recipeId,
      recipeVersion: 1,
      contactMinutes: recipe.contactMinutes,
      warmth: recipe.warmth,
      grams: null,
      note: '',
    });
  }
}
