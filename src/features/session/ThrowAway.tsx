import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { useAppDispatch, washClosed } from '@/store';
import { Button } from '@/ui';

/** Throws a wash day away, after asking once more: nothing of it is kept. */
export function ThrowAway({ headId, onDone }: { headId: string; onDone?: () => void }) {
  const dispatch = useAppDispatch();
  const [throwing, setThrowing] = useState(false);
  const throwAway = () => {
    dispatch(washClosed(headId));
    onDone?.();
  };
  return throwing ? (
    <Button label={t`Yes, throw it away`} onPress={throwAway} />
  ) : (
    <Button tone="quiet" label={t`Throw this wash day away`} onPress={() => setThrowing(true)} />
  );
}
