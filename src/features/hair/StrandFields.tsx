import { t } from '@lingui/core/macro';
import { useController, useFieldArray, useWatch, type Control } from 'react-hook-form';
import { View } from 'react-native';
import { BLANK_STRAND, strandFromDraft, type ReadingDraft } from '@/core/hair/checks';
import { READING_LIMITS } from '@/core/records/shapes';
import { Button, Chip, FieldGroup, Small } from '@/ui';
import { FormField } from '../shared/form';
import { strandWords } from './strandWords';

/** Lengths of several wet, shed strands. */
export function StrandFields({ control }: { control: Control<ReadingDraft> }) {
  const { fields, append } = useFieldArray({ control, name: 'strands' });
  return (
    <FieldGroup
      label={t`Wet stretch, mm`}
      help={t`Shed hairs only, never plucked. Five are better than three. Stop short of resistance.`}
    >
      {fields.map((field, index) => (
        <StrandRow key={field.id} control={control} index={index} />
      ))}
      {fields.length < READING_LIMITS.strands ? (
        <View className="items-start">
          <Button label={t`One more strand`} onPress={() => append({ ...BLANK_STRAND })} />
        </View>
      ) : null}
    </FieldGroup>
  );
}

function StrandRow({ control, index }: { control: Control<ReadingDraft>; index: number }) {
  const { field: snapped } = useController({ control, name: `strands.${index}.snapped` });
  const draft = useWatch({ control, name: `strands.${index}` });
  const number = index + 1;
  const lengths = [
    { part: 'rest', label: t`at rest` },
    { part: 'stretched', label: snapped.value ? t`snapped at` : t`stretched` },
    ...(snapped.value ? [] : ([{ part: 'released', label: t`let go` }] as const)),
  ] as const;
  const strand = strandFromDraft({ ...BLANK_STRAND, ...draft });
  return (
    <View className="gap-1" role="group" aria-label={t`Strand ${number}`}>
      <View className="flex-row flex-wrap items-start gap-2">
        {lengths.map(({ part, label }) => (
          <FormField
            key={part}
            control={control}
            name={`strands.${index}.${part}`}
            label={label}
            spoken={t`Strand ${number}, ${label}, mm`}
            numeric
            className="min-w-column-xs max-w-column-m flex-1"
            testID={`${part}-${index}`}
          />
        ))}
        <Chip
          className="mt-6"
          label={t`snapped`}
          hint={t`Strand ${number} snapped`}
          pressed={snapped.value}
          onPress={() => snapped.onChange(!snapped.value)}
          testID={`snapped-${index}`}
        />
      </View>
      {strand ? <Small>{strandWords(strand)}</Small> : null}
    </View>
  );
}
