import { useLocalSearchParams } from 'expo-router';
import { lazyScreen } from '@/features/shared/lazyScreen';

const LogTreatmentScreen = lazyScreen(async () => (await import('@/rooms')).LogTreatmentScreen);

export default function LogTreatment() {
  const { recipe } = useLocalSearchParams<{ recipe?: string }>();
  return <LogTreatmentScreen key={recipe ?? ''} recipeId={recipe} />;
}
