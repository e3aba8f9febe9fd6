import { Text, View } from 'react-native';
import { Small } from '@/ui';

/** A heading and its lines. */
export interface SheetPart {
  readonly title: string;
  readonly lines: readonly string[];
}

interface PrintSheetProps {
  readonly title: string;
  readonly parts: readonly SheetPart[];
  readonly foot: string;
  /** It holds much: two columns on paper. */
  readonly long?: boolean;
}

const COLUMNS = { dataSet: { columns: '' } } as object;

/** One sheet of paper: while it is on the page, nothing else is printed. */
export function PrintSheet({ title, parts, foot, long = false }: PrintSheetProps) {
  return (
    <View
      {...(long ? COLUMNS : {})}
      nativeID="print-sheet"
      testID="print-sheet"
      className="max-w-sheet gap-3 rounded-xl border-2 border-line bg-raised p-5"
    >
      <Text className="font-head text-title text-ink">{title}</Text>
      {parts.map(({ title: heading, lines }) => (
        <View key={heading} className="gap-1">
          <Text role="heading" aria-level={2} className="font-strong text-body text-ink">
            {heading}
          </Text>
          {lines.map((line) => (
            <Small key={line} className="text-ink">
              {line}
            </Small>
          ))}
        </View>
      ))}
      <Small className="text-ink">{foot}</Small>
    </View>
  );
}
