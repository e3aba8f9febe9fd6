/** A recipe that docs/model.md argues: its lines, its verdict by each school, and why. */
export interface ModelRow {
  readonly name: string;
  readonly lines: readonly string[];
  /** "protein 3.6": by any protein, by broken-down protein only, by her hair. */
  readonly verdicts: readonly string[];
  readonly why: string;
}

/** The recipes argued in docs/model.md. @param model its text */
export function modelRows(model: string): ModelRow[] {
  return [
    ...model.matchAll(
      /^\| ([^|]+) \| ([^|]+) \| (\w+ [\d.]+) \| (\w+ [\d.]+) \| (\w+ [\d.]+) \| ([^|]+) \|$/gm,
    ),
  ].map(([, name = '', lines = '', any = '', broken = '', mine = '', why = '']) => ({
    name,
    lines: lines.split('; '),
    verdicts: [any, broken, mine],
    why,
  }));
}
