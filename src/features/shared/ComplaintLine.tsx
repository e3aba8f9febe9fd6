import { t } from '@lingui/core/macro';
import { router, type Href } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { COMPLAINTS, type Complaint, type Head } from '@/core/records/shapes';
import { Button, Chip, Small } from '@/ui';
import { complaintWords } from './headWords';
import { newStamp } from './stamp';
import { useAddRecords } from './useAddRecords';

/** Where what she says is looked into; where nothing measures it, where it is logged. */
const CHECK_OF: Readonly<Record<Complaint, Href>> = {
  breaks: '/hair/tally',
  sheds: '/hair/tally',
  dry: '/hair/stretch',
  tangles: '/hair/feel',
  frizz: '/hair/stretch',
  limp: '/hair/stretch',
  stiff: '/hair/stretch',
  edges: '/hair/photo',
  scalp: '/hair/feel',
  greasy: '/hair/feel',
  length: '/hair/length',
};

/** What troubles her, changed in two taps; several at once, the first is where answers begin. */
export function ComplaintLine({ head }: { head: Head }) {
  const add = useAddRecords();
  const [isOpen, setIsOpen] = useState(false);
  const { complaints } = head;
  const [worst] = complaints;
  const toggle = (complaint: Complaint) => {
    const next = complaints.includes(complaint)
      ? complaints.filter((other) => other !== complaint)
      : [...complaints, complaint];
    add(
      [
        {
          ...head,
          ...newStamp(),
          corrects: head.id,
          complaints: next,
          firstComplaints: head.firstComplaints ?? complaints,
        },
      ],
      next.length === 0
        ? t`Nothing troubles you now: it is noted.`
        : t`Noted: ${{ complaints: next.map((each) => complaintWords()[each]).join(', ') }}.`,
    );
  };
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap gap-x-4">
        {worst ? (
          <Button
            tone="quiet"
            label={t`Check it`}
            hint={t`Check it: ${{ complaint: complaintWords()[worst] }}`}
            onPress={() => router.push(CHECK_OF[worst])}
          />
        ) : null}
        <Button
          tone="quiet"
          label={complaints.length === 0 ? t`Something troubles you?` : t`Still so? Change it`}
          expanded={isOpen}
          onPress={() => setIsOpen(!isOpen)}
          testID="complaints"
        />
      </View>
      {isOpen ? (
        <View role="group" aria-label={t`What troubles you about it?`} className="flex-row flex-wrap gap-2">
          {COMPLAINTS.map((complaint) => (
            <Chip
              key={complaint}
              label={complaintWords()[complaint]}
              pressed={complaints.includes(complaint)}
              onPress={() => toggle(complaint)}
            />
          ))}
        </View>
      ) : null}
      {isOpen && complaints.length > 1 ? (
        <Small>{t`Answers begin with the one you chose first.`}</Small>
      ) : null}
    </View>
  );
}
