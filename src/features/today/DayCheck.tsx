import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { formatDay, type CalendarDay } from '@/core/base/measures';
import { readingOf } from '@/core/hair/checks';
import type { TodayAnswer } from '@/core/plan/question';
import type { Head } from '@/core/records/shapes';
import { selectPending, useAppSelector } from '@/store';
import { Body, Button, FieldGroup, Small } from '@/ui';
import { dueReading } from '../shared/dueReading';
import { Entry } from '../shared/Entry';
import { FeelScale } from '../shared/FeelScale';
import { momentNow } from '../shared/momentNow';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useHistory } from '../shared/useHistory';
import { useToday } from '../shared/useToday';

/** Twenty seconds before the day is decided, or once what was done has dried: one stroke, or two strands. */
export function DayCheck({ head, ask }: { head: Head; ask: NonNullable<TodayAnswer['ask']> }) {
  const today = useToday();
  const add = useAddRecords();
  const history = useHistory(head.headId);
  const isDecided = ask.moment === 'before';
  const felt = (feel: number) => {
    const made = readingOf(
      { feel },
      {
        ...newStamp(),
        headId: head.headId,
        day: today,
        moment: isDecided ? momentNow(history, today) : 'dry',
      },
      today,
    );
    if (made.ok) add([made.value], t`The check of ${{ headName: head.name }} is saved.`);
  };
  return (
    <View className="gap-2 border-t border-line pt-4" testID="day-check">
      <FieldGroup
        label={isDecided ? t`How does your hair feel?` : t`Once it’s dry: how does it feel?`}
        help={helpText(isDecided ? dueReading(history, today) : today, today)}
      >
        <FeelScale value={null} onChange={felt} />
      </FieldGroup>
      <View className="items-start">
        <Button tone="quiet" label={t`Stretch two`} onPress={() => router.push('/hair/stretch?then=today')} />
      </View>
    </View>
  );
}

/** @param treated the day of the treatment that shows now */
function helpText(treated: CalendarDay | undefined, today: CalendarDay): string {
  if (treated === undefined) return t`One stroke decides.`;
  return treated === today
    ? t`It tells what the treatment did.`
    : t`Stroke one: it shows what ${{ day: formatDay(treated, 'EEEE') }}’s treatment did, and decides today.`;
}

/** Where today's check decided that nothing goes on. */
export function NothingToday({ answer }: { answer: TodayAnswer }) {
  return (
    <Entry title={t`No mask today`} text={answer.short}>
      <WhyToday answer={answer} />
    </Entry>
  );
}

/** What today's answer is made of; while it is worked out anew, that. */
export function WhyToday({ answer }: { answer: TodayAnswer }) {
  const isPending = useAppSelector(selectPending);
  const [isOpen, setIsOpen] = useState(false);
  if (isPending) return <Small>{t`Working it out again.`}</Small>;
  return (
    <View className="max-w-full gap-2">
      <View className="items-start">
        <Button
          tone="quiet"
          label={t`Why?`}
          hint={t`Why? Today’s answer`}
          expanded={isOpen}
          onPress={() => setIsOpen(!isOpen)}
          testID="why-today"
        />
      </View>
      {isOpen ? <Body>{answer.why}</Body> : null}
    </View>
  );
}
