import { t } from '@lingui/core/macro';
import { clamp, rounded, sum } from '../../base/measures';
import { CONFIDENCE, KIND_EDGES } from './constants';
import type { LineLoads } from './loads';
import type { SchoolVerdict } from './schoolVerdict';

/** How far the lines themselves can be trusted; see CONFIDENCE. */
export interface LineTrust {
  /** 0 to 1: lines that are not understood, of all ingredient lines. */
  readonly unreadShare: number;
  /** 0 to 1: weight whose amount rests on an assumption. */
  readonly assumedAmountShare: number;
}

export interface Confidence {
  /** 0.05 to 0.95 */
  readonly confidence: number;
  /** What takes confidence away, in words, the greatest first; empty where nothing much does. */
  readonly doubts: readonly string[];
}

/** A factor above this takes too little away to be worth a word. */
const WORTH_SAYING = 0.97;
/** A margin under this is called close to the edge; see marginOf. */
const CLOSE_MARGIN = 0.35;

/** How sure a verdict is: a start that every doubt multiplies down. */
export function confidenceIn(own: SchoolVerdict, lines: readonly LineLoads[], trust: LineTrust): Confidence {
  const percent = (share: number) => t`${{ share: Math.round(100 * share) }} %`;
  const assumed = assumedShare(own, lines);
  const margin = marginOf(own);
  const factors = [
    {
      factor: 1 - CONFIDENCE.unread * trust.unreadShare,
      text: t`${{ percent: percent(trust.unreadShare) }} of the lines are not understood and count for nothing.`,
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
      factor: 1 - CONFIDENCE.thinMargin * (1 - margin),
      text: margin < CLOSE_MARGIN ? t`It lies close to the edge between two kinds.` : null,
    },
  ].sort((a, b) => a.factor - b.factor);
  const product = factors.reduce<number>((total, { factor }) => total * factor, CONFIDENCE.start);
  return {
    confidence: clamp(rounded(product, 2), 0.05, 0.95),
    doubts: factors.flatMap(({ factor, text }) => (factor < WORTH_SAYING && text !== null ? [text] : [])),
  };
}

/** The distance of the pushes' ratio from the edge between two kinds; 0 at the edge, 1 far from it. */
function marginOf({ kind, push: { firm, soft } }: SchoolVerdict): number {
  if (kind === 'oil') return 1;
  const ratio = Math.max(firm, soft) / Math.max(0.01, Math.min(firm, soft));
  return clamp(Math.abs(ratio - KIND_EDGES.lead) / KIND_EDGES.lead, 0, 1);
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
