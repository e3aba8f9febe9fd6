import { useLocalSearchParams } from 'expo-router';
import { lazyScreen } from '@/features/shared/lazyScreen';

const CompareScreen = lazyScreen(async () => (await import('@/features/bench/screens')).CompareScreen);

export default function Compare() {
  const { a } = useLocalSearchParams<{ a?: string }>();
  return <CompareScreen key={a ?? ''} startWith={a} />;
}
