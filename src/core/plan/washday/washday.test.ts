import fc from 'fast-check';
import { calendarDay, sum } from '../../base/measures';
import type { WashRun } from '../../hair/history';
import { testHead, testRecipe, verdictOf, weighedOf } from '../../lab/testing';
import { doseOf } from '../../recipe/classification';
import { POROSITIES, washStepSchema } from '../../records/shapes';
import { minutesWithoutHeat, USUAL_CHOICES } from '../agenda';
import { inMinutes, insteadOfMain, plannedMinutes, stepsAhead, withoutHeat } from './changes';
import { usualSections, washScript } from './script';
import { traitsOf } from './traits';
import type { DayUse, WashPlan } from './washPlan';
import { runState, withEvent } from '.';

function dayUse(lines: readonly string[], changes: Partial<DayUse> = {}): DayUse {
  const version = testRecipe('r', lines, { name: lines[0] ?? 'nothing' });
  return {
    version,
    lines: weighedOf(lines),
    verdict: verdictOf(lines),
    minutes: version.contactMinutes,
    withHeat: false,
    fromShelf: false,
    ...changes,
  };
}

const GELATIN = dayUse(['12 g gelatin, dissolved', '150 ml water', '1 tbsp plain conditioner']);
const SILK = dayUse(['200 ml rice water', '1 tbsp hydrolysed silk']);
const EGG = dayUse(['1 egg, whole', '100 ml coconut milk']);
const BALM = dayUse(['100 g plain conditioner', '1 tbsp glycerin']);
const OIL = dayUse(['3 tbsp sesame oil']);
const POWDER = dayUse(['3 tbsp amla', '150 ml water', '100 g plain conditioner']);
const SOUR = dayUse(['2 tbsp cider vinegar', '200 ml water']);

const day = (changes: Partial<WashPlan> = {}): WashPlan => ({
  head: testHead(),
  choices: USUAL_CHOICES,
  washMinutes: 60,
  prePoo: null,
  oiledOvernight: false,
  main: BALM,
  sides: null,
  followUp: null,
  sections: 4,
  drying: 'air',
  ...changes,
});
const ids = (plan: WashPlan) => washScript(plan).map(({ id }) => id);
const stepOf = (plan: WashPlan, id: string) => washScript(plan).find((step) => step.id === id);

describe('a trial of two sides', () => {
  const OTHER: DayUse = { ...BALM, version: { ...BALM.version, recipeId: 'other' } };
  const both = day({ main: SILK, sides: { left: OTHER, right: SILK } });

  it('parts the hair and puts each on its half, one after the other', () => {
    expect(ids(both)).toEqual(expect.arrayContaining(['section', 'other-apply', 'main-apply', 'cover']));
    expect(ids(both).indexOf('other-apply')).toBe(ids(both).indexOf('main-apply') - 1);
    expect(stepOf(both, 'section')?.title).toBe('Part it in the middle');
    expect(stepOf(both, 'other-apply')?.title).toMatch(/^Left side: /);
    expect(stepOf(both, 'main-apply')?.title).toMatch(/^Right side: /);
  });

  it('waits once, as long as the longer of the two, and rinses one half after the other', () => {
    const long = { ...OTHER, minutes: 50 };
    const wait = stepOf(day({ main: SILK, sides: { left: long, right: SILK } }), 'main-wait');
    expect(wait).toMatchObject({ title: 'Both sides work', minutes: 50 });
    expect(stepOf(both, 'main-rinse')?.how).toMatch(/^One half after the other/);
  });

  it('leaves a half alone where nothing goes on it, and ends with another treatment', () => {
    const half = day({ main: SILK, sides: { left: SILK, right: null } });
    expect(stepOf(half, 'other-apply')).toMatchObject({ title: 'Right side: nothing', recipeId: null });
    expect(ids(insteadOfMain(both, BALM).plan)).not.toContain('other-apply');
  });

  it('takes no longer with the hands than a treatment on all of it', () => {
    const handsOf = (plan: WashPlan) =>
      sum(washScript(plan).flatMap(({ waits, minutes }) => (waits ? [] : [minutes])));
    expect(handsOf(both)).toBeLessThanOrEqual(handsOf(day({ main: SILK })) + 1);
  });
});

describe('what a mixture asks for on the day', () => {
  it.each([
    ['gelatin sets', GELATIN, { hardens: true, egg: false }],
    ['silk does not', SILK, { hardens: false, gritty: false }],
    ['egg cooks', EGG, { egg: true }],
    ['powder stays in', POWDER, { gritty: true }],
    ['oil wants shampoo', OIL, { oily: true }],
    ['vinegar is sour', SOUR, { sour: true }],
    [
      'conditioner asks for nothing',
      BALM,
      { hardens: false, egg: false, gritty: false, oily: false, sour: false },
    ],
  ] as const)('%s', (_, { lines, verdict }, traits) => {
    expect(traitsOf(lines, verdict)).toMatchObject(traits);
  });
});

describe('the steps of a wash day', () => {
  it('go from laying out to looking again', () => {
    expect(ids(day())).toEqual([
      'gather',
      'detangle',
      'cleanse',
      'blot',
      'section',
      'main-apply',
      'cover',
      'main-wait',
      'main-rinse',
      'feel',
      'softener',
      'seal',
      'style',
      'look-again',
    ]);
  });

  it('without a treatment are the wash alone', () => {
    expect(ids(day({ main: null }))).toEqual(['gather', 'detangle', 'cleanse', 'seal', 'style']);
  });

  it('oil first, and two shampoos after it', () => {
    expect(ids(day({ prePoo: OIL })).slice(0, 4)).toEqual([
      'gather',
      'pre-poo-apply',
      'pre-poo-wait',
      'detangle',
    ]);
    expect(stepOf(day({ prePoo: OIL }), 'cleanse')?.title).toContain('twice');
    expect(stepOf(day({ oiledOvernight: true }), 'cleanse')?.title).toContain('twice');
    expect(stepOf(day(), 'cleanse')?.title).toContain('once');
  });

  it('curls are combed slippery, never bare and dry; with the oil on in any case', () => {
    const how = (curl: 'straight' | 'coily', prePoo: DayUse | null = null) =>
      stepOf(day({ head: testHead({ curl }), prePoo }), 'detangle')?.how;
    expect(how('straight')).toContain('Dry, with a little oil');
    expect(how('coily')).toContain('slippery with conditioner, fingers before the comb');
    expect(how('coily', OIL)).toContain('With the oil on');
    expect(usualSections(testHead({ curl: 'coily', density: 'medium', lengthCm: 20 }))).toBe(6);
  });

  it('the hands’ part is what a wash of this head takes, the waiting is the recipe’s', () => {
    for (const washMinutes of [30, 60, 120]) {
      const steps = washScript(day({ washMinutes }));
      const hands = steps.filter(
        ({ waits, phase, onlyIfFirm }) => !waits && phase !== 'gather' && phase !== 'feel' && !onlyIfFirm,
      );
      // Conditioner before the mask is not in it.
      expect(plannedMinutes(hands)).toBeGreaterThan(0.85 * washMinutes);
      expect(plannedMinutes(hands)).toBeLessThan(1.1 * washMinutes);
      expect(steps.filter(({ waits }) => waits).map(({ minutes }) => minutes)).toEqual([30]);
    }
  });

  it('gelatin: nothing is bent once it sets, and it is softened before it is rinsed', () => {
    const plan = day({ main: GELATIN, followUp: BALM });
    expect(stepOf(plan, 'cover')?.how).toContain('nothing is combed');
    expect(ids(plan).indexOf('main-soften')).toBe(ids(plan).indexOf('main-rinse') - 1);
    expect(stepOf(plan, 'main-wait')?.late).toMatchObject({ afterMinutes: 10 });
  });

  it('egg is rinsed cool, whatever the school of the last water', () => {
    const choices = { ...USUAL_CHOICES, finish: 'warm-then-cold' as const, rinse: 'mild-shampoo' as const };
    const rinse = stepOf(day({ main: EGG, choices }), 'main-rinse');
    expect(rinse?.title).toBe('Rinse cool');
    expect(rinse?.how).toContain('Cool water only');
    expect(rinse?.caution).toContain('Rinse cool');
  });

  it('powder comes out with conditioner and a second rinse, and never goes on the scalp', () => {
    const plan = day({ main: POWDER, choices: { ...USUAL_CHOICES, zones: 'scalp-too' } });
    expect(ids(plan)).toContain('main-rinse-again');
    expect(stepOf(plan, 'main-apply')?.how).toContain('not on the scalp');
    expect(stepOf(plan, 'main-rinse')?.how).toContain('conditioner');
  });

  it.each([
    ['lengths', 'Lengths and ends'],
    ['ends-first', 'The ends first'],
    ['scalp-too', 'Scalp, lengths and ends'],
  ] as const)('the school of zones “%s”', (zones, said) => {
    expect(stepOf(day({ choices: { ...USUAL_CHOICES, zones } }), 'main-apply')?.how).toContain(said);
  });

  it('protein and oil stay off the scalp in every school', () => {
    for (const main of [SILK, OIL, EGG])
      expect(
        stepOf(day({ main, choices: { ...USUAL_CHOICES, zones: 'scalp-too' } }), 'main-apply')?.how,
      ).not.toContain('Scalp,');
  });

  it('the mask before the shampoo goes on dry hair and is washed out with it', () => {
    const choices = { ...USUAL_CHOICES, maskOrder: 'before-shampoo' as const };
    const order = ids(day({ choices }));
    expect(order.indexOf('main-wait')).toBeLessThan(order.indexOf('cleanse'));
    expect(order).not.toContain('blot');
  });

  it('conditioner before the mask where her school says so', () => {
    const order = ids(day({ choices: { ...USUAL_CHOICES, conditioner: 'before-mask' } }));
    expect(order.slice(2, 5)).toEqual(['cleanse', 'condition', 'blot']);
  });

  it('moisture after a strong protein always, after a light one as her school says, after anything else where it feels firm', () => {
    const followed = (main: DayUse, afterProtein: 'if-firm' | 'always' = 'if-firm') =>
      washScript(day({ main, followUp: BALM, choices: { ...USUAL_CHOICES, afterProtein } }))
        .filter(({ slot }) => slot === 'follow-up')
        .map(({ onlyIfFirm }) => onlyIfFirm);
    expect(new Set(followed(GELATIN))).toEqual(new Set([false]));
    expect(new Set(followed(SILK))).toEqual(new Set([true]));
    expect(new Set(followed(SILK, 'always'))).toEqual(new Set([false]));
    expect(new Set(followed(BALM))).toEqual(new Set([true]));
  });

  it('where no mask can follow it is plain conditioner, after a strong protein always', () => {
    expect(stepOf(day({ main: GELATIN }), 'softener')?.onlyIfFirm).toBe(false);
    expect(stepOf(day({ main: SILK }), 'softener')?.onlyIfFirm).toBe(true);
    expect(stepOf(day({ main: null }), 'softener')).toBeUndefined();
  });

  it('a dryer comes after a heat protectant, and never without one', () => {
    const order = ids(day({ drying: 'blow-dry' }));
    expect(order.indexOf('heat-protectant')).toBe(order.indexOf('blow-dry') - 1);
    expect(order).not.toContain('style');
    expect(ids(day())).not.toContain('blow-dry');
  });

  it('a pre-poo goes on before a mask that goes before the shampoo', () => {
    const order = ids(day({ prePoo: OIL, choices: { ...USUAL_CHOICES, maskOrder: 'before-shampoo' } }));
    expect(order.indexOf('pre-poo-apply')).toBeLessThan(order.indexOf('main-apply'));
    expect(order.indexOf('main-apply')).toBeLessThan(order.indexOf('cleanse'));
  });

  it('a child’s cap, heat on the wrist, and what this head reacts to are said where they matter', () => {
    const child = day({ head: testHead({ ageBand: 'child' }), main: { ...BALM, withHeat: true } });
    expect(stepOf(child, 'cover')?.caution).toContain('wrist');
    expect(stepOf(child, 'cover')?.caution).toContain('child that sleeps');
    expect(stepOf(day(), 'cover')?.caution).toBeNull();
  });

  it.each([
    ['thin', 20, 2],
    ['medium', 20, 4],
    ['thick', 30, 6],
    ['thick', 60, 8],
    ['thin', 60, 4],
  ] as const)('%s hair of %d cm is parted into %d', (density, lengthCm, sections) => {
    expect(usualSections(testHead({ density, lengthCm }))).toBe(sections);
  });
});

const anyUse = fc.constantFrom(GELATIN, SILK, EGG, BALM, POWDER, SOUR);
const anyDay = fc
  .record({
    main: fc.option(anyUse, { nil: null }),
    prePoo: fc.option(fc.constant(OIL), { nil: null }),
    followUp: fc.option(fc.constant(BALM), { nil: null }),
    withHeat: fc.boolean(),
    maskOrder: fc.constantFrom('after-shampoo' as const, 'before-shampoo' as const),
    conditioner: fc.constantFrom('after-only' as const, 'before-mask' as const),
    afterProtein: fc.constantFrom('if-firm' as const, 'always' as const),
    washMinutes: fc.integer({ min: 15, max: 240 }),
    sections: fc.constantFrom(2, 4, 6, 8),
    ageBand: fc.constantFrom('child' as const, 'adult' as const),
  })
  .map(({ main, withHeat, maskOrder, conditioner, afterProtein, ageBand, ...rest }) =>
    day({
      ...rest,
      main: main && { ...main, withHeat },
      head: testHead({ ageBand }),
      choices: { ...USUAL_CHOICES, maskOrder, conditioner, afterProtein },
    }),
  );

describe('whatever the day', () => {
  it('every step is one that can be stored, with an id of its own', () => {
    fc.assert(
      fc.property(anyDay, (plan) => {
        const steps = washScript(plan);
        expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
        for (const step of steps) expect(washStepSchema.safeParse(step).success).toBe(true);
      }),
    );
  });

  it('what is put on is rinsed out, after it has had its time', () => {
    fc.assert(
      fc.property(anyDay, (plan) => {
        const order = ids(plan);
        for (const slot of ['main', 'follow-up']) {
          if (!order.includes(`${slot}-apply`)) continue;
          expect(order.indexOf(`${slot}-apply`)).toBeLessThan(order.indexOf(`${slot}-wait`));
          expect(order.indexOf(`${slot}-wait`)).toBeLessThan(order.indexOf(`${slot}-rinse`));
        }
      }),
    );
  });

  it('in fewer minutes it takes no more than before, says what was given up, and fits where it says so', () => {
    fc.assert(
      fc.property(anyDay, fc.integer({ min: 10, max: 240 }), (plan, minutes) => {
        const { plan: shorter, said, fits } = inMinutes(plan, minutes);
        const takes = plannedMinutes(washScript(shorter));
        expect(takes).toBeLessThanOrEqual(plannedMinutes(washScript(plan)));
        expect(fits).toBe(takes <= minutes);
        expect(said.length).toBeGreaterThan(20);
        expect(said.length).toBeLessThanOrEqual(500);
      }),
    );
  });

  it('changed in the middle, what is done is not asked for again', () => {
    fc.assert(
      fc.property(anyDay, fc.integer({ min: 1, max: 8 }), (plan, taps) => {
        const at = '2026-03-02T18:00:00.000Z';
        let run: WashRun = {
          id: 'run',
          headId: 'h',
          day: calendarDay('2026-03-02'),
          startedAt: at,
          treatments: [],
          sections: plan.sections,
          washMinutes: plan.washMinutes,
          oiledOvernight: plan.oiledOvernight,
          steps: washScript(plan),
          events: [],
        };
        for (let tap = 0; tap < taps; tap++) {
          const { current } = runState(run, at);
          if (current) run = withEvent(run, { what: 'done', step: current.step.id, at });
        }
        const finished = new Set(
          runState(run, at)
            .steps.filter(({ outcome }) => outcome === 'done')
            .map(({ step }) => step.id),
        );
        const { plan: other, said } = withoutHeat(plan);
        const changed = withEvent(run, {
          what: 'changed',
          said,
          treatments: [],
          steps: stepsAhead(other, finished),
          at,
        });
        const steps = runState(changed, at).steps.map(({ step }) => step.id);
        expect(new Set(steps).size).toBe(steps.length);
        expect(steps).toHaveLength(washScript(other).length);
      }),
    );
  });
});

describe('changes on the way', () => {
  it('without heat it stays on for longer, as long as does the same', () => {
    for (const porosity of POROSITIES)
      for (const minutes of [10, 15, 20, 30, 45]) {
        const longer = minutesWithoutHeat(minutes, porosity);
        expect(longer).toBeGreaterThanOrEqual(minutes);
        expect(longer % 5).toBe(0);
        if (longer < 120)
          expect(doseOf(longer, 'room', porosity)).toBeGreaterThanOrEqual(doseOf(minutes, 'warm', porosity));
      }
    const plan = day({ main: { ...BALM, withHeat: true, minutes: 20 } });
    const { plan: cold, said } = withoutHeat(plan);
    expect(cold.main?.withHeat).toBe(false);
    expect(said).toContain(`for ${cold.main?.minutes} minutes instead of 20`);
    expect(withoutHeat(day()).said).toContain('nothing');
  });

  it('what ran out is replaced, and its steps with it', () => {
    const { plan, said } = insteadOfMain(day({ main: BALM }), GELATIN);
    expect(said).toBe(`${GELATIN.version.name} instead of ${BALM.version.name}.`);
    expect(ids(plan)).toContain('main-soften');
    expect(insteadOfMain(day(), null).said).toContain('No treatment today');
  });

  it('little time gives up the oil first, then waiting, and the treatment last', () => {
    const plan = day({ prePoo: OIL, followUp: null, main: { ...BALM, minutes: 45 } });
    const all = plannedMinutes(washScript(plan));
    expect(inMinutes(plan, all).said).toContain('nothing has to be given up');
    expect(inMinutes(plan, all - 20).plan.prePoo).toBeNull();
    const tight = inMinutes(plan, all - 50);
    expect(tight.plan.main?.minutes).toBeLessThan(45);
    expect(tight.plan.main).not.toBeNull();
    expect(inMinutes(plan, 45).plan.main).toBeNull();
    const never = inMinutes(plan, 5);
    expect(never.fits).toBe(false);
    expect(never.said).toContain('another day');
  });

  it('what is on already is not given up', () => {
    const plan = day({ prePoo: OIL });
    const done = new Set(['gather', 'pre-poo-apply', 'pre-poo-wait']);
    const { plan: shorter } = inMinutes(plan, plannedMinutes(stepsAhead(plan, done)) - 1, done);
    expect(shorter.prePoo).not.toBeNull();
  });
});
