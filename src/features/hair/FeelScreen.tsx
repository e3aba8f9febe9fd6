import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { MARKS, NO_MARKS, type Head, type Measured } from '@/core/records/shapes';
import { Button, Choice, FieldGroup } from '@/ui';
import { FeelScale } from '../shared/FeelScale';
import { markOptions } from '../shared/markOptions';
import { FlowScreen, withHead } from './FlowScreen';
import { ScalpSigns } from './ScalpSigns';

type Felt = Pick<Measured, 'feel' | 'marks' | 'scalp'>;
const NOTHING: Felt = { feel: null, marks: NO_MARKS, scalp: [] };

/** A stroke over the hair and a look at the scalp, all by taps. */
export const FeelScreen = withHead(function Feel({ head }: { head: Head }) {
  const [felt, setFelt] = useState(NOTHING);
  const isAny =
    felt.feel !== null || felt.scalp.length > 0 || MARKS.some((mark) => felt.marks[mark] !== null);
  return (
    <FlowScreen
      head={head}
      flow="feel"
      headline={t`How does it feel?`}
      reason={t`Only what you notice; leave the rest.`}
      measured={isAny ? felt : null}
    >
      <FieldGroup label={t`Feel`}>
        <FeelScale value={felt.feel} onChange={(feel) => setFelt({ ...felt, feel })} />
      </FieldGroup>
      {MARKS.map((mark) => (
        <FieldGroup key={mark} label={markOptions()[mark].label}>
          <Choice
            label={markOptions()[mark].label}
            options={markOptions()[mark].options}
            value={felt.marks[mark]}
            onChange={(value) => setFelt({ ...felt, marks: { ...felt.marks, [mark]: value } })}
          />
        </FieldGroup>
      ))}
      <FieldGroup label={t`Scalp`}>
        <ScalpSigns signs={felt.scalp} onChange={(scalp) => setFelt({ ...felt, scalp })} />
      </FieldGroup>
      {isAny ? (
        <View className="items-start">
          <Button tone="quiet" label={t`Clear everything`} onPress={() => setFelt(NOTHING)} />
        </View>
      ) : null}
    </FlowScreen>
  );
});
