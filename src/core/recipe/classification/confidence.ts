import { t } from '@lingui/core/macro';
import { clamp, rounded, sum } from '../../base/measures';
import type { Science } from '../../records/shapes';
import { CONFIDENCE } from './constants';
import { kindLabels } from './kindLabels';
import type { LineLoads } from './loads';
import { schoolVerdict, type Mix, type SchoolVerdict, type TreatmentKind } from './schoolVerdict';
import { otherSciences } from './science';

/** How far the lines themselves can be trusted; see CONFIDENCE. */
export interface LineTrust {
  /** 0 to 1: weight that is not understood. */
  readonly unreadShare: number;
  /** 0 to 1: weight whose amount rests on an assumption. */
  readonly assumedAmountShare: number;
}

export interface Confidence {
  /** 0.05 to 0.95 */
  readonly confidence: number;
  /** What takes confidence away, in words, the greatest first; empty where nothing much does. */
  readonly doubts: readonly string[];
  /** How many of the other ways to read the science say the same, and what the rest say. */
  readonly readings: {
    readonly same: number;
    readonly of: number;
    readonly others: readonly TreatmentKind[];
  };
}

/** A factor above this takes too little away to be worth a word. */
const WORTH_SAYING = 0.97;
/** A margin under this is called close to the edge; see edgeOf. */
const CLOSE_MARGIN = 0.35;

/** How sure a verdict is: a start that every doubt multiplies down. @param mix of the lines */
export function confidenceIn(
  own: SchoolVerdict,
  mix: Mix,
  lines: readonly LineLoads[],
  trust: LineTrust,
  science: Science,
): Confidence {
  const percent = (share: number) => t`${{ share: Math.round(100 * share) }} %`;
  const assumed = assumedShare(own, lines);
  const edge = edgeOf(own.kind, mix, science);
  const kinds = otherSciences(science).map((other) => schoolVerdict(mix, other).kind);
  const others = kinds.filter((kind) => kind !== own.kind);
  const readings = { same: kinds.length - others.length, of: kinds.length, others: [...new Set(others)] };
  const nameOf = (kind: TreatmentKind) => kindLabels()[kind].toLowerCase();
  const factors = [
    {
      factor: 1 - CONFIDENCE.unread * trust.unreadShare,
      text: t`${{ percent: percent(trust.unreadShare) }} of the weight is not understood and counts for nothing.`,
    },
    {
      factor: 1 - CONFIDENCE.assumedFigures * assumed,
      text: t`${{ percent: percent(assumed) }} of what decides it rests on assumed, not measured, compositions.`,
    },
    {
      factor: 1 - CONFIDENCE.assumedAmounts * trust.assumedAmountShare,
      text: t`${{ percent: percent(trust.assumedAmountShare) }} of the weight is a guessed size or amount: weigh it to be surer.`,
    },
    {
      factor: 1 - CONFIDENCE.thinMargin * (1 - edge.margin),
      text:
        edge.margin < CLOSE_MARGIN && edge.beyond
          ? t`It lies close to the edge between ${{ kind: nameOf(own.kind) }} and ${{ other: nameOf(edge.beyond) }}.`
          : null,
    },
    {
      factor: 1 - CONFIDENCE.otherReadings * (1 - readings.same / readings.of),
      text: t`Under ${{ same: readings.same }} of ${{ of: readings.of }} other views of the science it is the same; under the rest ${{ others: readings.others.map(nameOf).join(', ') }}.`,
    },
  ].sort((a, b) => a.factor - b.factor);
  const product = factors.reduce<number>((total, { factor }) => total * factor, CONFIDENCE.start);
  return {
    confidence: clamp(rounded(product, 2), 0.05, 0.95),
    doubts: factors.flatMap(({ factor, text }) => (factor < WORTH_SAYING && text !== null ? [text] : [])),
    readings,
  };
}

interface Edge {
  /** 0 at the edge, 1 where none of what decides would have to double or halve to cross it. */
  readonly margin: number;
  /** What it would be beyond the nearest edge. */
  readonly beyond: TreatmentKind | null;
}

/** How much more or less there may be of each thing that decides, tried from little to much. */
const STEPS = [1.05, 1.1, 1.2, 1.35, 1.5, 1.75, 2] as const;
const DECIDING = ['firm', 'soft', 'fat', 'water'] as const;

/** How far the nearest edge to another kind is, whichever edge that is. */
function edgeOf(kind: TreatmentKind, mix: Mix, science: Science): Edge {
  for (const step of STEPS) {
    for (const part of DECIDING) {
      for (const factor of [step, 1 / step]) {
        const other = schoolVerdict(withPart(mix, part, factor), science).kind;
        if (other !== kind) return { margin: Math.log(step) / Math.log(2), beyond: other };
      }
    }
  }
  return { margin: 1, beyond: null };
}

/** The same with so many times as much of one part; what softens thins nothing, oil and water take room. */
function withPart(mix: Mix, part: (typeof DECIDING)[number], factor: number): Mix {
  const more = (factor - 1) * mix[part];
  const takesRoom = part === 'fat' || part === 'water';
  return {
    ...mix,
    [part]: mix[part] + more,
    finished: takesRoom ? mix.finished + more : mix.finished,
    ...(part === 'firm'
      ? { intact: factor * mix.intact, tannin: factor * mix.tannin, intactInAll: factor * mix.intactInAll }
      : {}),
  };
}

/** 0 to 1: how much of what decides the verdict rests on composition figures that are assumed. */
function assumedShare(own: SchoolVerdict, lines: readonly LineLoads[]): number {
  const part = (load: 'firm' | 'soft') => {
    const total = sum(lines.map((line) => line.loads[load]));
    const assumed = sum(lines.filter((line) => line.assumed).map((line) => line.loads[load]));
    return total === 0 ? 0 : assumed / total;
  };
  const { firm, soft } = own.push;
  return firm + soft === 0 ? 0 : (firm * part('firm') + soft * part('soft')) / (firm + soft);
}
