import { useDeferredValue, useMemo } from 'react';
import { classifyLines, detailsOf, trustOf } from '@/core/classification';
import { checkFormula, isFormula, type Formula } from '@/core/formulation';
import { ok, type Result } from '@/core/measures';
import { readLines, weighedLines, type ParsedRecipe } from '@/core/recipes';
import { cautionsFor } from '@/core/safety';
import { selectPrefs, useAppSelector } from '@/store';
import { useHead } from '../shared/useHead';
import { useLarder } from '../shared/useLarder';
import type { Judged } from './VerdictPane';
import { parseRecipe } from '@/core/parsing';

export interface JudgedText {
  readonly parsed: Result<ParsedRecipe>;
  readonly judged: Result<Judged>;
  readonly formula: Formula | null;
}

/** Lines, verdict and cautions of a text, a step behind the typing when the text is long. */
export function useJudged(typed: string): JudgedText {
  const text = useDeferredValue(typed);
  const head = useHead();
  const larder = useLarder();
  const { cup } = useAppSelector(selectPrefs);
  return useMemo((): JudgedText => {
    const parsed = parseRecipe(text, { larder, cup });
    if (!parsed.ok) return { parsed, judged: parsed, formula: null };
    const lines = weighedLines(readLines(parsed.value), larder);
    const verdict = lines.ok
      ? classifyLines(lines.value, head?.school ?? 'my-hair', trustOf(parsed.value))
      : lines;
    const formula = isFormula(parsed.value) ? checkFormula(parsed.value, larder) : null;
    if (!lines.ok || !verdict.ok)
      return { parsed, judged: lines.ok ? (verdict as Result<never>) : lines, formula };
    const judged = ok({
      verdict: verdict.value,
      details: detailsOf(verdict.value, lines.value),
      cautions: cautionsFor(
        lines.value,
        verdict.value,
        head,
        parsed.value.lines.map((line) => line.text),
      ),
    });
    return { parsed, judged, formula };
  }, [text, larder, cup, head]);
}
