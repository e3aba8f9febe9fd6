import { useLocalSearchParams } from 'expo-router';
import { HeadScreen } from '@/features/heads/HeadScreen';

export default function ChangeHead() {
  const { headId } = useLocalSearchParams<{ headId: string }>();
  return <HeadScreen headId={headId} />;
}
