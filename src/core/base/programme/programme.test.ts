import loadHighs from 'highs';
import type { Programme, SolveProgramme } from './programme';
import { solverFrom } from './solverFrom';

/** A bag that holds 10 kg: what is worth most in it? Worth as negative cost. */
const weights = [5, 4, 3, 2];
const worth = [10, 7, 6, 3];
const bag: Programme = {
  minimise: worth.map((value, index) => ({ name: `x${index}`, factor: -value })),
  constraints: [
    { terms: weights.map((factor, index) => ({ name: `x${index}`, factor })), is: '<=', value: 10 },
  ],
  bounds: [],
  binary: weights.map((_, index) => `x${index}`),
};

describe('the solver', () => {
  let solve: SolveProgramme;
  let highs: Awaited<ReturnType<typeof loadHighs>>;
  beforeAll(async () => {
    highs = await loadHighs();
    solve = solverFrom(highs);
  });

  it('finds what trying everything finds, with a bound that it does not pass', () => {
    let best = 0;
    for (let chosen = 0; chosen < 16; chosen++) {
      const in_ = weights.map((_, index) => (chosen >> index) & 1);
      const weight = in_.reduce<number>((sum, taken, index) => sum + taken * (weights[index] ?? 0), 0);
      const value = in_.reduce<number>((sum, taken, index) => sum + taken * (worth[index] ?? 0), 0);
      if (weight <= 10) best = Math.max(best, value);
    }
    const { status, objective, bound } = solve(bag);
    expect([status, objective]).toEqual(['optimal', -best]);
    expect(bound).toBeLessThanOrEqual(objective + 1e-9);
  });

  it('adds what is constant, takes a variable named twice in a row together, and begins from an answer it is given', () => {
    const twice: Programme = {
      ...bag,
      constant: 100,
      constraints: [
        ...bag.constraints,
        {
          terms: [
            { name: 'x0', factor: 1 },
            { name: 'x0', factor: 1 },
          ],
          is: '<=',
          value: 1,
        },
      ],
    };
    const solved = solve(twice, { start: { x1: 1, x2: 1, x3: 1, unknown: 1 } });
    expect(solved.objective).toBe(100 - 16);
    expect(solved.values.x0).toBe(0);
  });

  it('keeps to equalities and to bounds on both sides', () => {
    const { values } = solve({
      minimise: [
        { name: 'y', factor: 1 },
        { name: 'z', factor: 3 },
      ],
      constraints: [
        {
          terms: [
            { name: 'y', factor: 1 },
            { name: 'z', factor: 1 },
          ],
          is: '=',
          value: 5,
        },
      ],
      bounds: [
        { name: 'y', low: -2, high: 3 },
        { name: 'z', low: -Infinity, high: Infinity },
      ],
      binary: [],
    });
    expect(values).toEqual({ y: 3, z: 2 });
  });

  it('says when there is no answer, and fails without throwing at what is no programme', () => {
    const impossible: Programme = {
      ...bag,
      constraints: [...bag.constraints, { terms: [{ name: 'x0', factor: 1 }], is: '>=', value: 2 }],
    };
    expect(solve(impossible).status).toBe('infeasible');
    const broken: Programme = { ...bag, minimise: [{ name: 'x0', factor: Number.NaN }] };
    expect(solve(broken).status).toBe('failed');
    expect(solve({ minimise: [], constraints: [], bounds: [], binary: [] }).status).toBe('optimal');
  });

  it('tells how far it is while it works on something long, and stops when its time is over, slept hours aside', () => {
    // Market split (Cornuéjols & Dawande 1998): some of the shops shall hold half of each good; small, and very hard to prove.
    const shops = Array.from({ length: 40 }, (_, shop) => shop);
    const holds = (good: number, shop: number) =>
      (shop * 7919 + good * 104_729 + shop * shop * 31 * (good + 3)) % 100;
    const hard: Programme = {
      minimise: [0, 1, 2, 3, 4].flatMap((good) => [
        { name: `over${good}`, factor: 1 },
        { name: `under${good}`, factor: 1 },
      ]),
      constraints: [0, 1, 2, 3, 4].map((good) => ({
        terms: [
          ...shops.map((shop) => ({ name: `shop${shop}`, factor: holds(good, shop) })),
          { name: `over${good}`, factor: -1 },
          { name: `under${good}`, factor: 1 },
        ],
        is: '=' as const,
        value: Math.floor(shops.reduce((total, shop) => total + holds(good, shop), 0) / 2),
      })),
      bounds: [],
      binary: shops.map((shop) => `shop${shop}`),
    };
    // Cut off before anything is proven: no bound, rather than a false one.
    const at = (() => {
      let clock = 0;
      return () => (clock += 500);
    })();
    const cut = solverFrom(highs, at)(hard, {
      seconds: 0.1,
      gap: 0,
      start: Object.fromEntries(hard.binary.map((name) => [name, 0])),
    });
    expect([cut.status, cut.bound]).toEqual(['feasible', -Infinity]);

    // By a clock that is handed in: what was slept does not count, what was worked does.
    let clock = 0;
    let looks = 0;
    const slept = solverFrom(highs, () => {
      looks++;
      return (clock += looks === 3 ? 3_600_000 : 50);
    });
    const seen: number[] = [];
    const { status, objective, bound } = slept(hard, {
      seconds: 4,
      gap: 0,
      onProgress: ({ gap }) => seen.push(gap),
    });
    expect(status).toBe('feasible');
    expect(bound).toBeLessThanOrEqual(objective);
    expect(seen.length).toBeGreaterThan(0);
    // An hour counts as the second that it can be at most: 3 seconds of 50 ms each are left. It looks a few times more until it has stopped.
    expect(looks).toBeGreaterThanOrEqual(62);
    expect(looks).toBeLessThan(100);
  });
});
