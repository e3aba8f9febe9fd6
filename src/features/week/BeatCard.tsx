import { View } from 'react-native';
import { formatDay } from '@/core/measures';
import type { Beat, PrepTask } from '@/core/planning';
import { Body, Button, Heading, Small, Strong } from '@/ui';
import { kindInWords, minutesText, SLOT_WORDS } from '../shared/beatWords';
import type { DoneBeat } from './weekRows';

interface PlannedBeatProps {
  readonly beat: Beat;
  readonly open: boolean;
  readonly onToggle: () => void;
  /** Only where it can be done already. */
  readonly onDone?: (() => void) | undefined;
}

/** One planned beat: what, how long, why here. */
export function PlannedBeat({ beat, open, onToggle, onDone }: PlannedBeatProps) {
  return (
    <View className="gap-0.5" testID={`beat-${beat.slot}-${beat.day}`}>
      <Strong>{beat.name}</Strong>
      <Small>
        {beat.slot === 'refresh' ? `${SLOT_WORDS.refresh} · ` : `${kindInWords(beat.kind, beat.strength)} · `}
        {beat.overnight ? 'overnight' : minutesText(beat.minutes)}
      </Small>
      <View className="flex-row flex-wrap gap-x-3">
        <Button
          tone="quiet"
          label="Why here?"
          hint={`Why ${beat.name} here?`}
          expanded={open}
          onPress={onToggle}
        />
        {onDone ? (
          <Button tone="quiet" label="I did this" hint={`I did ${beat.name}`} onPress={onDone} />
        ) : null}
      </View>
      {open ? (
        <View className="gap-1 border-l-2 border-rule pl-3">
          {beat.reasons.map((reason) => (
            <Body key={reason.code}>{reason.text}</Body>
          ))}
        </View>
      ) : null}
    </View>
  );
}

interface BeatDetailProps {
  readonly beat: Beat;
  readonly onDone?: (() => void) | undefined;
}

/** All there is to say about one planned beat, for the pane of a wide screen. */
export function BeatDetail({ beat, onDone }: BeatDetailProps) {
  return (
    <View className="gap-2 pt-4">
      <Heading level={2}>{beat.name}</Heading>
      <Small>
        {formatDay(beat.day, 'EEEE d MMMM')} · {kindInWords(beat.kind, beat.strength)} ·{' '}
        {beat.overnight ? 'overnight' : minutesText(beat.minutes)}
      </Small>
      {beat.reasons.map((reason) => (
        <Body key={reason.code}>{reason.text}</Body>
      ))}
      {onDone ? (
        <View className="items-start pt-1">
          <Button tone="main" label="I did this" hint={`I did ${beat.name}`} onPress={onDone} />
        </View>
      ) : null}
    </View>
  );
}

export function FinishedBeat({ beat }: { beat: DoneBeat }) {
  return (
    <View className="gap-0.5">
      <Strong>{beat.name}</Strong>
      <Small>
        {kindInWords(beat.kind, beat.strength)} · {minutesText(beat.contactMinutes)} on · done
      </Small>
    </View>
  );
}

export function Preparation({ tasks }: { tasks: readonly PrepTask[] }) {
  return tasks.map((task) => (
    <Small key={`${task.forRecipeId}-${task.text}`}>
      <Small className="font-strong text-ink">Prepare: </Small>
      {task.text}
    </Small>
  ));
}
