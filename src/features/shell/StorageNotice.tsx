import { plural, t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import {
  saveRetried,
  selectDamaged,
  selectHealed,
  selectNewer,
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
  const healed = useAppSelector(selectHealed);
  const newer = useAppSelector(selectNewer);
  const [seen, setSeen] = useState(false);
  if (!problem && (damaged + healed + newer === 0 || seen)) return null;
  const text =
    problem ??
    (newer > 0
      ? t`${plural(newer, { one: '# stored entry was', other: '# stored entries were' })} written by a newer version of this application and cannot be read by this one. Nothing was deleted: reload this page, and it will be there.`
      : damaged > 0
        ? t`${plural(damaged, { one: '# stored entry could not be read, and no copy has it', other: '# stored entries could not be read, and no copy has them' })}. Nothing was deleted; everything else is here.`
        : t`${plural(healed, { one: '# stored entry could not be read and was taken from a copy', other: '# stored entries could not be read and were taken from a copy' })}. Nothing is missing.`);
  return (
    <View
      role="alert"
      className="flex-row flex-wrap items-center gap-3 border-b-2 border-danger bg-raised px-5 py-2"
    >
      <View className="min-w-column-l flex-1">
        <Problem>{text}</Problem>
      </View>
      {problem && status !== 'blocked' ? (
        <Button label={t`Try again`} onPress={() => dispatch(saveRetried())} />
      ) : null}
      {problem ? null : (
        <Button label={t`Fine`} hint={t`Fine, put this away`} onPress={() => setSeen(true)} />
      )}
    </View>
  );
}
