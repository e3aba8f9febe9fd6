import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { formatDay, type CalendarDay } from '@/core/base/measures';
import type { ChallengeState } from '@/core/plan/agenda';
import type { Occasion, Head } from '@/core/records/shapes';
import type { HeadAnswer } from '@/store';
import { Body, Button, Heading, Screen, Small, Strong } from '@/ui';
import { HeadPicker } from '../shared/HeadPicker';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useHistory } from '../shared/useHistory';
import { useTakeBack } from '../shared/useTakeBack';
import { WithPlan } from '../shared/WithHead';
import { CalendarExport } from './CalendarExport';
import { ChallengeForm } from './ChallengeForm';
import { OccasionForm } from './OccasionForm';
import { challengeWords, occasionWords } from './occasionWords';
import { StreakPicture } from './StreakPicture';
import { WeekTabs } from './WeekTabs';

/** What the plan has to know about her days: styles, days to look good, days without a wash, other hours; and challenges. */
export function DaysScreen() {
  return <WithPlan>{(head, answer) => <Days key={head.headId} head={head} answer={answer} />}</WithPlan>;
}

function Days({ head, answer }: { head: Head; answer: HeadAnswer }) {
  const history = useHistory(head.headId);
  const today = answer.plan.from;
  const coming = history.occasions.filter(({ to }) => to >= today).sort((a, b) => (a.from < b.from ? -1 : 1));
  const [next] = coming;
  return (
    <Screen
      before={<WeekTabs here="/week/days" />}
      over={head.name}
      headline={next ? occasionWords(next).title : t`Nothing special ahead`}
      reason={t`Say what is coming, and the plan goes around it.`}
      side={<Challenges head={head} states={answer.plan.challenges} today={today} />}
    >
      <HeadPicker />
      {coming.map((occasion) => (
        <OccasionRow key={occasion.id} occasion={occasion} />
      ))}
      <OccasionForm head={head} today={today} />
      <CalendarExport head={head} plan={answer.plan} />
    </Screen>
  );
}

function OccasionRow({ occasion }: { occasion: Occasion }) {
  const takeBack = useTakeBack();
  const { title, text } = occasionWords(occasion);
  return (
    <View className="gap-0.5 border-b border-line pb-2">
      <Strong>{title}</Strong>
      <Small>{text}</Small>
      {occasion.note ? <Body>{occasion.note}</Body> : null}
      <View className="items-start">
        <Button
          tone="quiet"
          label={t`Take it out`}
          hint={t`Take out: ${title}`}
          onPress={() => takeBack(occasion.id, t`${title} is taken out.`)}
        />
      </View>
    </View>
  );
}

interface ChallengesProps {
  readonly head: Head;
  readonly states: readonly ChallengeState[];
  readonly today: CalendarDay;
}

function Challenges({ head, states, today }: ChallengesProps) {
  const add = useAddRecords();
  return (
    <View className="gap-4">
      <Heading level={2}>{t`Challenges`}</Heading>
      {states.length === 0 ? (
        <Body>{t`Eight weeks or a year of one good habit. A missed week stays visible; the count goes on.`}</Body>
      ) : null}
      {states.map((state) => {
        const { challenge } = state;
        const { headline, lines } = challengeWords(state);
        return (
          <View key={challenge.challengeId} className="gap-1" testID="challenge">
            <Strong>{challenge.name}</Strong>
            <Body>{headline}</Body>
            <StreakPicture weeks={state.weeks} label={headline} />
            {lines.map((line) => (
              <Small key={line}>{line}</Small>
            ))}
            {state.over ? null : (
              <View className="items-start">
                <Button
                  tone="quiet"
                  label={t`Give it up`}
                  hint={t`Give up ${{ challengeName: challenge.name }}`}
                  onPress={() =>
                    add(
                      [{ ...challenge, ...newStamp(), corrects: challenge.id, givenUpOn: today }],
                      t`${{ challengeName: challenge.name }} is given up on ${{ today: formatDay(today, 'd MMMM') }}.`,
                    )
                  }
                />
              </View>
            )}
          </View>
        );
      })}
      <ChallengeForm head={head} today={today} />
    </View>
  );
}
