import { ok, type Result } from '../../base/measures';
import type { School, Science } from '../../records/shapes';
import { classifyLines, type LineTrust, type Verdict } from '../classification';
import { weighedLines, type Larder, type WeighedLine } from '../larder';
import { cautionsFor, NOBODY, type Caution, type WhoseHead } from './cautions';

/** A recipe as it stands for one head. */
export interface Judgement {
  readonly lines: readonly WeighedLine[];
  readonly verdict: Verdict;
  /** All that is to be minded, the grave ones first. */
  readonly cautions: readonly Caution[];
  /** Those of them that forbid it on this head; none where it may go on. */
  readonly stops: readonly Caution[];
}

type JudgedHead = WhoseHead & { readonly school: School };

interface Judging {
  /** Where it is not that of the head. */
  readonly school?: School | undefined;
  /** How the constants are read; as they are written where it is not said. */
  readonly science?: Science | undefined;
  /** How far the reading of the lines can be trusted; fully where they were saved as they stand. */
  readonly trust?: LineTrust | undefined;
  /** The rows as they were written: an instruction may say something dangerous. */
  readonly texts?: readonly string[];
  /** Her method strains all of it once it is mixed. */
  readonly strained?: boolean | undefined;
}

/**
 * Lines weighed, judged by the school of a head, and looked at for what is to be minded there: the one way to a verdict with
 * its cautions.
 * @param head whom it is for; without one nobody's allergies are known
 * @returns a problem when no line could be weighed, or the recipe is made of itself
 */
export function judge(
  lines: Parameters<typeof weighedLines>[0],
  head: JudgedHead | undefined,
  larder: Larder,
  { school, trust, strained, texts = lines.map(({ text }) => text) }: Judging = {},
): Result<Judgement> {
  const weighed = weighedLines(lines, larder);
  return weighed.ok
    ? judgeWeighed(weighed.value, head, { school, trust, texts, strained, science: larder.science })
    : weighed;
}

/** As {@link judge}, for lines whose weights are known, such as those of a batch with what really went in. */
export function judgeWeighed(
  lines: readonly WeighedLine[],
  head: JudgedHead | undefined,
  { school = head?.school ?? 'my-hair', trust, texts = [], strained, science }: Judging = {},
): Result<Judgement> {
  const verdict = classifyLines(lines, school, trust, science);
  if (!verdict.ok) return verdict;
  const cautions = cautionsFor(lines, verdict.value, head ?? NOBODY, texts, strained);
  return ok({
    lines,
    verdict: verdict.value,
    cautions,
    stops: cautions.filter(({ level }) => level === 'stop'),
  });
}
