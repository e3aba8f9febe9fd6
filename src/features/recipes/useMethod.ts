import { useMemo } from 'react';
import { shownMethod, warningsOf, type Method, type MethodWarning } from '@/core/kitchen/methods';
import type { SavedStep } from '@/core/records/shapes';
import { prefsChanged, selectPrefs, useAppDispatch, useAppSelector } from '@/store';
import { useKit } from '../shared/useKit';
import { useLarder } from '../shared/useLarder';
import type { Making } from './makingOf';

interface MeasureBy {
  readonly by: 'own' | 'scale';
  /** A house without a scale is not asked. */
  readonly canChoose: boolean;
  choose(by: 'own' | 'scale'): void;
}

/** Whether a batch is measured in her own measures or on a scale. */
export function useMeasureBy(): MeasureBy {
  const { lacks } = useKit();
  const { measure } = useAppSelector(selectPrefs);
  const dispatch = useAppDispatch();
  const canChoose = !lacks.includes('scale');
  return {
    by: canChoose ? measure : 'own',
    canChoose,
    choose: (by) => dispatch(prefsChanged({ measure: by })),
  };
}

/** The steps of a batch with its amounts, as they are measured out in this house. */
export function useMethod(making: Pick<Making, 'recipe' | 'factor'>, steps: readonly SavedStep[]): Method {
  const larder = useLarder();
  const { by } = useMeasureBy();
  const { recipe, factor } = making;
  return useMemo(
    () => shownMethod(steps, recipe.lines, larder, { factor, hasScale: by === 'scale' }),
    [steps, recipe, factor, larder, by],
  );
}

/** Where something would go wrong as the steps stand. */
export function useWarnings({ recipe, steps }: Pick<Making, 'recipe' | 'steps'>): MethodWarning[] {
  const larder = useLarder();
  return useMemo(() => warningsOf(steps, recipe.lines, larder), [steps, recipe, larder]);
}
