import { View } from 'react-native';
import {
  saveRetried,
  selectDamaged,
  selectProblem,
  selectStatus,
  useAppDispatch,
  useAppSelector,
} from '@/store';
import { Button, Problem } from '@/ui';

/** Says when something could not be saved or read. Silent while all is well. */
export function StorageNotice() {
  const dispatch = useAppDispatch();
  const problem = useAppSelector(selectProblem);
  const damaged = useAppSelector(selectDamaged);
  const status = useAppSelector(selectStatus);
  if (!problem && damaged === 0) return null;
  const text =
    problem ??
    `${damaged} stored ${damaged === 1 ? 'entry' : 'entries'} could not be read. Nothing was deleted; everything else is here.`;
  return (
    <View
      role="alert"
      className="flex-row flex-wrap items-center gap-3 border-b-2 border-danger bg-raised px-5 py-2"
    >
      <View className="min-w-[200px] flex-1">
        <Problem>{text}</Problem>
      </View>
      {problem && status !== 'blocked' ? (
        <Button label="Try again" onPress={() => dispatch(saveRetried())} />
      ) : null}
    </View>
  );
}
