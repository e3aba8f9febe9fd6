import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { Text, useWindowDimensions, View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { rounded } from '@/core/base/measures';
import { returnPercentOf, STRETCH, stretchPercentOf } from '@/core/hair/checks';
import { strandSchema, type Region, type Strand } from '@/core/records/shapes';
import { Body, Button, Problem, Small, Strong } from '@/ui';
import { Ruler } from '@/ui/Ruler';

const RULER = { leastMm: 50, mostMm: 180, roomPx: 388 } as const;
/** Where the line waits at first, as a share of the ruler. */
const FIRST_LINE = 0.55;

type Phase = 'rest' | 'stretched' | 'released';
const nextWords = perLanguage((): Record<Phase, string> => ({
  rest: t`That is its rest`,
  stretched: t`That is enough`,
  released: t`Take this strand`,
}));

const LENGTH_OF: Record<Phase, (number: number) => string> = {
  rest: (number) => t`Length of strand ${number}, at rest`,
  stretched: (number) => t`Length of strand ${number}, stretched`,
  released: (number) => t`Length of strand ${number}, let go`,
};

interface RulerStrandProps {
  readonly number: number;
  readonly region: Region | null;
  readonly pixelsPerMm: number;
  readonly onTaken: (strand: Strand) => void;
}

/** One strand on the ruler of the screen, in three moves of the line. */
export function RulerStrand({ number, region, pixelsPerMm, onTaken }: RulerStrandProps) {
  const { height } = useWindowDimensions();
  const lengthMm = Math.round(
    Math.min(RULER.mostMm, Math.max(RULER.leastMm, (height - RULER.roomPx) / pixelsPerMm)),
  );
  const [phase, setPhase] = useState<Phase>('rest');
  const [line, setLine] = useState(Math.round(lengthMm * FIRST_LINE));
  const [restMm, setRestMm] = useState(0);
  const [stretchedMm, setStretchedMm] = useState(0);
  const [problem, setProblem] = useState<string | null>(null);
  const enoughMm = restMm * (1 + STRETCH.comfortablePercent / 100);

  const finish = (strand: unknown) => {
    const checked = strandSchema.safeParse(strand);
    if (checked.success) onTaken(checked.data);
    else setProblem(checked.error.issues[0]?.message ?? t`These lengths cannot be.`);
  };
  const go = () => {
    setProblem(null);
    if (phase === 'rest') {
      setRestMm(line);
      setPhase('stretched');
    } else if (phase === 'stretched') {
      if (line < restMm)
        return setProblem(t`The stretched length cannot be shorter than the length at rest.`);
      setStretchedMm(line);
      setLine(restMm);
      setPhase('released');
    } else finish({ outcome: 'returned', region, restMm, stretchedMm, releasedMm: line });
  };
  return (
    <View className="gap-2" role="group" aria-label={t`Strand ${number}`}>
      <Strong className="text-lead">{phaseWords(phase, number)}</Strong>
      <View className="flex-row gap-4">
        <Ruler
          label={LENGTH_OF[phase](number)}
          pixelsPerMm={pixelsPerMm}
          lengthMm={lengthMm}
          value={line}
          onChange={setLine}
          marks={[
            ...(phase === 'rest' ? [] : [{ at: restMm, text: 'rest' }]),
            ...(phase === 'released' ? [{ at: stretchedMm, text: 'stretched' }] : []),
          ]}
          stopFrom={phase === 'stretched' ? enoughMm : null}
          testID="ruler"
        />
        <View className="flex-1 gap-3 pt-4">
          <Text className="font-head text-huge text-ink" testID="ruler-figure">
            {figureOf(phase, line, restMm, stretchedMm)}
          </Text>
          <Body>{underFigure(phase, lengthMm)}</Body>
          {phase === 'stretched' && line > enoughMm ? (
            <Problem
              live
            >{t`Stop here: beyond ${{ comfortablePercent: STRETCH.comfortablePercent }} % the pull itself harms the strand. Take it as it is.`}</Problem>
          ) : null}
          {problem ? <Problem live>{problem}</Problem> : null}
          <Button tone="main" label={nextWords()[phase]} onPress={go} testID="strand-next" />
          {phase === 'stretched' ? (
            <Button
              label={t`It snapped`}
              onPress={() =>
                finish({ outcome: 'snapped', region, restMm, snappedMm: line > restMm ? line : null })
              }
              testID="strand-snapped"
            />
          ) : null}
          {phase === 'rest' ? null : (
            <Button
              tone="quiet"
              label={t`Begin this strand again`}
              onPress={() => {
                setPhase('rest');
                setLine(restMm);
              }}
            />
          )}
          <Small>{t`Or use the arrow keys: half a millimetre each.`}</Small>
        </View>
      </View>
    </View>
  );
}

function phaseWords(phase: Phase, number: number): string {
  if (phase === 'rest') return t`Strand ${number}: its top at 0, the line at its end`;
  return phase === 'stretched' ? t`Pull slowly, then move the line` : t`Let go, then move the line`;
}

function figureOf(phase: Phase, line: number, restMm: number, stretchedMm: number): string {
  if (phase === 'rest') return t`${line} mm`;
  return phase === 'stretched'
    ? t`${{ stretchPercent: rounded(stretchPercentOf(restMm, line)) }} %`
    : t`${{ returnPercent: rounded(returnPercentOf(restMm, stretchedMm, line)) }} %`;
}

function underFigure(phase: Phase, lengthMm: number): string {
  if (phase === 'rest')
    return t`at rest. Pinch off a piece of up to ${{ lengthMm: Math.floor(lengthMm / 1.4 / 5) * 5 }} mm, to leave room for the stretch.`;
  return phase === 'stretched' ? t`stretched` : t`come back`;
}
