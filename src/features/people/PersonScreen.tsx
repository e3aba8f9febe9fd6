import { selectHeads, useAppSelector } from '@/store';
import { NotFound } from '../shared/NotFound';
import { PersonEditor } from './PersonEditor';

export function PersonScreen({ headId }: { headId: string }) {
  const head = useAppSelector(selectHeads).find((known) => known.headId === headId);
  return head ? <PersonEditor key={head.id} existing={head} /> : <NotFound />;
}
