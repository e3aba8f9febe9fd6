import type { Bound, Constraint, Programme, Terms } from '../../base/programme';

/** A row that stands for a rule, so that it can be said which rule is in the way. */
export interface RuledConstraint extends Constraint {
  readonly rule: string | null;
}

/** Collects a programme piece by piece. */
export class Rows {
  readonly constraints: RuledConstraint[] = [];
  private readonly costs: { name: string; factor: number }[] = [];
  private readonly bounds: Bound[] = [];
  private readonly binary: string[] = [];
  private constant = 0;

  addBinary(name: string): void {
    this.binary.push(name);
  }

  /** A number of any sign. */
  free(name: string): void {
    this.bounds.push({ name, low: -Infinity, high: Infinity });
  }

  atMost(name: string, high: number): void {
    this.bounds.push({ name, low: 0, high });
  }

  row(terms: Terms, is: Constraint['is'], value: number, rule: string | null = null): void {
    if (terms.length > 0) this.constraints.push({ terms, is, value, rule });
  }

  cost(name: string, factor: number): void {
    if (factor !== 0) this.costs.push({ name, factor });
  }

  costAlways(value: number): void {
    this.constant += value;
  }

  programme(): Programme {
    const { constraints, costs, bounds, binary, constant } = this;
    return { minimise: costs, constant, constraints, bounds, binary };
  }

  /**
   * Which rules have to give way, at the least price: each row whose rule may be relaxed gets slack, which a binary
   * variable of its rule pays for. What the plan itself costs does not count.
   * @param price of relaxing a rule; null where it is never relaxed
   */
  elastic(price: (rule: string) => number | null): Programme {
    const groups = new Map<string, { price: number; slacks: string[] }>();
    const constraints = this.constraints.map((row, index): Constraint => {
      const cost = row.rule === null ? null : price(row.rule);
      if (row.rule === null || cost === null) return row;
      const group = groups.get(row.rule) ?? { price: cost, slacks: [] };
      groups.set(row.rule, group);
      group.slacks.push(slackName(index));
      return withSlack(row, index);
    });
    const paid = [...groups].flatMap(([rule, { slacks }]) =>
      slacks.map((name): Constraint => ({
        terms: [
          { name, factor: 1 },
          { name: looseName(rule), factor: -MOST_SLACK },
        ],
        is: '<=',
        value: 0,
      })),
    );
    return {
      minimise: [...groups].flatMap(([rule, { price: cost, slacks }]) => [
        { name: looseName(rule), factor: cost },
        // Among equal sets of rules the one that goes less far.
        ...slacks.map((name) => ({ name, factor: 1e-4 })),
      ]),
      constraints: [...constraints, ...paid],
      bounds: this.bounds,
      binary: [...this.binary, ...[...groups.keys()].map(looseName)],
    };
  }

  /** The best plan with each row given way in as far as an answer to {@link elastic} did, and no further. */
  relaxedBy(values: Readonly<Record<string, number>>): Programme {
    const { costs, bounds, binary, constant } = this;
    const slackOf = (index: number) => values[slackName(index)] ?? 0;
    const isLoose = (index: number) => slackOf(index) > LEAST_SLACK;
    return {
      minimise: costs,
      constant,
      constraints: this.constraints.map((row, index) => (isLoose(index) ? withSlack(row, index) : row)),
      bounds: [
        ...bounds,
        ...this.constraints.flatMap((_, index) =>
          isLoose(index) ? [{ name: slackName(index), low: 0, high: slackOf(index) + LEAST_SLACK }] : [],
        ),
      ],
      binary,
    };
  }
}

/** No row can be further off than a long day in minutes. */
const MOST_SLACK = 1500;
const LEAST_SLACK = 1e-6;
const slackName = (index: number) => `slack${index}`;
const looseName = (rule: string) => `loose_${rule}`;

/** A row that says "at least", or "exactly" (what she decided), is short; one that says "at most" is over. */
function withSlack(row: Constraint, index: number): Constraint {
  return {
    ...row,
    terms: [...row.terms, { name: slackName(index), factor: row.is === '<=' ? -1 : 1 }],
  };
}
