import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import type { ScalpSign } from '@/core/records/shapes';
import { Chip } from '@/ui';
import { scalpOptions, withScalpSign } from './readingOptions';

interface ScalpSignsProps {
  readonly signs: readonly ScalpSign[];
  readonly onChange: (signs: ScalpSign[]) => void;
}

/** What the scalp shows: any of them, or calm. */
export function ScalpSigns({ signs, onChange }: ScalpSignsProps) {
  return (
    <View className="flex-row flex-wrap gap-2">
      {scalpOptions().map(({ value, label }) => (
        <Chip
          key={value}
          label={label}
          hint={t`Scalp: ${label}`}
          pressed={signs.includes(value)}
          onPress={() => onChange(withScalpSign(signs, value))}
        />
      ))}
    </View>
  );
}
