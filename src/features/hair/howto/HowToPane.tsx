import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Heading, Small, useWide } from '@/ui';
import { DRAWINGS } from './drawings';
import { howTos, type FlowId } from './flows';

/** How a reading is taken and why, drawn. */
function HowTo({ flow }: { flow: FlowId }) {
  const { why, steps } = howTos()[flow];
  return (
    <View className="gap-3">
      {steps.map(({ drawing, text }) => {
        const Drawing = DRAWINGS[drawing];
        return (
          <View key={drawing} className="flex-row items-center gap-3">
            <Drawing />
            <Small className="flex-1 text-ink">{text}</Small>
          </View>
        );
      })}
      <Body>{why}</Body>
    </View>
  );
}

/** On a wide screen: the how-to beside the flow. */
export function HowToSide({ flow }: { flow: FlowId }) {
  return (
    <View className="gap-3 pt-2">
      <Heading level={2}>{t`How, and why`}</Heading>
      <HowTo flow={flow} />
    </View>
  );
}

/** On a phone: above the flow the first time, then folded. */
export function HowToFold({ flow, firstTime }: { flow: FlowId; firstTime: boolean }) {
  const wide = useWide();
  const [open, setOpen] = useState(firstTime);
  if (wide) return null;
  return (
    <View className="gap-2">
      <View className="items-start">
        <Button
          tone="quiet"
          label={open ? t`Hide how and why` : t`How, and why`}
          expanded={open}
          onPress={() => setOpen((shown) => !shown)}
        />
      </View>
      {open ? <HowTo flow={flow} /> : null}
    </View>
  );
}
