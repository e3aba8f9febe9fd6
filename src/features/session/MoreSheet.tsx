import { t } from '@lingui/core/macro';
import { useMemo } from 'react';
import { View } from 'react-native';
import {
  inMinutes,
  insteadOfMain,
  stepsAhead,
  withoutHeat,
  type ChangedPlan,
  type WashPlan,
} from '@/core/plan/washday';
import type { Head } from '@/core/records/shapes';
import { selectPrefs, prefsChanged, useAppDispatch, useAppSelector } from '@/store';
import { Body, Button, Choice, FieldGroup, Small } from '@/ui';
import { Sheet } from '@/ui/Sheet';
import { useHistory } from '../shared/useHistory';
import { dayUseOf, offered, treatmentOf, treatmentsIn, washPlanOf } from './dayPlan';
import { spokenWords } from './spoken';
import { ThrowAway } from './ThrowAway';
import type { LiveRun } from './useRun';
import type { useSpoken } from './useSpoken';

interface MoreProps {
  readonly head: Head;
  readonly live: LiveRun;
  readonly aloud: boolean;
  /** Null where the browser has no voice. */
  readonly setAloud: ((aloud: boolean) => void) | null;
  readonly voice: ReturnType<typeof useSpoken>;
  readonly onClose: () => void;
}

const MINUTES = [30, 45, 60, 90] as const;
const TIMERS = [5, 10, 15, 30, 60] as const;

/** What a day that goes otherwise needs: less time, no heat, something that ran out, another clock, or an end. */
export function MoreSheet({ head, live, aloud, setAloud, voice, onClose }: MoreProps) {
  const { state } = live;
  const dispatch = useAppDispatch();
  const { sound } = useAppSelector(selectPrefs);
  const changes = useChanges(head, live);
  const { happen } = live;
  const and = (act: () => void) => () => {
    act();
    onClose();
  };
  return (
    <Sheet title={t`Otherwise than planned`} onClose={onClose} testID="wash-sheet" dark>
      {state.changes.map((said) => (
        <Body key={said}>{said}</Body>
      ))}
      <Small>{t`Swipe left across the screen for done, right for back.`}</Small>
      {changes.withHeat ? <Button label={t`No heat today`} onPress={and(changes.noHeat)} /> : null}
      <FieldGroup label={t`Only so many minutes from now`}>
        <View className="flex-row flex-wrap gap-2">
          {MINUTES.map((minutes) => (
            <Button
              key={minutes}
              label={String(minutes)}
              hint={t`Only ${minutes} minutes from now`}
              onPress={and(() => changes.only(minutes))}
            />
          ))}
        </View>
      </FieldGroup>
      {changes.others.length > 0 ? (
        <FieldGroup label={t`Ran out? Another treatment instead`}>
          <View className="flex-row flex-wrap gap-2">
            {changes.others.map(({ name, take }) => (
              <Button key={name} label={name} onPress={and(take)} />
            ))}
          </View>
        </FieldGroup>
      ) : null}
      <FieldGroup label={t`A clock beside, in minutes`} help={t`For what soaks, steeps or dries meanwhile.`}>
        <View className="flex-row flex-wrap gap-2">
          {TIMERS.map((minutes) => (
            <Button
              key={minutes}
              label={String(minutes)}
              hint={t`A clock of ${minutes} minutes`}
              onPress={and(() =>
                happen({ what: 'timer', id: `own-${Date.now()}`, label: t`${minutes} minutes`, minutes }),
              )}
            />
          ))}
        </View>
      </FieldGroup>
      <Choice
        label={t`Sound`}
        options={[
          { value: 'on', label: t`ring when time is up` },
          { value: 'off', label: t`stay silent` },
        ]}
        value={sound ? 'on' : 'off'}
        onChange={(value) => dispatch(prefsChanged({ sound: value === 'on' }))}
      />
      {setAloud ? (
        <Choice
          label={t`Voice`}
          options={[
            { value: 'on', label: t`read each step aloud` },
            { value: 'off', label: t`no voice` },
          ]}
          value={aloud ? 'on' : 'off'}
          onChange={(value) => setAloud(value === 'on')}
        />
      ) : (
        <Small>{t`This browser has no voice to read the steps aloud.`}</Small>
      )}
      {voice.canHear ? (
        <View className="gap-1">
          <Choice
            label={t`By your voice`}
            options={[
              { value: 'on', label: t`listen to me` },
              { value: 'off', label: t`only taps` },
            ]}
            value={voice.listens ? 'on' : 'off'}
            onChange={(value) => voice.setListens(value === 'on')}
          />
          <Small>{t`Say “${{ done: spokenWords('done') }}”, “${{ back: spokenWords('back') }}”, “${{ again: spokenWords('again') }}”. Some browsers send what you say to their maker to understand it.`}</Small>
        </View>
      ) : null}
      <View className="flex-row flex-wrap gap-3 border-t border-line pt-4">
        <Button
          label={t`End here, keep what was done`}
          onPress={and(() => happen({ what: 'ended' }))}
          testID="end-early"
        />
        <Button
          label={t`The rest is done, too`}
          hint={t`The rest is done, too, without the phone`}
          onPress={and(() => happen({ what: 'ended', restDone: true }))}
        />
        <ThrowAway headId={head.headId} onDone={onClose} />
      </View>
    </Sheet>
  );
}

/** What can still be changed, from what is done and what is on already. */
function useChanges(head: Head, { run, state, happen }: LiveRun) {
  const history = useHistory(head.headId);
  const done = new Set(
    state.steps
      .filter(({ outcome }) => outcome === 'done' || outcome === 'skipped')
      .map(({ step }) => step.id),
  );
  const plan = washPlanOf({ ...run, treatments: [...state.treatments] }, head, history);
  const ahead = (id: string) => !done.has(id);
  const change = ({ plan: changed, said }: ChangedPlan) => {
    const treatments = treatmentsIn(changed, state.treatments);
    happen({ what: 'changed', said, treatments, steps: stepsAhead(changed, done) });
  };
  const isMainAhead = ahead('main-apply');
  // The sheet is drawn anew with every half second of its clocks; what may go on does not change with them.
  const all = useMemo(() => offered(head, history, run.day).masks, [head, history, run.day]);
  const masks = all.filter(({ recipeId }) => recipeId !== plan.main?.version.recipeId);
  const mainOf = (version: (typeof masks)[number]): WashPlan['main'] =>
    dayUseOf(treatmentOf(version, 'main', head, history), head, history);
  return {
    withHeat: [plan.main, plan.followUp].some((use) => use?.withHeat) && ahead('main-wait'),
    noHeat: () => change(withoutHeat(plan)),
    only: (minutes: number) => change(inMinutes(plan, minutes, done)),
    others: isMainAhead
      ? [
          ...masks.map((version) => ({
            name: version.name,
            take: () => change(insteadOfMain(plan, mainOf(version))),
          })),
          ...(plan.main ? [{ name: t`No treatment`, take: () => change(insteadOfMain(plan, null)) }] : []),
        ]
      : [],
  };
}
