import { View } from 'react-native';
import { Strong } from '@/ui';

/** Something that is a doctor's matter, not a treatment's. */
export function Referral({ children }: { children: string }) {
  return (
    <View role="alert" className="rounded-2xl border-2 border-danger p-4">
      <Strong>{children}</Strong>
    </View>
  );
}
