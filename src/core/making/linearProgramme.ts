/** A small linear programme with yes-or-no variables, and the text form that solvers read. */
export interface Programme {
  readonly minimise: Terms;
  readonly constraints: readonly Constraint[];
  readonly bounds: readonly { readonly name: string; readonly low: number; readonly high: number }[];
  /** Names of the variables that are 0 or 1. */
  readonly binary: readonly string[];
}

export type Terms = readonly { readonly name: string; readonly factor: number }[];

export interface Constraint {
  readonly terms: Terms;
  readonly is: '<=' | '>=' | '=';
  readonly value: number;
}

export interface Solution {
  /** "optimal" only when the solver proved it. */
  readonly status: 'optimal' | 'infeasible' | 'failed';
  readonly values: Readonly<Record<string, number>>;
  readonly objective: number;
}

/** Where programmes are solved: a worker in the browser, the same package in tests. */
export type SolveProgramme = (programme: Programme) => Promise<Solution> | Solution;

/** The programme in the CPLEX LP format; names must be letters, digits and "_". */
export function programmeText({ minimise, constraints, bounds, binary }: Programme): string {
  return [
    'Minimize',
    ` obj: ${termsText(minimise)}`,
    'Subject To',
    ...constraints.map(
      ({ terms, is, value }, index) => ` c${index}: ${termsText(terms)} ${is} ${numberText(value)}`,
    ),
    'Bounds',
    ...bounds.map(({ name, low, high }) => ` ${numberText(low)} <= ${name} <= ${numberText(high)}`),
    ...(binary.length > 0 ? ['Binary', ...binary.map((name) => ` ${name}`)] : []),
    'End',
    '',
  ].join('\n');
}

function termsText(terms: Terms): string {
  const shown = terms.filter(({ factor }) => factor !== 0);
  const first = terms[0]?.name ?? 'nothing';
  if (shown.length === 0) return `0 ${first}`;
  return shown
    .map(({ name, factor }, index) => {
      const sign = factor < 0 ? '-' : index === 0 ? '' : '+';
      return `${sign} ${numberText(Math.abs(factor))} ${name}`.trim();
    })
    .join(' ');
}

/** Plain decimals: the format knows no "1e-7" everywhere. */
function numberText(value: number): string {
  return Number(value.toFixed(9)).toString().includes('e')
    ? value.toFixed(9)
    : String(Number(value.toFixed(9)));
}

/** What the solver package answers to a text; of its answer only this is used. */
interface SolverAnswer {
  readonly Status: string;
  readonly ObjectiveValue: number;
  readonly Columns: Readonly<Record<string, { readonly Primal?: number }>>;
}

/** How long one programme may take, seconds: these are small, and a person waits. */
const TIME_LIMIT_SECONDS = 5;

/** Wraps the solver package. A model that it does not understand comes back as "failed", never as an exception. */
export function solverFrom(highs: {
  solve(text: string, options: { time_limit: number }): unknown;
}): SolveProgramme {
  return (programme) => {
    try {
      const answer = highs.solve(programmeText(programme), {
        time_limit: TIME_LIMIT_SECONDS,
      }) as SolverAnswer;
      const values = Object.fromEntries(
        Object.entries(answer.Columns).map(([name, { Primal = 0 }]) => [name, Primal]),
      );
      const status =
        answer.Status === 'Optimal' ? 'optimal' : answer.Status === 'Infeasible' ? 'infeasible' : 'failed';
      return { status, values, objective: answer.ObjectiveValue };
    } catch {
      return { status: 'failed', values: {}, objective: 0 };
    }
  };
}
