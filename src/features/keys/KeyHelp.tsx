import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { Body, Strong } from '@/ui';
import { Sheet } from '@/ui/Sheet';
import { actions, otherKeys } from './keyActions';

/** Every key that does something. */
export function KeyHelp({ onClose }: { onClose: () => void }) {
  const rows = [
    ...otherKeys().map(({ keys, label }) => ({ keys, label })),
    ...actions().flatMap(({ key, label }) => (key === null ? [] : [{ keys: key, label }])),
  ];
  return (
    <Sheet title={t`Keys`} onClose={onClose} testID="key-help">
      {rows.map(({ keys, label }) => (
        <View key={keys} className="flex-row gap-4 border-b border-line pb-1">
          <Strong className="w-field-l">{keys}</Strong>
          <Body className="flex-1">{label}</Body>
        </View>
      ))}
      <Body>{t`They rest while you write in a field, and can be switched off under Settings.`}</Body>
    </Sheet>
  );
}
