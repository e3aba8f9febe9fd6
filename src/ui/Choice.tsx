import { Pressable, Text, View } from 'react-native';

interface ChoiceProps<Value> {
  readonly label: string;
  readonly options: readonly { readonly value: Value; readonly label: string; readonly hint?: string }[];
  readonly value: Value | null;
  readonly onChange: (value: Value) => void;
  readonly testID?: string;
}

/** One of a few, all in sight. */
export function Choice<Value extends string | number>({
  label,
  options,
  value,
  onChange,
  testID,
}: ChoiceProps<Value>) {
  return (
    <View role="radiogroup" aria-label={label} testID={testID} className="flex-row flex-wrap gap-2">
      {options.map((option) => {
        const chosen = option.value === value;
        return (
          <Pressable
            key={option.value}
            role="radio"
            aria-checked={chosen}
            aria-label={option.hint ? `${option.label}: ${option.hint}` : option.label}
            onPress={() => onChange(option.value)}
            className={`min-h-target justify-center rounded-xl border-2 px-3 py-2 ${
              chosen ? 'border-ink bg-lane' : 'border-line bg-raised'
            }`}
          >
            <Text className={`${chosen ? 'font-strong' : 'font-text'} text-body text-ink`}>
              {option.label}
            </Text>
          </Pressable>
        );
      })}
    </View>
  );
}
