import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { formatDay, type CalendarDay } from '@/core/base/measures';
import { writeRhythm } from '@/core/files/sharing';
import { rhythmLine, rhythmOf, weekWords, type RhythmState } from '@/core/plan/agenda';
import { ofKind, type Head } from '@/core/records/shapes';
import { selectLiveRecords, useAppSelector } from '@/store';
import { Body, Button, Heading, Small, Strong } from '@/ui';
import { fileNameOf, saveTextFile } from '../shared/browserFiles';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useLarder } from '../shared/useLarder';
import { useTakeBack } from '../shared/useTakeBack';
import { RhythmForm } from './RhythmForm';
import { rhythmStateWords } from './rhythmStateWords';
import { StreakPicture } from './StreakPicture';

interface RhythmsProps {
  readonly head: Head;
  readonly states: readonly RhythmState[];
  readonly today: CalendarDay;
  readonly recipeId?: string | undefined;
}

/** Periods that are drawn at most, the latest of them. */
const MOST_DRAWN = 52;

/** Her rhythms: each in one line, with what was kept; those with a name are challenges. */
export function Rhythms({ head, states, today, recipeId }: RhythmsProps) {
  return (
    <View className="gap-4">
      <Heading level={2}>{t`Your rhythms`}</Heading>
      {states.length === 0 ? (
        <Body>{t`Every second Friday, twice a month, every wash an oil: say how often, and the plan serves it.`}</Body>
      ) : null}
      {states.map((state) => (
        <RhythmRow key={state.rhythm.rhythmId} state={state} today={today} />
      ))}
      <RhythmForm head={head} today={today} recipeId={recipeId} />
    </View>
  );
}

function RhythmRow({ state, today }: { state: RhythmState; today: CalendarDay }) {
  const add = useAddRecords();
  const takeBack = useTakeBack();
  const larder = useLarder();
  const own = ofKind(useAppSelector(selectLiveRecords), 'ingredient');
  const { rhythm } = state;
  const of = rhythmOf(rhythm, larder.recipeName);
  const line = `${of}: ${rhythmLine(rhythm, today)}`;
  const name = rhythm.name ?? line;
  const { headline, lines } = rhythmStateWords(state);
  const week = weekWords(state.week);
  return (
    <View className="gap-1" testID="rhythm">
      <Strong>{rhythm.name ?? of}</Strong>
      <Body>
        {rhythm.name === null ? rhythmLine(rhythm, today) : line}
        {week === null || rhythm.until === null ? '' : ` · ${week}`}
      </Body>
      {state.theme === null ? null : <Body>{t`This week: ${{ theme: state.theme }}`}</Body>}
      <Small className="text-ink">{headline}</Small>
      <StreakPicture periods={state.periods.slice(-MOST_DRAWN)} label={headline} />
      {lines.map((each) => (
        <Small key={each}>{each}</Small>
      ))}
      <View className="flex-row flex-wrap gap-3">
        {state.over ? null : (
          <Button
            tone="quiet"
            label={t`Give up`}
            hint={t`Give up ${name}`}
            onPress={() =>
              add(
                [{ ...rhythm, ...newStamp(), corrects: rhythm.id, endedOn: today }],
                t`${name} is given up on ${{ today: formatDay(today, 'd MMMM') }}.`,
              )
            }
          />
        )}
        <Button
          tone="quiet"
          label={t`Remove`}
          hint={t`Remove ${name}`}
          onPress={() => takeBack(rhythm.id, t`${name} is removed.`)}
        />
        <Button
          tone="quiet"
          label={t`Share`}
          hint={t`Share ${name}`}
          onPress={() =>
            saveTextFile(
              `${fileNameOf(rhythm.name ?? of)}.json`,
              writeRhythm(larder, rhythm, own, newStamp().recordedAt),
              'application/json',
            )
          }
        />
      </View>
    </View>
  );
}
