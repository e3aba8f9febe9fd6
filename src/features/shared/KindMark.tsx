import Svg from 'react-native-svg';
import type { TreatmentKind } from '@/core/recipe/classification';
import { useTokens } from '@/ui';
import { Mark } from '@/ui/charts/Mark';
import { MARK_OF_KIND } from './treatmentWords';

/** The mark of a treatment's kind at the size of a line of text; the word stands beside it. */
export function KindMark({ kind, done }: { kind: TreatmentKind; done: boolean }) {
  const tokens = useTokens();
  return (
    <Svg width={40} height={24} aria-hidden>
      <Mark
        kind={MARK_OF_KIND[kind]}
        x={14}
        y={12}
        strength={0.5}
        done={done}
        firmIs="right"
        tokens={tokens}
      />
    </Svg>
  );
}
