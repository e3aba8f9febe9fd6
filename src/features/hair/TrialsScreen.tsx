import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { View } from 'react-native';
import { formatDay } from '@/core/base/measures';
import type { HeadHistory } from '@/core/hair/history';
import { readingsFor, trialState } from '@/core/hair/trials';
import type { Head } from '@/core/records/shapes';
import { Button, Screen, Small, Strong } from '@/ui';
import { LinkRow } from '../shared/LinkBox';
import { armWords, sidesWords, trialQuestion, washWords } from '../shared/trialWords';
import { useHistory } from '../shared/useHistory';
import { useToday } from '../shared/useToday';
import { withHead } from './FlowScreen';
import { HairTabs } from './HairTabs';

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
      before={<HairTabs here="/hair/trials" />}
      ofPerson
      headline={running ? trialQuestion(running.trial, larder) : t`No trial is running`}
      reason={
        running?.stage.what === 'wash'
          ? running.stage.isDue
            ? running.trial.sides
              ? t`Due now. ${{ sides: sidesWords(running.stage.arm, running.trial, larder) }}`
              : t`Due now: ${{ arm: armWords(running.stage.arm, running.trial, larder) }}.`
            : t`Next, from ${{ from: formatDay(running.stage.from, 'EEEE d MMM') }}: ${{ arm: washWords(running.stage.arm, running.trial, larder) }}.`
          : t`One question, a few weeks, an answer.`
      }
    >
      {running ? null : <LikelyQuestions history={history} />}
      <View className="items-start">
        <Button
          tone={running ? 'plain' : 'main'}
          label={t`Ask a question`}
          onPress={() => router.push('/hair/trials/new')}
          testID="new-trial"
        />
      </View>
      <View role="list">
        {states.map(({ trial, done, of, stage }) => (
          <View key={trial.id} role="listitem">
            <LinkRow href={`/hair/trials/${trial.trialId}`}>
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

/** Questions offered where none is running. */
const OFFERED = 2;

/** What is used most is what is most worth knowing. */
function LikelyQuestions({ history: { sessions, larder } }: { history: HeadHistory }) {
  const uses = new Map<string, number>();
  for (const { recipeId } of sessions) uses.set(recipeId, (uses.get(recipeId) ?? 0) + 1);
  const most = [...uses]
    .sort((a, b) => b[1] - a[1])
    .flatMap(([recipeId]) => larder.recipes.find((recipe) => recipe.recipeId === recipeId) ?? [])
    .slice(0, OFFERED);
  return most.map(({ recipeId, name }) => (
    <LinkRow key={recipeId} href={`/hair/trials/new?recipe=${recipeId}`}>
      <Strong className="text-lead">{t`Does ${name} do anything?`}</Strong>
      <Small>{t`Against a wash without any treatment.`}</Small>
    </LinkRow>
  ));
}
