import { View } from 'react-native';
import { t } from '@/core/base/language';
import { Body, Strong } from '@/ui';
import { Sheet } from '@/ui/Sheet';
import { ACTIONS, OTHER_KEYS } from '../shared/keyActions';

/** Every key that does something. */
export function KeyHelp({ onClose }: { onClose: () => void }) {
  const rows = [
    ...OTHER_KEYS.map(({ keys, label }) => ({ keys, label })),
    ...ACTIONS.flatMap(({ key, label }) => (key === null ? [] : [{ keys: key, label }])),
  ];
  return (
    <Sheet title={t`Keys`} onClose={onClose} testID="key-help">
      {rows.map(({ keys, label }) => (
        <View key={keys} className="flex-row gap-4 border-b border-line pb-1">
          <Strong className="w-[160px]">{keys}</Strong>
          <Body className="flex-1">{label}</Body>
        </View>
      ))}
      <Body>{t`They rest while you write in a field, and can be switched off under Settings.`}</Body>
    </Sheet>
  );
}
