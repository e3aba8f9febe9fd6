import { useState } from 'react';
import { fromShown, inShown, rounded, shownUnits, type Measure } from '@/core/base/measures';
import { numberFrom } from './amounts';

interface Typed {
  readonly value: string;
  readonly onChange: (text: string) => void;
}

/**
 * A field in inches or ounces over a form that is kept in centimetres or grams; what is no number stays as it is typed, for
 * the form to say so.
 */
export function useMeasured(measure: Measure, { value, onChange }: Typed): Typed {
  const [typed, setTyped] = useState<{ readonly as: string; readonly text: string } | null>(null);
  if (shownUnits() === 'metric') return { value, onChange };
  const stored = numberFrom(value);
  const shown = Number.isNaN(stored) ? value : String(rounded(inShown(measure, stored), 2));
  return {
    value: typed?.as === value ? typed.text : shown,
    onChange: (text) => {
      const number = numberFrom(text);
      const as = Number.isNaN(number) ? text : String(rounded(fromShown(measure, number), 2));
      setTyped({ as, text });
      onChange(as);
    },
  };
}
