import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { Text, View } from 'react-native';
import { lateMinutes } from '@/core/plan/washday';
import { headChosen, useAppDispatch } from '@/store';
import { ButtonBox } from '@/ui';
import { clockText, clockWords } from './clockText';
import { useHappen } from './useHappen';
import { useTimers } from './useTimers';

/** Every clock that runs but the one on screen: her own, and those of another head. */
export function OtherTimers({ headId, except }: { headId: string; except: string }) {
  const { timers, now } = useTimers();
  const dispatch = useAppDispatch();
  const happen = useHappen();
  const others = timers.filter((timer) => !(timer.headId === headId && timer.id === except));
  if (others.length === 0) return null;
  return (
    <View
      role="list"
      aria-label={t`Other clocks`}
      className="flex-row flex-wrap gap-2 border-b border-line p-2"
    >
      {others.map((timer) => {
        const isOver = lateMinutes(timer, now) > 0;
        const isOther = timer.headId !== headId;
        const press = () => {
          if (isOther) {
            dispatch(headChosen(timer.headId));
            router.navigate('/wash');
          } else happen(headId, { what: 'timer-off', id: timer.id, at: new Date().toISOString() });
        };
        return (
          <View key={`${timer.headId}-${timer.id}`} role="listitem">
            <ButtonBox
              label={`${timer.label}, ${clockWords(timer, now)}: ${isOther ? t`go to ${{ headName: timer.headName }}` : t`stop this clock`}`}
              onPress={press}
              tall="wet"
              className={`flex-row items-center gap-3 rounded-2xl border-2 px-4 ${isOver ? 'border-danger' : 'border-line'}`}
            >
              <Text className={`font-head text-headline ${isOver ? 'text-danger' : 'text-ink'}`}>
                {clockText(timer, now)}
              </Text>
              <Text className="font-text text-body text-ink">
                {isOther ? `${timer.headName}: ` : ''}
                {timer.label}
              </Text>
            </ButtonBox>
          </View>
        );
      })}
    </View>
  );
}
