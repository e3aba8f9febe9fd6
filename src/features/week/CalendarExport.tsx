import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import type { Plan } from '@/core/plan/planning';
import { ofKind, type StoredRecord, Head } from '@/core/records/shapes';
import { selectLiveRecords, useAppSelector } from '@/store';
import { Button, Heading, Small } from '@/ui';
import { saveTextFile } from '../shared/browserFiles';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';

/** The plan as a file for her calendar; exported again it moves and takes out what it put there. */
export function CalendarExport({ head, plan }: { head: Head; plan: Plan }) {
  const add = useAddRecords();
  const records = useAppSelector(selectLiveRecords);
  const last = ofKind(records, 'calendar-export').findLast(({ headId }) => headId === head.headId);
  const save = async () => {
    const { calendarFile } = await import('@/core/files/calendar');
    const stamp = newStamp();
    const { text, entries } = calendarFile(plan, head, last?.entries ?? [], stamp.recordedAt);
    saveTextFile(`hair-of-${head.headId}.ics`, text, 'text/calendar');
    const written: StoredRecord = {
      ...stamp,
      kind: 'calendar-export',
      headId: head.headId,
      entries: [...entries],
    };
    add([written], t`The calendar file is written. Open it with your calendar.`);
  };
  return (
    <View className="gap-2 pt-2">
      <Heading level={2}>{t`In your calendar`}</Heading>
      <Small>
        {last
          ? t`Wash days at the hour at which you may begin, with what has to be begun before, and an alarm for each. Written again, it moves what has moved and takes out what is no longer planned.`
          : t`Wash days at the hour at which you may begin, with what has to be begun before, and an alarm for each.`}
      </Small>
      <View className="items-start">
        <Button label={t`Calendar file`} onPress={() => void save()} testID="calendar-file" />
      </View>
    </View>
  );
}
