import type { WeighedLine } from '../larder';
import { acidityOf, type Acidity } from './acidity';
import { rolesOf, type RoleFit } from './fitness';
import { flipsOf, type Flip } from './flips';
import { lineLoads } from './loads';
import type { Verdict } from './verdict';

export interface VerdictDetails {
  readonly acidity: Acidity;
  /** What it is good as, and what not. */
  readonly roles: readonly RoleFit[];
  /** The smallest changes that would make another kind of it. */
  readonly flips: readonly Flip[];
}

/** What is asked for beside the verdict; not needed where many recipes are listed. */
export function detailsOf(verdict: Verdict, lines: readonly WeighedLine[]): VerdictDetails {
  return {
    acidity: acidityOf(lines, verdict.finishedGrams),
    roles: rolesOf(verdict, lines),
    flips: flipsOf(
      lines.map((line) => lineLoads(line, verdict.school)),
      verdict.science,
    ),
  };
}
