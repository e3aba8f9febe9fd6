import { useDeferredValue, useMemo } from 'react';
import { ok, type Result } from '@/core/base/measures';
import { checkFormula, isFormula, type Formula } from '@/core/kitchen/formulation';
import { detailsOf, trustOf } from '@/core/recipe/classification';
import { parseRecipe } from '@/core/recipe/parsing';
import { readLines, type ParsedRecipe } from '@/core/recipe/recipes';
import { judge } from '@/core/recipe/safety';
import { selectPrefs, useAppSelector } from '@/store';
import { useHead } from '../shared/useHead';
import { useLarder } from '../shared/useLarder';
import type { Judged } from './VerdictPane';

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
    const formula = isFormula(parsed.value) ? checkFormula(parsed.value, larder) : null;
    const judgement = judge(readLines(parsed.value), head, larder, {
      trust: trustOf(parsed.value),
      texts: parsed.value.lines.map((line) => line.text),
    });
    const judged = judgement.ok
      ? ok({ ...judgement.value, details: detailsOf(judgement.value.verdict, judgement.value.lines) })
      : judgement;
    return { parsed, judged, formula };
  }, [text, larder, cup, head]);
}
