import { t } from '@lingui/core/macro';
import { Text, View } from 'react-native';
import { headChosen, selectHead, selectHeads, useAppDispatch, useAppSelector } from '@/store';
import { ButtonBox } from '@/ui';

/** Whose hair the screens are about; nothing where there is only one person. */
export function PersonChooser() {
  const heads = useAppSelector(selectHeads);
  const chosen = useAppSelector(selectHead);
  const dispatch = useAppDispatch();
  if (heads.length < 2) return null;
  return (
    <View role="group" aria-label={t`Whose hair`} className="flex-row flex-wrap justify-end">
      {heads.map(({ headId, name }) => {
        const isChosen = headId === chosen?.headId;
        return (
          <ButtonBox
            key={headId}
            pressed={isChosen}
            onPress={() => dispatch(headChosen(headId))}
            className="min-w-target items-center justify-center px-1.5"
          >
            <Text
              className={`text-body ${isChosen ? 'font-strong text-ink' : 'font-text text-link underline'}`}
            >
              {name}
            </Text>
          </ButtonBox>
        );
      })}
    </View>
  );
}
