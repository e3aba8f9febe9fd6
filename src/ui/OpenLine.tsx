import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { ButtonBox } from './Button';
import { Body, Strong } from './Text';

interface OpenLineProps {
  readonly title: string;
  /** What holds now, at the end of the line. */
  readonly value?: string;
  /** What there is to say and to do about it, once it is opened. */
  readonly children: ReactNode;
  readonly testID?: string;
}

/** One line of a list with its value; opened, it has the rest. */
export function OpenLine({ title, value, children, testID }: OpenLineProps) {
  const [isOpen, setIsOpen] = useState(false);
  return (
    <View role="listitem" className="border-t border-line" testID={testID}>
      <ButtonBox
        expanded={isOpen}
        onPress={() => setIsOpen(!isOpen)}
        className="flex-row items-center justify-between gap-3 py-1.5"
        testID={testID ? `${testID}-line` : undefined}
      >
        <Body className={`flex-1 ${isOpen ? 'font-strong' : ''}`}>{title}</Body>
        {value === undefined ? null : <Strong className="max-w-[50%] text-right text-link">{value}</Strong>}
      </ButtonBox>
      {isOpen ? <View className="gap-2 pb-3">{children}</View> : null}
    </View>
  );
}
