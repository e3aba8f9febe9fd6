import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { View } from 'react-native';
import { formatDay } from '@/core/base/measures';
import { readingsFor, trialState } from '@/core/hair/trials';
import type { Head } from '@/core/records/shapes';
import { Button, Screen, Small, Strong } from '@/ui';
import { LinkRow } from '../shared/LinkBox';
import { armWords, sidesWords, trialQuestion, washWords } from '../shared/trialWords';
import { useHistory } from '../shared/useHistory';
import { useToday } from '../shared/useToday';
import { withHead } from './FlowScreen';
import { StrandTabs } from './StrandTabs';

/** Questions put to the hair, running and answered. */
export const TrialsScreen = withHead(function Trials({ head }: { head: Head }) {
  const history = useHistory(head.headId);
  const { trials, trialWashes, larder } = history;
  const today = useToday();
  const states = [...trials]
    .reverse()
    .map((trial) => trialState(trial, trialWashes, readingsFor(trial, history), today));
  const running = states.find(({ stage }) => stage.what === 'wash');
  return (
    <Screen
      before={<StrandTabs here="/strand/trials" />}
      ofPerson
      headline={running ? trialQuestion(running.trial, larder) : t`No trial is running`}
      reason={
        running?.stage.what === 'wash'
          ? running.stage.isDue
            ? running.trial.sides
              ? t`Due now. ${{ sides: sidesWords(running.stage.arm, running.trial, larder) }}`
              : t`Due now: ${{ arm: armWords(running.stage.arm, running.trial, larder) }}.`
            : t`Next, from ${{ from: formatDay(running.stage.from, 'EEEE d MMM') }}: ${{ arm: washWords(running.stage.arm, running.trial, larder) }}.`
          : t`“I think it helped” can be settled: one question, a few weeks, an answer with its error.`
      }
    >
      <View className="items-start">
        <Button
          tone={running ? 'plain' : 'main'}
          label={t`Ask a question`}
          onPress={() => router.push('/strand/trials/new')}
          testID="new-trial"
        />
      </View>
      <View role="list">
        {states.map(({ trial, done, of, stage }) => (
          <View key={trial.id} role="listitem">
            <LinkRow href={`/strand/trials/${trial.trialId}`}>
              <Strong className="text-lead">{trialQuestion(trial, larder)}</Strong>
              <Small>
                {t`${done} of ${plural(of, { one: '# wash', other: '# washes' })} since ${{ startsOn: formatDay(trial.startsOn, 'd MMM yyyy') }} · ${{ state: stage.what === 'over' ? stage.why : t`running` }}`}
              </Small>
            </LinkRow>
          </View>
        ))}
      </View>
    </Screen>
  );
});
