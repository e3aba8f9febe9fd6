import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { View } from 'react-native';
import { useAppDispatch } from '@/store';
import { Body, Button, Screen } from '@/ui';
import { loadDemo } from './demo';

/** What stands where nothing is stored yet. */
export function Welcome() {
  const dispatch = useAppDispatch();
  return (
    <Screen
      headline={t`Soft, firm, or in between?`}
      reason={t`Paste a recipe and see whether it is protein or moisture. Measure your hair. Get a week that answers it.`}
    >
      <View className="max-w-note gap-3">
        <Button
          tone="main"
          label={t`Start with my own hair`}
          onPress={() => router.push('/people/new')}
          testID="start-own"
        />
        <Button
          label={t`Look around in the demo`}
          onPress={() => void loadDemo(dispatch)}
          testID="start-demo"
        />
        <Button label={t`Read a file in`} onPress={() => router.push('/people/backup')} />
        <Body className="pt-2 text-soft-ink">{t`Everything stays in this browser. Nothing is sent anywhere.`}</Body>
      </View>
    </Screen>
  );
}
