import fc from 'fast-check';
import { addDays, calendarDay, invariant } from '../../base/measures';
import { STAMP, testBatch, testRecipe, weighedOf } from '../../lab/testing';
import { makeLarder } from '../../recipe/larder';
import { batchSchema, PLACES, type Batch, type BatchEvent } from '../../records/shapes';
import { keepingOf } from './keeping';
import { jarLabel } from './label';
import { movingForbidden, shelfOf } from './shelf';

const MONDAY = calendarDay('2026-03-02');
const GEL = ['3 tbsp linseed, boiled, strained', '300 ml water'];

describe('how long a mixture keeps', () => {
  it.each([
    ['egg', ['1 egg', '2 tbsp olive oil'], [0, 0, 30]],
    ['a seed gel', GEL, [0, 4, 90]],
    ['fresh fruit', ['1 banana', '1 tbsp honey'], [0, 2, 60]],
    ['oil without water', ['3 tbsp coconut oil', '1 tbsp castor oil'], [120, 180, 360]],
    ['a preserved cream', ['100 g plain conditioner', '5 g glycerin'], [90, 90, 180]],
    ['fruit in a preserved cream', ['100 g plain conditioner', '50 g banana'], [0, 2, 60]],
    ['glycerin and water', ['10 g glycerin', '90 ml water'], [1, 6, 90]],
  ])('%s', (_, lines, days) => {
    expect(PLACES.map((place) => keepingOf(weighedOf(lines), place).days)).toEqual(days);
  });

  it('names the part that spoils first', () => {
    expect(keepingOf(weighedOf(['100 g plain conditioner', '1 egg yolk']), 'fridge').limitedBy).toBe(
      'egg yolk',
    );
  });

  it('never gets longer by adding something, as long as nothing is preserved', () => {
    const anything = fc.constantFrom(
      '1 banana',
      '1 egg',
      '50 ml water',
      '2 tbsp honey',
      '3 tbsp olive oil',
      ...GEL,
    );
    fc.assert(
      fc.property(fc.array(anything, { minLength: 1, maxLength: 4 }), anything, (lines, more) => {
        for (const place of PLACES) {
          const before = keepingOf(weighedOf(['50 ml water', ...lines]), place).days;
          expect(keepingOf(weighedOf(['50 ml water', ...lines, more]), place).days).toBeLessThanOrEqual(
            before,
          );
        }
      }),
    );
  });
});

const recipe = testRecipe('gel', GEL);
const larder = makeLarder({ recipes: [recipe] });

const batch = (changes: Partial<Batch> = {}) =>
  testBatch('gel', MONDAY, { batchId: 'b1', weighed: [30, 300], portionGrams: 100, ...changes });

let events = 0;
const event = (day: number, what: BatchEvent['what'], changes: Partial<BatchEvent> = {}): BatchEvent => ({
  ...STAMP,
  kind: 'batch-event',
  id: `e${++events}`,
  batchId: 'b1',
  day: addDays(MONDAY, day),
  what,
  portions: null,
  place: null,
  headId: null,
  reason: '',
  ...changes,
});

const onDay = (day: number, list: readonly BatchEvent[] = [], changes: Partial<Batch> = {}) => {
  const [item] = shelfOf([batch(changes)], list, larder, addDays(MONDAY, day));
  invariant(item, 'the batch is on the shelf');
  return item;
};

describe('a batch on the shelf', () => {
  it('is good, then to be used first, then past its day', () => {
    expect([0, 1, 2, 4, 5].map((day) => onDay(day).state)).toEqual([
      'good',
      'good',
      'use-first',
      'use-first',
      'past',
    ]);
    expect(onDay(0).useBy).toBe(addDays(MONDAY, 4));
  });

  it('goes down by halves and is gone when nothing is left', () => {
    const half = event(1, 'used', { portions: 0.5, headId: 'ada' });
    expect(onDay(1, [half]).left).toBe(2.5);
    expect(
      onDay(1, [half, event(1, 'used', { portions: 2 }), event(1, 'used', { portions: 2 })]),
    ).toMatchObject({
      left: 0,
      state: 'gone',
    });
    expect(onDay(1, [event(1, 'discarded', { reason: 'smell' })]).state).toBe('gone');
  });

  it('keeps longer frozen, and one day once it is thawed', () => {
    const frozen = event(1, 'moved', { place: 'freezer' });
    expect(onDay(2, [frozen])).toMatchObject({ place: 'freezer', useBy: addDays(MONDAY, 91), thawed: false });
    const thawed = onDay(41, [frozen, event(40, 'moved', { place: 'fridge' })]);
    expect(thawed).toMatchObject({ thawed: true, useBy: addDays(MONDAY, 41), state: 'use-first' });
    expect(movingForbidden(thawed, 'freezer')).toContain('never freeze it again');
    expect(movingForbidden(thawed, 'room')).toBeUndefined();
  });

  it('is to be used first in its last weeks when it is the last that is frozen', () => {
    const frozen = event(0, 'moved', { place: 'freezer' });
    const left = (portions: number) => event(1, 'used', { portions: 3 - portions });
    expect([20, 69, 80].map((day) => onDay(day, [frozen, left(1)]).state)).toEqual([
      'good',
      'use-first',
      'use-first',
    ]);
    expect(onDay(69, [frozen, left(2)]).state).toBe('good');
  });

  it('is not saved by freezing it after its day', () => {
    expect(movingForbidden(onDay(9), 'freezer')).toContain('past its day');
    expect(movingForbidden(onDay(1), 'freezer')).toBeUndefined();
  });

  it('does not win days by going from the room to the fridge', () => {
    const moved = onDay(1, [event(0, 'moved', { place: 'fridge' })], { place: 'room' });
    expect(moved.useBy <= addDays(MONDAY, 4)).toBe(true);
  });

  it('takes events in the order of their days, however they were written', () => {
    const written = [event(40, 'moved', { place: 'fridge' }), event(1, 'moved', { place: 'freezer' })];
    expect(onDay(40, written).place).toBe('fridge');
  });

  it('the most pressing comes first, what is gone last', () => {
    const batches = [
      batch({ batchId: 'fresh', madeOn: addDays(MONDAY, 9) }),
      batch({ batchId: 'old', madeOn: MONDAY }),
      batch({ batchId: 'empty', madeOn: addDays(MONDAY, 9) }),
      batch({ batchId: 'soon', madeOn: addDays(MONDAY, 7) }),
    ];
    const used = event(9, 'used', { batchId: 'empty', portions: 3 });
    expect(
      shelfOf(batches, [used], larder, addDays(MONDAY, 9)).map(({ batch: each }) => each.batchId),
    ).toEqual(['old', 'soon', 'fresh', 'empty']);
  });

  it('stays on the shelf when its recipe is no longer there', () => {
    const [item] = shelfOf([batch({ recipeId: 'lost' })], [], larder, MONDAY);
    expect(item?.name).toContain('no longer here');
  });

  it('is counted in halves only', () => {
    expect(batchSchema.safeParse(batch({ portions: 1.5 })).success).toBe(true);
    expect(batchSchema.safeParse(batch({ portions: 1.3 })).success).toBe(false);
    expect(batchSchema.safeParse(batch({ portions: 0 })).success).toBe(false);
  });
});

describe('the label of a jar', () => {
  const label = jarLabel(onDay(0), weighedOf(['2 eggs', '3 tbsp almond oil', '1 tbsp honey']));

  it('says what, when, until when, where, and that it is not food', () => {
    expect(label.notFood).toContain('NOT FOOD');
    expect(label.made).toContain('2 Mar 2026');
    expect(label.useBy).toContain('6 Mar 2026');
    expect(label.keep).toContain('fridge');
  });

  it('names what is in it by weight, and what somebody could react to', () => {
    expect(label.contains.startsWith('egg')).toBe(true);
    expect(label.allergens).toContain('egg');
    expect(label.allergens).toContain('tree nut');
    expect(jarLabel(onDay(0), weighedOf(['200 ml water'])).allergens).toBeNull();
  });
});

describe('why it keeps no longer, and how that shows', () => {
  const kept = (...lines: string[]) => keepingOf(weighedOf(lines), 'fridge');

  it.each([
    ['gelatin, with no word of plants', ['10 g gelatin', '100 ml water'], /Gelatin/, /plant/i],
    ['egg', ['1 egg', '2 tbsp honey'], /salmonella/, /dairy/i],
    ['dairy', ['3 tbsp yogurt', '2 tbsp honey'], /dairy/i, /egg/i],
    ['coconut milk', ['1 cup coconut milk', '1 tsp honey'], /Plant milk/, /egg/i],
    ['herbs in oil', ['2 tbsp dried rosemary', '200 ml olive oil'], /trace of water/, /cooked/i],
    ['fresh plants in oil', ['20 g fresh ginger', '500 ml olive oil'], /no smell/, /cooked/i],
  ])('%s', (_, lines, why, never) => {
    expect(kept(...lines).why).toMatch(why);
    expect(kept(...lines).why).not.toMatch(never);
  });

  it('does not take browning for spoilage, and egg by no sign at all', () => {
    expect(kept('1 banana', '1 tbsp honey').signs).toMatch(/Browning is only air/);
    expect(kept('1 egg').signs).toMatch(/go by the day/);
  });

  it('cooked fruit keeps as what is cooked', () => {
    expect(kept('1 banana, cooked').days).toBeGreaterThan(kept('1 banana').days);
  });

  it('oil on water is shaken first, unless something holds them together', () => {
    expect(kept('100 ml rose water', '1 tbsp argan oil').separates).toBe(true);
    expect(kept('100 ml rose water', '1 tbsp argan oil', '3 tbsp plain conditioner').separates).toBe(false);
    expect(kept('2 tbsp olive oil').separates).toBe(false);
  });
});
