import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { View } from 'react-native';
import { Button, Screen } from '@/ui';

export function NotFound() {
  return (
    <Screen headline={t`There is nothing at this address`} reason={t`It may have been moved or removed.`}>
      <View className="items-start">
        <Button tone="main" label={t`Go to today`} onPress={() => router.replace('/')} />
      </View>
    </Screen>
  );
}
