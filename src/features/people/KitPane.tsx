import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { kitWords } from '@/core/plan/agenda';
import { KIT, type KitItem } from '@/core/records/shapes';
import { Chip, FieldGroup, Small } from '@/ui';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useKit } from '../shared/useKit';

/** What the house has to work with: plan, wash day, shelf and making go by it. */
export function KitPane() {
  const { lacks } = useKit();
  const add = useAddRecords();
  const toggle = (item: KitItem) => {
    const isLacking = lacks.includes(item);
    const next = isLacking ? lacks.filter((other) => other !== item) : [...lacks, item];
    add(
      [{ ...newStamp(), kind: 'kit', lacks: [...next] }],
      `${isLacking ? t`With` : t`Without`} ${kitWords()[item].label}.`,
    );
  };
  return (
    <FieldGroup label={t`What the house has`}>
      <View className="flex-row flex-wrap gap-2">
        {KIT.map((item) => (
          <Chip
            key={item}
            label={kitWords()[item].label}
            hint={t`The house has ${{ item: kitWords()[item].label }}`}
            pressed={!lacks.includes(item)}
            onPress={() => toggle(item)}
            testID={`kit-${item}`}
          />
        ))}
      </View>
      {lacks.map((item) => (
        <Small
          key={item}
        >{t`Without ${{ item: kitWords()[item].label }}: ${{ without: kitWords()[item].without }}`}</Small>
      ))}
    </FieldGroup>
  );
}
