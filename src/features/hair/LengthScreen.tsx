import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { formatDay, lengthText, unitShown } from '@/core/base/measures';
import { BLANK_DRAFT, readingFromDraft } from '@/core/hair/checks';
import { REGIONS, type Head, type Region } from '@/core/records/shapes';
import { Field, Small } from '@/ui';
import { placeLabels } from '../shared/headWords';
import { useHistory } from '../shared/useHistory';
import { useMeasured } from '../shared/useMeasured';
import { useToday } from '../shared/useToday';
import { FlowScreen, withHead } from './FlowScreen';
import { lastLength } from './lengthKept';

/** A tape at four fixed places. */
export const LengthScreen = withHead(function Length({ head }: { head: Head }) {
  const today = useToday();
  const { readings } = useHistory(head.headId);
  const [lengths, setLengths] = useState(BLANK_DRAFT.lengths);
  const made = readingFromDraft(
    { ...BLANK_DRAFT, lengths, day: today, moment: 'dry' },
    { id: 'draft', headId: head.headId, recordedAt: new Date(0).toISOString() },
    today,
  );
  const problemOf = (place: Region) =>
    made.ok ? undefined : made.problems.find(({ path }) => path === `lengths.${place}`)?.message;
  return (
    <FlowScreen
      head={head}
      flow="length"
      headline={t`How long is it?`}
      reason={t`Once a month is plenty. Stretched straight, in ${{ unit: unitShown('length') }}.`}
      measured={made.ok ? { lengths: made.value.lengths } : null}
      momentFree
    >
      <View className="flex-row flex-wrap gap-4">
        {REGIONS.map((place) => {
          const before = lastLength(readings, place);
          return (
            <View key={place} className="w-field-l gap-1">
              <LengthInput
                place={place}
                value={lengths[place]}
                onChange={(cm) => setLengths({ ...lengths, [place]: cm })}
                problem={problemOf(place)}
              />
              <Small>
                {before
                  ? t`${{ length: lengthText(before.cm) }} on ${{ day: formatDay(before.day, 'd MMM yyyy') }}`
                  : t`not measured yet`}
              </Small>
            </View>
          );
        })}
      </View>
    </FlowScreen>
  );
});

interface LengthInputProps {
  readonly place: Region;
  /** Centimetres, as text. */
  readonly value: string;
  readonly onChange: (cm: string) => void;
  readonly problem: string | undefined;
}

function LengthInput({ place, problem, ...field }: LengthInputProps) {
  return (
    <Field
      label={placeLabels()[place]}
      numeric
      {...useMeasured('length', field)}
      problem={problem}
      testID={`length-${place}`}
    />
  );
}
