import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Small, Strong } from '@/ui';

/** One thing that is due, with what to do about it. */
export function Entry({ title, text, children }: { title: string; text: string; children?: ReactNode }) {
  return (
    <View className="flex-row flex-wrap items-center gap-3 border-t border-line pt-4">
      <View className="min-w-column-l flex-1">
        <Strong className="text-lead">{title}</Strong>
        <Small>{text}</Small>
      </View>
      {children}
    </View>
  );
}
