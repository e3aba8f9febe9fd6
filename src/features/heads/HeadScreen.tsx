import { selectHeads, useAppSelector } from '@/store';
import { NotFound } from '../shared/NotFound';
import { HeadEditor } from './HeadEditor';

export function HeadScreen({ headId }: { headId: string }) {
  const head = useAppSelector(selectHeads).find((known) => known.headId === headId);
  return head ? <HeadEditor key={head.id} existing={head} /> : <NotFound />;
}
