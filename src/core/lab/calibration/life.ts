import { addDays, countingIds, daysBetween, invariant, type CalendarDay } from '../../base/measures';
import type { HeadHistory } from '../../hair/history';
import type { Warmth } from '../../recipe/classification';
import { makeLarder } from '../../recipe/larder';
import { NOTHING_MEASURED, type HeadEvent, type Reading, type Session } from '../../records/shapes';
import { STAMP, testHistory } from '../testing';
import { START, type SeededHead } from './seededHead';

/** What is done on one day. */
export interface Use {
  readonly day: CalendarDay;
  readonly recipeId: string;
  readonly minutes: number;
  readonly warmth: Warmth;
  /** Share of what is usual for this head. */
  readonly amount: number;
}

/** What is looked at in one reading; with strands in hand the hair is felt, too. */
export interface Look {
  readonly strands: number;
  /** The pieces in the comb, and a mist: where it is washed. */
  readonly detangles: boolean;
}

/** A head's life as it is written down, and the truth beside it. */
export class Life {
  readonly readings: Reading[] = [];
  readonly sessions: Session[] = [];
  readonly events: HeadEvent[] = [];
  private readonly newId = countingIds('life');
  private lastDetangle: CalendarDay = addDays(START, -3);

  constructor(readonly seeded: SeededHead) {
    // All of it has been on this head, long ago: no patch tests, and nothing told of its effects.
    for (const { recipeId, contactMinutes, warmth } of seeded.recipes)
      this.write({ day: addDays(START, -300), recipeId, minutes: contactMinutes, warmth, amount: 1 });
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

  /** Looks at the hair through raw lengths, counts and seconds, and writes it down unless it is forgotten. */
  read(day: CalendarDay, moment: Reading['moment'], { strands, detangles }: Look): void {
    const { virtual, head, world, random } = this.seeded;
    const measured = virtual.read(strands, detangles ? daysBetween(this.lastDetangle, day) : null);
    if (random() < world.forgotten) return;
    if (detangles) this.lastDetangle = day;
    this.readings.push({
      ...STAMP,
      ...NOTHING_MEASURED,
      ...measured,
      feel: strands > 0 ? measured.feel : null,
      porosity: detangles ? measured.porosity : null,
      kind: 'reading',
      id: this.newId(),
      headId: head.headId,
      day,
      moment,
    });
  }

  use(use: Use): void {
    const { virtual, recipes, verdicts } = this.seeded;
    const verdict = verdicts.get(use.recipeId);
    if (!recipes.some(({ recipeId }) => recipeId === use.recipeId) || !verdict) return;
    virtual.treat(use.recipeId, verdict.push, use.minutes, use.warmth, use.amount);
    this.write(use);
  }

  /** Heat comes as it comes, once in two weeks on the average. */
  suffersHeat(day: CalendarDay): void {
    const { virtual, random, head } = this.seeded;
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

  private write({ day, recipeId, minutes, warmth, amount }: Use): void {
    const { recipes, head } = this.seeded;
    invariant(
      recipes.some((known) => known.recipeId === recipeId),
      `no recipe ${recipeId}`,
    );
    this.sessions.push({
      ...STAMP,
      kind: 'session',
      id: this.newId(),
      headId: head.headId,
      day,
      recipeId,
      recipeVersion: 1,
      contactMinutes: minutes,
      warmth,
      grams: null,
      ...(amount === 1 ? {} : { amount }),
      note: '',
    });
  }
}
