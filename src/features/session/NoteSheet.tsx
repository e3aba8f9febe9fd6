import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { Noted } from '@/core/hair/history';
import { Button, Choice, Field, FieldGroup } from '@/ui';
import { Sheet } from '@/ui/Sheet';
import { BallChoice } from '../shared/BallChoice';
import { markOptions } from '../shared/markOptions';
import type { LiveRun } from './useRun';

const MARKS_NOTED = ['softness', 'shine', 'slip', 'scent'] as const;

/** With wet hands, in the middle of the wash: how much came out, and what it is like. */
export function NoteSheet({ live, onClose }: { live: LiveRun; onClose: () => void }) {
  const { state, happen } = live;
  const [noted, setNoted] = useState<Noted>(state.noted);
  const save = () => {
    const { note, ...rest } = noted;
    happen({ what: 'noted', noted: note?.trim() ? noted : rest });
    onClose();
  };
  return (
    <Sheet title={t`What you see`} onClose={onClose} testID="note-sheet" dark>
      <FieldGroup label={t`Shed hair, rolled into a ball`}>
        <BallChoice
          value={noted.shedBall ?? null}
          onChange={(shedBall) => setNoted({ ...noted, shedBall })}
        />
      </FieldGroup>
      {MARKS_NOTED.map((mark) => (
        <FieldGroup key={mark} label={markOptions()[mark].label}>
          <Choice
            label={markOptions()[mark].label}
            options={markOptions()[mark].options}
            value={noted[mark] ?? null}
            onChange={(value) => setNoted({ ...noted, [mark]: value })}
          />
        </FieldGroup>
      ))}
      <Field
        label={t`A note, if you like`}
        value={noted.note ?? ''}
        onChange={(note) => setNoted({ ...noted, note })}
        testID="wash-note-text"
      />
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label={t`Save note`} onPress={save} testID="save-note" />
        <Button
          label={t`Take a photo`}
          onPress={() => {
            save();
            router.push('/hair/photo');
          }}
        />
      </View>
    </Sheet>
  );
}
