import { t } from '@lingui/core/macro';
import { notificationAsync, NotificationFeedbackType } from 'expo-haptics';
import { router, usePathname } from 'expo-router';
import { useEffect, useState } from 'react';
import { Text } from 'react-native';
import { millisecondsOf } from '@/core/base/measures';
import { lateMinutes, quietSince } from '@/core/plan/washday';
import { headChosen, selectPrefs, selectWashRuns, useAppDispatch, useAppSelector } from '@/store';
import { ButtonBox } from '@/ui';
import { ringAfter } from '@/workers';
import type { Notice } from '../shared/notices';
import { clockText, clockWords } from './clockText';
import { ring } from './ring';
import { useTimers, type HeadTimer } from './useTimers';

/** While a wash day is under way: rings when a clock runs out, wherever she is, and leads back to the step. */
export function WashBar() {
  const runs = useAppSelector(selectWashRuns);
  const dispatch = useAppDispatch();
  const pathname = usePathname();
  const { timers, now } = useTimers();
  useRinging(timers, now);
  const [run] = Object.values(runs);
  if (!run || pathname === '/wash') return null;
  const isQuiet = quietSince(run, now) !== null;
  // A wash day that was left alone is not an alarm any more.
  const timer = isQuiet ? undefined : timers[0];
  const isOver = timer !== undefined && lateMinutes(timer, now) > 0;
  return (
    <ButtonBox
      label={
        timer
          ? t`Wash day: ${{ timer: timer.label }}, ${{ clock: clockWords(timer, now) }}`
          : t`Go on with the wash day`
      }
      testID="wash-bar"
      onPress={() => {
        dispatch(headChosen(timer?.headId ?? run.headId));
        router.navigate('/wash');
      }}
      className={`flex-row items-center gap-3 px-5 py-2 ${isOver ? 'bg-danger' : 'bg-ink'}`}
    >
      <Text className="font-head text-title text-paper">{timer ? clockText(timer, now) : t`Wash day`}</Text>
      <Text className="flex-1 font-text text-body text-paper">
        {timer ? timer.label : isQuiet ? t`It was not ended` : t`Go on where you were`}
      </Text>
    </ButtonBox>
  );
}

/** Fetched when it is first wanted. */
const tells = async (notice: Notice) => (await import('../shared/notices')).notify(notice);

/**
 * Each clock rings once when it runs out. A worker keeps the time, so that a hidden page rings in time too; where the
 * page's own clock sees it first (the machine slept, the worker is late), that rings.
 */
function useRinging(timers: readonly HeadTimer[], now: string): void {
  const { sound, notices, loudness } = useAppSelector(selectPrefs);
  // What ran out before the page was there does not ring any more.
  const [heard, setHeard] = useState(now);
  const coming = timers.find(({ dueAt }) => millisecondsOf(dueAt) > millisecondsOf(heard));
  const next = coming?.dueAt;
  const label = coming?.label ?? '';
  const isDue = next !== undefined && millisecondsOf(next) <= millisecondsOf(now);
  useEffect(() => {
    if (next === undefined) return;
    // It may be stopped, or given more time, before it rings.
    let stands = true;
    const rings = () => {
      if (!stands) return;
      stands = false;
      setHeard(next);
      if (sound) ring(loudness);
      if (notices)
        void tells({ tag: 'wash', title: t`Time's up: ${label}`, text: t`The next step is waiting.` });
      notificationAsync(NotificationFeedbackType.Warning).catch(() => undefined);
    };
    if (isDue) rings();
    else void ringAfter(Math.max(0, millisecondsOf(next) - Date.now())).then(rings);
    return () => {
      stands = false;
    };
  }, [next, isDue, sound, loudness, notices, label]);
}
