import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { calendarDay } from '../src/core/base/measures';
import {
  classifyCommand,
  CommandError,
  demoCommand,
  makeCommand,
  planCommand,
  stateCommand,
  todayCommand,
  type Clock,
} from './commands';

const clock = (input = ''): Clock => ({ today: () => calendarDay('2026-05-13'), input: () => input });
const folder = mkdtempSync(path.join(tmpdir(), 'velvet-'));
const data = path.join(folder, 'backup.json');
writeFileSync(data, demoCommand({ on: '2026-05-13' }, clock()));

/** A solver that hangs is found out; how fast it is depends on what else the machine does. */
const SOLVES_WITHIN_MS = 60_000;

const RECIPE = '2 tbsp soaked linseed\nhalf a papaya\n1 tsp honey\n100 ml oat milk\ntwo cups of blorb\n';

describe('velvet classify', () => {
  it('answers with everything that is promised', () => {
    const answer = classifyCommand({}, clock(RECIPE)) as any;
    expect(answer).toMatchObject({
      kind: 'moisture',
      school: 'my-hair',
      unparsed: [{ text: 'two cups of blorb' }],
    });
    expect(answer.strength).toBeGreaterThan(0);
    expect(answer.confidence).toBeGreaterThan(0);
    expect(answer.ledger.map((row: any) => row.ingredient)).toEqual([
      'linseed',
      'papaya',
      'honey',
      'oat-milk',
      null,
    ]);
    expect(Object.keys(answer.schools)).toEqual(['any-protein', 'broken-down', 'my-hair']);
    expect(answer.schools['my-hair']).toEqual({ kind: answer.kind, strength: answer.strength });
    expect(answer.warnings.map((warning: any) => warning.id)).toContain('strain');
    expect(answer.loads.water).toBeGreaterThan(50);
  });

  it('takes the school that is asked for', () => {
    const egg = '1 egg\n2 tbsp olive oil\n1 tbsp honey';
    expect(classifyCommand({ school: 'any-protein' }, clock(egg))).toMatchObject({ kind: 'protein' });
    expect(() => classifyCommand({ school: 'maybe' }, clock(egg))).toThrow(CommandError);
  });

  it.each(['', 'hello there', '-2 tbsp honey'])('refuses %p in one line', (input) => {
    expect(() => classifyCommand({}, clock(input))).toThrow(CommandError);
  });
});

describe('velvet make', () => {
  const TOLD =
    'Oat gel: half a cup of rolled oats simmered in 2 cups of water for 10 minutes. Strain. Stir in a tbsp of honey.';

  it('gives her steps for the grams that are wanted, in the measures of a kitchen without a scale', () => {
    const whole = makeCommand({ 'no-scale': true }, clock(TOLD)) as any;
    expect(whole.steps.map((step: any) => [step.told, step.lines.length])).toEqual([
      [true, 2],
      [true, 0],
      [false, 0],
      [true, 1],
    ]);
    expect(whole.steps[0].text).toContain(
      'Half a cup of rolled oats simmered in 2 cups of water for 10 minutes',
    );
    expect(whole).toMatchObject({ washUp: ['bowl', 'pot', 'cloth'], keepsTold: null });
    expect(whole.keeps.fridge.days).toBe(4);
    const half = makeCommand({ grams: '150', 'no-scale': true }, clock(TOLD)) as any;
    expect(JSON.stringify(half.steps)).not.toMatch(/\d g\b/);
    const weighed = makeCommand({ grams: '150' }, clock(TOLD)) as any;
    expect(weighed.steps[0].lines[1].amount).toMatch(/^\d+ g$/);
  });

  it.each(['0', '-5', 'much', '99999999'])('refuses %p grams', (grams) => {
    expect(() => makeCommand({ grams }, clock(TOLD))).toThrow(CommandError);
  });
});

describe('velvet state and plan', () => {
  it('read a backup', () => {
    const state = stateCommand({ data, on: '2026-05-13' }, clock()) as any;
    expect([state.head, state.heads, state.need.kind]).toEqual(['maren', ['maren', 'pip'], 'protein']);
    expect(Object.keys(state.signals)).toEqual(['firmness', 'breakage', 'porosity']);
    const { firmness } = state.signals;
    expect(firmness.lane).toEqual({ low: -0.5, high: 0.5 });
    expect(firmness.responses[0]).toMatchObject({
      uses: expect.any(Number),
      expected: { mean: expect.any(Number), sd: expect.any(Number) },
    });
    expect(Object.keys(firmness.responses[0])).toContain('lastsDays');
    expect(firmness.eventResponses[0]).toMatchObject({ event: 'heat', stays: 0.05 });
    const chances = Object.values(state.need.probabilities as Record<string, number>);
    expect(chances.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 2);
    expect(state.nextReadings[0].bits).toBeGreaterThanOrEqual(state.nextReadings[1].bits);
  });

  it('decide a day from what is written down by then: a treatment with its dose, why, and which check comes next', () => {
    const days = Array.from({ length: 7 }, (_, index) => `2026-05-${13 + index}`);
    const answers = days.map((on) => todayCommand({ data, on, head: 'maren' }, clock()) as any);
    for (const answer of answers) {
      expect(Object.keys(answer)).toEqual([
        'head',
        'heads',
        'on',
        'choice',
        'followUp',
        'why',
        'ask',
        'next',
      ]);
      expect(answer.why).toMatch(/^By the last checks|no free minutes/);
      expect(answer.next.day >= answer.on).toBe(true);
    }
    const chosen = answers.find(({ choice }) => choice !== null);
    expect(chosen.choice).toMatchObject({
      recipeId: expect.any(String),
      minutes: expect.any(Number),
      warm: expect.any(Boolean),
      amount: expect.any(Number),
    });
    // Nothing was read yet on that day, so a check is asked for; after the treatment the next look is when it is dry.
    expect([chosen.ask.test, chosen.next.moment, chosen.next.day]).toEqual(['stretch', 'dry', chosen.on]);
    const busy = answers.find(({ why }) => why.includes('no free minutes'));
    expect(busy.choice).toBeNull();
  });

  it(
    'says each promise that it cannot keep, why, and the nearest way',
    async () => {
      const backup = JSON.parse(demoCommand({ on: '2026-05-13' }, clock()) as string);
      const rhythm = {
        id: 'r1',
        recordedAt: '2026-05-13T08:00:00Z',
        kind: 'rhythm',
        rhythmId: 'r1',
        headId: 'maren',
        name: null,
        of: { recipeId: 'okra-slip' },
        // Mondays have no time.
        when: { every: 'weekdays', weekdays: [1], weeks: 1 },
        startsOn: '2026-05-13',
        until: null,
        times: null,
        notIn: [],
        firm: true,
        themes: [],
        toldOn: '2026-05-13',
        endedOn: null,
      };
      const told = path.join(folder, 'told.json');
      writeFileSync(told, JSON.stringify({ ...backup, records: [...backup.records, rhythm] }));
      const plan = (await planCommand({ data: told, from: '2026-05-13', head: 'maren' }, clock())) as any;
      expect(plan.unmet.find(({ rhythmId }: any) => rhythmId === 'r1')).toMatchObject({
        rule: 'free-time',
        asked: expect.stringMatching(/: Mondays$/),
        from: '2026-05-18',
        to: '2026-05-18',
        reason: expect.stringContaining('has 0 minutes'),
        nearest: expect.stringMatching(/\w/),
      });
      // Beside the two of the demo.
      expect(plan.rhythms.map(({ rhythm: { rhythmId } }: any) => rhythmId)).toEqual([
        'demo-two-washes',
        'demo-scalp-oil',
        'r1',
      ]);
    },
    SOLVES_WITHIN_MS,
  );

  it(
    'plans with reasons, preparation, how far from the best, and what could not be met',
    async () => {
      const plan = (await planCommand({ data, from: '2026-05-13', weeks: '2', head: 'pip' }, clock())) as any;
      expect([plan.head, plan.days.length, plan.unmet, plan.loosenings, plan.planner]).toEqual([
        'pip',
        14,
        [],
        [],
        'programme',
      ]);
      expect(plan.gap).toBeGreaterThanOrEqual(0);
      expect(plan.gap).toBeLessThanOrEqual(0.01);
      const maren = (await planCommand({ data, from: '2026-05-13', weeks: '2' }, clock())) as any;
      const beats = maren.days.flatMap(({ beats }: any) => beats);
      expect(beats.length).toBeGreaterThan(2);
      expect(beats.every(({ reasons, minutes }: any) => reasons.length > 0 && minutes > 0)).toBe(true);
      expect(maren.days.flatMap(({ preparation }: any) => preparation).length).toBeGreaterThan(0);
    },
    SOLVES_WITHIN_MS,
  );

  it(
    'writes the same plan as a calendar',
    async () => {
      const text = (await planCommand(
        { data, from: '2026-05-13', weeks: '2', ics: true },
        clock(),
      )) as string;
      expect(text.startsWith('BEGIN:VCALENDAR')).toBe(true);
      expect(text.match(/BEGIN:VEVENT/g)?.length).toBeGreaterThan(2);
    },
    SOLVES_WITHIN_MS,
  );

  it.each([
    [{}, '--data'],
    [{ data: '/nowhere.json' }, 'cannot be read'],
    [{ data, head: 'nobody' }, 'maren, pip'],
    [{ data, from: 'soon' }, '--from'],
    [{ data, weeks: '0' }, '--weeks'],
    [{ data, weeks: '1.5' }, '--weeks'],
  ])('%j is refused: %s', async (options, said) => {
    await expect(planCommand(options, clock())).rejects.toThrow(said);
  });
});

describe('the command itself', () => {
  const npm = (args: string[], input: string) =>
    spawnSync('npm', ['run', '-s', 'velvet', '--', ...args], { input, encoding: 'utf8' });

  it('prints JSON and ends with 0', () => {
    const { stdout, status } = npm(['classify'], RECIPE);
    expect([status, JSON.parse(stdout).kind]).toEqual([0, 'moisture']);
  });

  it('says one line on stderr and ends with 2', () => {
    const { stdout, stderr, status } = npm(['classify'], '');
    const lines = stderr.split('\n').filter((line) => line.startsWith('velvet:'));
    expect([status, stdout, lines.length]).toEqual([2, '', 1]);
    expect(npm(['dance'], '').status).toBe(2);
    expect(npm(['plan', '--nonsense'], '').status).toBe(2);
  });

  it('tells how it is used', () => {
    expect(execFileSync('npm', ['run', '-s', 'velvet', '--', 'help'], { encoding: 'utf8' })).toContain(
      'velvet classify',
    );
  });
});
