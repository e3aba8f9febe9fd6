import { useLocalSearchParams } from 'expo-router';
import { lazyScreen } from '@/features/shared/lazyScreen';

const CompareScreen = lazyScreen(async () => (await import('@/rooms')).CompareScreen);

export default function Compare() {
  const { a, b } = useLocalSearchParams<{ a?: string; b?: string }>();
  return <CompareScreen key={`${a ?? ''} ${b ?? ''}`} startWith={a} against={b} />;
}
