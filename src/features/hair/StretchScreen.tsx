import { plural, t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { strandsTogether, strandsToSettle } from '@/core/hair/checks';
import { comfortZoneOf } from '@/core/hair/state';
import { READING_LIMITS, REGIONS, type Head, type Region, type Strand } from '@/core/records/shapes';
import {
  selectPrefs,
  selectUnderway,
  strandDropped,
  strandTaken,
  underwayEnded,
  useAppDispatch,
  useAppSelector,
} from '@/store';
import { Body, Button, Choice, FieldGroup, Heading, Small, Strong } from '@/ui';
import { placeLabels } from '../shared/headWords';
import { CalibrateRuler } from './CalibrateRuler';
import { FlowScreen, withHead } from './FlowScreen';
import { RulerStrand } from './RulerStrand';
import { strandWords } from './strandWords';
import { TypedStrand } from './TypedStrand';

type Way = 'ruler' | 'typed';
const ways = perLanguage((): readonly { value: Way; label: string }[] => [
  { value: 'ruler', label: t`ruler on the screen` },
  { value: 'typed', label: t`type the lengths` },
]);
const UNKNOWN = 'unknown';
const regionOptions = perLanguage(
  () =>
    [
      { value: UNKNOWN, label: t`from the comb` },
      ...REGIONS.map((value) => ({ value, label: placeLabels()[value].toLowerCase() })),
    ] as const,
);

/** Several wet strands, one after the other: lay, stretch, let go. */
export const StretchScreen = withHead(function Stretch({ head }: { head: Head }) {
  const dispatch = useAppDispatch();
  const { pixelsPerMm } = useAppSelector(selectPrefs);
  const { strands } = useAppSelector(selectUnderway(head.headId));
  const [way, setWay] = useState<Way>('ruler');
  const [region, setRegion] = useState<Region | typeof UNKNOWN>(UNKNOWN);
  const [calibrating, setCalibrating] = useState(pixelsPerMm === null);
  const take = (strand: Strand) => dispatch(strandTaken({ headId: head.headId, strand }));
  const place = region === UNKNOWN ? null : region;
  const full = strands.length >= READING_LIMITS.strands;
  const key = `strand-${strands.length}`;
  if (way === 'ruler' && calibrating) {
    return (
      <CalibrateRuler
        start={pixelsPerMm}
        onDone={() => setCalibrating(false)}
        onTyping={() => setWay('typed')}
      />
    );
  }
  return (
    <FlowScreen
      head={head}
      flow="stretch"
      headline={
        strands.length === 0
          ? t`Stretch a wet strand`
          : t`${plural({ count: strands.length }, { one: '# strand', other: '# strands' })} measured`
      }
      reason={
        strands.length === 0 ? t`Three strands say something, five say it well.` : settleWords(head, strands)
      }
      measured={strands.length > 0 ? { strands } : null}
      onSaved={() => dispatch(underwayEnded({ headId: head.headId, part: 'strands' }))}
    >
      {full ? (
        <Body>{t`That's as many as one check takes.`}</Body>
      ) : (
        <>
          {way === 'ruler' && pixelsPerMm !== null ? (
            <RulerStrand
              key={key}
              number={strands.length + 1}
              region={place}
              pixelsPerMm={pixelsPerMm}
              onTaken={take}
            />
          ) : null}
          {way === 'typed' ? (
            <TypedStrand key={key} number={strands.length + 1} region={place} onTaken={take} />
          ) : null}
          <FieldGroup label={t`Where it grew`}>
            <Choice label={t`Where it grew`} options={regionOptions()} value={region} onChange={setRegion} />
          </FieldGroup>
        </>
      )}
      <FieldGroup label={t`How to measure`}>
        <Choice label={t`How to measure`} options={ways()} value={way} onChange={setWay} />
      </FieldGroup>
      <TakenStrands
        strands={strands}
        onDrop={(index) => dispatch(strandDropped({ headId: head.headId, index }))}
      />
      {way === 'ruler' ? (
        <View className="items-start">
          <Button tone="quiet" label={t`Hold it against a card again`} onPress={() => setCalibrating(true)} />
        </View>
      ) : null}
    </FlowScreen>
  );
});

/** What more strands would do. */
function settleWords(head: Head, strands: readonly Strand[]): string {
  const { low, high } = comfortZoneOf(head, 'firmness');
  const more = strandsToSettle(
    strandsTogether(strands),
    strands.length,
    [low, high].flatMap((edge) => edge ?? []),
  );
  if (strands.length < 3)
    return t`${{ count: 3 - strands.length }} more at least: one strand may be an odd one.`;
  if (more === 0) return t`That settles on which side of comfortable it is. More would only sharpen it.`;
  if (more === null)
    return t`It lies so near the edge of comfortable that more strands would not settle it today.`;
  return t`If the next are alike, ${more} more would settle on which side of comfortable it is.`;
}

function TakenStrands({ strands, onDrop }: { strands: readonly Strand[]; onDrop: (index: number) => void }) {
  if (strands.length === 0) return null;
  return (
    <View className="gap-1">
      <Heading level={2}>{t`So far`}</Heading>
      <View role="list">
        {strands.map((strand, index) => (
          <View key={index} role="listitem" className="flex-row items-center gap-3 border-t border-line">
            <View className="flex-1">
              <Strong>{strandWords(strand)}</Strong>
              {strand.region ? <Small>{strand.region}</Small> : null}
            </View>
            <Button
              tone="quiet"
              label={t`Remove`}
              hint={t`Remove strand ${{ index: index + 1 }}`}
              onPress={() => onDrop(index)}
            />
          </View>
        ))}
      </View>
    </View>
  );
}
