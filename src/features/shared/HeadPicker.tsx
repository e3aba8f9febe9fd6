import { t } from '@lingui/core/macro';
import { headChosen, selectHeads, useAppDispatch, useAppSelector } from '@/store';
import { Choice } from '@/ui';
import { useHead } from './useHead';

/** Which head the screen is about; nothing where there is only one. */
export function HeadPicker() {
  const heads = useAppSelector(selectHeads);
  const head = useHead();
  const dispatch = useAppDispatch();
  if (heads.length < 2) return null;
  return (
    <Choice
      label={t`Whose hair`}
      options={heads.map(({ headId, name }) => ({ value: headId, label: name }))}
      value={head?.headId ?? null}
      onChange={(headId) => dispatch(headChosen(headId))}
    />
  );
}
