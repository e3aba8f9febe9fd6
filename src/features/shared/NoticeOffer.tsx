import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { prefsChanged, selectPrefs, useAppDispatch, useAppSelector } from '@/store';
import { Button, Small } from '@/ui';
import { canNotify } from './canNotify';

/** Asks for messages at the moment they would help; gone once it is answered. */
export function NoticeOffer({ label, tone }: { readonly label: string; readonly tone?: 'plain' | 'wet' }) {
  const { notices } = useAppSelector(selectPrefs);
  const dispatch = useAppDispatch();
  const [refused, setRefused] = useState(false);
  if (!canNotify() || (notices && !refused)) return null;
  const ask = async () => {
    const { askToNotify } = await import('./notices');
    const may = await askToNotify();
    setRefused(!may);
    if (may) dispatch(prefsChanged({ notices: true }));
  };
  return (
    <View className="items-start gap-1">
      {refused ? (
        <Small live>{t`The browser won't show messages from here. Nothing else changes.`}</Small>
      ) : (
        <Button tone={tone ?? 'plain'} label={label} onPress={() => void ask()} testID="notice-offer" />
      )}
    </View>
  );
}
