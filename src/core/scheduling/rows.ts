import type { Bound, Constraint, Programme, Terms } from '../programme';

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

  yesOrNo(name: string): void {
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

  /** Each row whose rule may be loosened gets slack, which a yes-or-no variable of its rule pays for. */
  programme(loosening?: {
    readonly price: (rule: string) => number | null;
    readonly scale: number;
  }): Programme {
    const { constraints, costs, bounds, binary, constant } = this;
    if (!loosening) return { minimise: costs, constant, constraints, bounds, binary };
    const loosened = new Map<string, { price: number; slacks: string[] }>();
    const elastic = constraints.map((row, index): Constraint => {
      const price = row.rule === null ? null : loosening.price(row.rule);
      if (row.rule === null || price === null) return row;
      const group = loosened.get(row.rule) ?? { price, slacks: [] };
      loosened.set(row.rule, group);
      const over = `slack${index}`;
      group.slacks.push(over);
      // A row that says "at least", or "exactly" (what she decided), is short; one that says "at most" is over.
      return { ...row, terms: [...row.terms, { name: over, factor: row.is === '<=' ? -1 : 1 }] };
    });
    const groups = [...loosened];
    return {
      minimise: [
        ...costs.map(({ name, factor }) => ({ name, factor: factor * loosening.scale })),
        ...groups.map(([rule, { price }]) => ({ name: looseName(rule), factor: price })),
        // Among equal sets of rules the one that goes less far.
        ...groups.flatMap(([, { slacks }]) => slacks.map((name) => ({ name, factor: 1e-4 }))),
      ],
      constant: 0,
      constraints: [
        ...elastic,
        ...groups.flatMap(([rule, { slacks }]) =>
          slacks.map((name): Constraint => ({
            terms: [
              { name, factor: 1 },
              { name: looseName(rule), factor: -MOST_SLACK },
            ],
            is: '<=',
            value: 0,
          })),
        ),
      ],
      bounds,
      binary: [...binary, ...groups.map(([rule]) => looseName(rule))],
    };
  }

  /** How far each rule was loosened in an answer: the largest slack of its rows; only those that were. */
  loosenedIn(values: Readonly<Record<string, number>>): Map<string, number> {
    const found = new Map<string, number>();
    this.constraints.forEach(({ rule }, index) => {
      const slack = values[`slack${index}`] ?? 0;
      if (rule !== null && slack > 1e-6) found.set(rule, Math.max(found.get(rule) ?? 0, slack));
    });
    return found;
  }
}

/** No row can be further off than a long day in minutes. */
const MOST_SLACK = 1500;
const looseName = (rule: string) => `loose_${rule}`;
