import { t } from '@lingui/core/macro';
import type { ReactNode } from 'react';
import { Modal, ScrollView, View } from 'react-native';
import { Button } from './Button';
import { Heading } from './Text';

interface SheetProps {
  readonly title: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
  readonly testID?: string;
  /** Dark whatever the theme, over a screen that is. */
  readonly dark?: boolean;
}

/** A sheet over the lower part of a phone's screen; escape and its button close it, and focus stays inside. */
export function Sheet({ title, onClose, children, testID, dark = false }: SheetProps) {
  return (
    <Modal transparent visible onRequestClose={onClose} aria-label={title}>
      <View className={`flex-1 justify-end bg-[rgba(20,12,31,0.55)] ${dark ? 'dark' : ''}`}>
        <View testID={testID} className="mx-auto max-h-[86%] w-full max-w-sheet rounded-t-3xl bg-paper">
          <View className="flex-row items-center gap-3 border-b border-line py-2 pl-5 pr-3">
            <View className="flex-1">
              <Heading level={2}>{title}</Heading>
            </View>
            <Button
              tone="quiet"
              className="px-3"
              label={t`Close`}
              hint={t`Close ${title}`}
              onPress={onClose}
            />
          </View>
          <ScrollView contentContainerClassName="gap-3 p-5 pb-10">{children}</ScrollView>
        </View>
      </View>
    </Modal>
  );
}
