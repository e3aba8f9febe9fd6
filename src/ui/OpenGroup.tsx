import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronUp from 'lucide-react-native/icons/chevron-up';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { ButtonBox } from './Button';
import { Small, Title } from './Text';
import { useTokens } from './theme';

interface OpenGroupProps {
  readonly title: string;
  /** How many lines it has. */
  readonly count: number;
  readonly startsOpen?: boolean;
  /** Open whatever she chose: something in it is looked for. */
  readonly mustOpen?: boolean;
  readonly children: ReactNode;
  readonly testID?: string;
}

/** Lines of a list under a heading that opens and closes them. */
export function OpenGroup({
  title,
  count,
  startsOpen = false,
  mustOpen = false,
  children,
  testID,
}: OpenGroupProps) {
  const [isOpen, setIsOpen] = useState(startsOpen);
  const tokens = useTokens();
  const shows = isOpen || mustOpen;
  const Chevron = shows ? ChevronUp : ChevronDown;
  return (
    <View className="border-t border-line">
      <View role="heading" aria-level={2}>
        <ButtonBox
          expanded={shows}
          onPress={() => setIsOpen(!isOpen)}
          className="flex-row items-center justify-between gap-3 py-1.5"
          testID={testID}
        >
          <Title className="flex-1">{title}</Title>
          <Small>{count}</Small>
          <Chevron size={20} color={tokens.ink} aria-hidden />
        </ButtonBox>
      </View>
      {shows ? (
        <View role="list" aria-label={title}>
          {children}
        </View>
      ) : null}
    </View>
  );
}
