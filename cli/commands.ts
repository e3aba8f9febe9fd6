import { readFileSync } from 'node:fs';
import loadHighs from 'highs';
import { calendarDaySchema, rounded, type CalendarDay, type Problem } from '../src/core/base/measures';
import { solverFrom } from '../src/core/base/programme';
import { calendarFile } from '../src/core/files/calendar';
import { estimateHair } from '../src/core/hair/estimation';
import { headsIn, historyOf } from '../src/core/hair/history';
import { lastingDays, type SignalState } from '../src/core/hair/state';
import { keepingOf } from '../src/core/kitchen/batches';
import { judgedText, toldHeadline } from '../src/core/kitchen/formulation';
import { methodOfText, shownMethod, warningsOf } from '../src/core/kitchen/methods';
import { demoRecords } from '../src/core/lab/simulation';
import { MOST_WEEKS, type UnmetRule } from '../src/core/plan/planning';
import { decidedProblem, planProblemFrom, todayAnswer } from '../src/core/plan/question';
import { solveSchedule } from '../src/core/plan/scheduling';
import type { LedgerRow, Verdict } from '../src/core/recipe/classification';
import {
  CATALOGUE_LARDER,
  guessedLines,
  readLines,
  unreadLines,
  type ParsedLine,
  savedLine,
} from '../src/core/recipe/larder';
import { parseRecipe, recipesIn } from '../src/core/recipe/parsing';
import { judge } from '../src/core/recipe/safety';
import { readBackup, writeBackup } from '../src/core/records/files';
import { PLACES, SCHOOLS, type Head, type School, type StoredRecord } from '../src/core/records/shapes';

/** Input that a person can mend; said in one line, exit code 2. */
export class CommandError extends Error {}

export interface CommandOptions {
  readonly school?: string | undefined;
  readonly data?: string | undefined;
  readonly head?: string | undefined;
  readonly on?: string | undefined;
  readonly from?: string | undefined;
  readonly weeks?: string | undefined;
  readonly ics?: boolean | undefined;
  readonly grams?: string | undefined;
  readonly 'no-scale'?: boolean | undefined;
  readonly image?: string | undefined;
}

/** The day in the zone of the machine; passed in, so that a test can choose it. */
export interface Clock {
  today(): CalendarDay;
  input(): string;
}

function oneLine(problems: readonly Problem[]): string {
  return problems.map((problem) => problem.message).join(' ');
}

function schoolFrom(text: string | undefined): School {
  if (text === undefined) return 'my-hair';
  const school = SCHOOLS.find((known) => known === text);
  if (!school) throw new CommandError(`--school is one of ${SCHOOLS.join(', ')}`);
  return school;
}

function dayFrom(option: string, text: string): CalendarDay {
  const parsed = calendarDaySchema.safeParse(text);
  if (!parsed.success) throw new CommandError(`${option} wants a day as YYYY-MM-DD, not "${text}"`);
  return parsed.data;
}

/** Figures for people and scripts: what lies beyond three decimals is noise. */
export function shortNumbers(value: unknown): unknown {
  if (typeof value === 'number') return rounded(value, 3);
  if (Array.isArray(value)) return value.map(shortNumbers);
  if (value !== null && typeof value === 'object') {
    return Object.fromEntries(Object.entries(value).map(([key, part]) => [key, shortNumbers(part)]));
  }
  return value;
}

export function classifyCommand(options: CommandOptions, clock: Clock): unknown {
  const text = clock.input();
  const several = recipesIn(text);
  const whole = classified(several.length > 1 ? (several[0] ?? text) : text, options);
  return several.length > 1 ? { ...whole, recipes: several.map((each) => classified(each, options)) } : whole;
}

/** How a recipe is made, for so many grams to put on. */
export function makeCommand({ grams, 'no-scale': noScale = false }: CommandOptions, clock: Clock): unknown {
  const larder = CATALOGUE_LARDER;
  const [text = ''] = recipesIn(clock.input());
  const parsed = parseRecipe(text, { larder });
  if (!parsed.ok) throw new CommandError(oneLine(parsed.problems));
  const judgement = judge(readLines(parsed.value), undefined, larder, {
    strained: parsed.value.told.strained,
    texts: parsed.value.lines.map((line) => line.text),
  });
  if (!judgement.ok) throw new CommandError(oneLine(judgement.problems));
  const { lines, verdict, cautions } = judgement.value;
  const factor = factorFor(grams, verdict.finishedGrams);
  const scaled = lines.map((line) => ({ ...line, grams: line.grams * factor }));
  const saved = parsed.value.lines.map((line) => savedLine(line, text));
  const steps = methodOfText(parsed.value, saved, larder);
  const method = shownMethod(steps, saved, larder, { factor, hasScale: !noScale });
  const { keepsDays } = parsed.value.told;
  return shortNumbers({
    ...method,
    warnings: warningsOf(steps, saved, larder),
    keeps: Object.fromEntries(PLACES.map((place) => [place, keepingOf(scaled, place)])),
    keepsTold: keepsDays,
    cautions: cautions.map(({ id, level, text: words, act }) => ({
      id,
      level,
      text: words,
      act,
    })),
    notUnderstood: unreadLines(parsed.value).map(({ text: line }) => line),
  });
}

function factorFor(grams: string | undefined, finishedGrams: number): number {
  if (grams === undefined) return 1;
  const wanted = Number(grams);
  if (!(wanted > 0 && wanted <= MOST_GRAMS))
    throw new CommandError(`--grams wants a number from 1 to ${MOST_GRAMS}`);
  if (finishedGrams <= 0) throw new CommandError('nothing of this recipe is left to put on');
  return wanted / finishedGrams;
}

/** More is no home batch. */
const MOST_GRAMS = 20_000;

function classified(text: string, options: CommandOptions): Record<string, unknown> {
  const school = schoolFrom(options.school);
  const read = judgedText(text, { larder: CATALOGUE_LARDER, cup: 'us', head: undefined, school });
  const { parsed, judged } = read;
  if (!parsed.ok) throw new CommandError(oneLine(parsed.problems));
  const { lines, title, steps, told: use } = parsed.value;
  const unparsed = unreadLines(parsed.value);
  if (!judged.ok) {
    const [first] = unparsed;
    throw new CommandError(
      `${oneLine(judged.problems)}${first ? ` First line: ${first.problem.message}` : ''}`,
    );
  }
  const { verdict, cautions, details, doses, argument } = judged.value;
  const { acidity, roles, flips } = details;
  return shortNumbers({
    headline: toldHeadline(judged.value, read),
    ...verdictJson(verdict, lines.flatMap(ledgerLine(verdict))),
    pH: acidity.pH,
    roles,
    flips: flips.map(({ name, fromGrams, toGrams, to }) => ({ name, fromGrams, toGrams, to })),
    unparsed: unparsed.map(({ text: line, problem }) => ({ text: line, problem: problem.message })),
    warnings: cautions.map(({ id, level, text: words, act }) => ({ id, level, text: words, act })),
    label: read.isLabel,
    checkFirst: doses,
    argument,
    title,
    minutes: use.minutes,
    warmth: use.warmth,
    overnight: use.overnight,
    steps: steps.map(({ text: words, deeds, minutes, overnight, celsius }) => ({
      text: words,
      deeds,
      minutes,
      overnight,
      celsius,
    })),
    guessed: guessedLines(parsed.value).map(({ text: line, name, grams }) => ({
      text: line,
      ingredient: name,
      grams,
    })),
    notUnderstood: unparsed.map(({ text: line }) => line),
    notCounted: parsed.value.notCounted.map(({ name }) => name),
  }) as Record<string, unknown>;
}

interface LedgerLine {
  readonly text: string;
  readonly ingredient: string | null;
  readonly grams: number | null;
  readonly shares: Partial<LedgerRow['shares']>;
}

/** Ledger rows in the order of the recipe; a line that is not understood has no ingredient and no shares. */
function ledgerLine(verdict: Verdict) {
  let next = 0;
  return (line: ParsedLine): LedgerLine[] => {
    if (line.status === 'note') return [];
    if (line.status === 'unread') return [{ text: line.text, ingredient: null, grams: null, shares: {} }];
    const row = verdict.ledger[next++];
    return row ? [{ text: row.text, ingredient: row.ingredient, grams: row.grams, shares: row.shares }] : [];
  };
}

function verdictJson(verdict: Verdict, ledger: readonly LedgerLine[]) {
  const schools = Object.fromEntries(
    SCHOOLS.map((school) => [
      school,
      { kind: verdict.schools[school].kind, strength: verdict.schools[school].strength },
    ]),
  );
  const { kind, strength, also, confidence, readings, doubts, school, grams, finishedGrams, loads } = verdict;
  return {
    kind,
    strength,
    also,
    confidence,
    readings,
    doubts,
    school,
    grams,
    finishedGrams,
    loads,
    ledger,
    schools,
  };
}

function recordsFrom(options: CommandOptions): readonly StoredRecord[] {
  if (options.data === undefined) throw new CommandError('--data wants the path of a backup file');
  let text: string;
  try {
    text = readFileSync(options.data, 'utf8');
  } catch {
    throw new CommandError(`the file ${options.data} cannot be read`);
  }
  const backup = readBackup(text);
  if (!backup.ok) throw new CommandError(oneLine(backup.problems));
  return backup.value.records;
}

/** The head asked for, or the first one of the file; the answer names the others. */
function headFrom(
  records: readonly StoredRecord[],
  options: CommandOptions,
): { head: Head; heads: string[] } {
  const all = headsIn(records);
  const heads = all.map(({ headId }) => headId);
  const head = options.head === undefined ? all[0] : all.find(({ headId }) => headId === options.head);
  if (head) return { head, heads };
  throw new CommandError(
    all.length === 0
      ? 'the backup describes no head'
      : `no head is called "${options.head}"; there is ${heads.join(', ')}`,
  );
}

/** What is told of a signal: not its path and its readings, which are the file's own. */
function signalFigures(state: SignalState) {
  const { mean, sd, probabilities, halfLifeDays, halfLifeRange, errorFactor } = state;
  const lasting = <T extends { readonly mean: number; readonly stays?: number }>(response: T) => ({
    ...response,
    // What stays has no end that could be told in days.
    lastsDays: response.stays === 1 ? null : (lastingDays(response.mean, state)?.days ?? null),
  });
  return {
    mean,
    sd,
    probabilities,
    halfLifeDays,
    halfLifeRange,
    errorFactor,
    responses: state.responses.map(lasting),
    eventResponses: state.eventResponses.map(lasting),
    entangled: state.entangled,
  };
}

export function stateCommand(options: CommandOptions, clock: Clock): unknown {
  const records = recordsFrom(options);
  const today = options.on === undefined ? clock.today() : dayFrom('--on', options.on);
  const { head, heads } = headFrom(records, options);
  const state = estimateHair(head, historyOf(records, head.headId), today);
  const signals = Object.values(state.signals).map(
    (state) => [state.signal, { lane: state.comfortZone, ...signalFigures(state) }] as const,
  );
  return shortNumbers({
    head: head.headId,
    heads,
    asOf: today,
    readings: state.readingCount,
    need: state.need,
    nextReadings: state.nextReadings,
    forecasts: {
      of: state.forecasts.points.length,
      held: state.forecasts.held,
      widenedBy: state.forecasts.widenedBy,
    },
    signals: Object.fromEntries(signals),
  });
}

/** What to do on a day, decided from all that is written down up to it. */
export function todayCommand(options: CommandOptions, clock: Clock): unknown {
  const records = recordsFrom(options);
  const today = options.on === undefined ? clock.today() : dayFrom('--on', options.on);
  const { head, heads } = headFrom(records, options);
  const history = historyOf(records, head.headId);
  const state = estimateHair(head, history, today);
  const problem = planProblemFrom(records, [{ head, state }], today, 1);
  const { choice, followUp, why, ask, next } = todayAnswer(problem, 0, state, history);
  return shortNumbers({ head: head.headId, heads, on: today, choice, followUp, why, ask, next });
}

/** The plan as JSON, or with --ics as a calendar file. */
export async function planCommand(options: CommandOptions, clock: Clock): Promise<unknown> {
  const records = recordsFrom(options);
  const from = options.from === undefined ? clock.today() : dayFrom('--from', options.from);
  const weeks = Number(options.weeks ?? '1');
  if (!Number.isInteger(weeks) || weeks < 1 || weeks > MOST_WEEKS) {
    throw new CommandError(`--weeks is a whole number from 1 to ${MOST_WEEKS}`);
  }
  const { head, heads } = headFrom(records, options);
  // One person's hours are shared: the other heads are planned beside it.
  const all = headsIn(records).map((each) => ({
    head: each,
    state: estimateHair(each, historyOf(records, each.headId), from),
  }));
  const problem = decidedProblem(planProblemFrom(records, all, from, weeks), records);
  const { plans, relaxations } = solveSchedule(problem, solverFrom(await loadHighs()));
  const plan = plans.find(({ headId }) => headId === head.headId);
  if (!plan) throw new CommandError(`no plan was made for ${head.headId}`);
  if (options.ics) return calendarFile(plan, head, [], `${from}T00:00:00Z`).text;
  return shortNumbers({
    head: head.headId,
    heads,
    ...plan,
    days: plan.days.map(({ assignments, ...day }) => ({ ...day, beats: assignments })),
    unmet: plan.unmet.map(unmetFigures),
    loosenings: relaxations,
  });
}

/** What the plan cannot give, flat: what was asked, when, why not, and the nearest way to it. */
function unmetFigures({ rule, text, promise }: UnmetRule) {
  if (!promise) return { rule, asked: null, reason: text, nearest: null, nearestDay: null, text };
  const { nearest, ...asked } = promise;
  return {
    rule,
    ...asked,
    nearest: nearest.text,
    nearestDay: nearest.day,
    nearestRecipeId: nearest.recipeId,
    text,
  };
}

export function demoCommand(options: CommandOptions, clock: Clock): string {
  const today = options.on === undefined ? clock.today() : dayFrom('--on', options.on);
  return writeBackup(demoRecords(today), `${today}T00:00:00Z`);
}
