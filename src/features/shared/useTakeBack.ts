import { newStamp } from './stamp';
import { useAddRecords } from './useAddRecords';

/** Takes one record back, says so, and offers to undo it. */
export function useTakeBack(): (id: string, said: string) => void {
  const add = useAddRecords();
  return (id, said) => add([{ ...newStamp(), kind: 'withdrawal', withdraws: id }], said);
}
