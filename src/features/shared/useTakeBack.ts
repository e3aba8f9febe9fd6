import { withOlder } from '@/core/records/log';
import { selectAllRecords, useAppSelector } from '@/store';
import { withdrawing } from './stamp';
import { useAddRecords } from './useAddRecords';

/** Takes one record back with all that it corrected, says so, and offers to undo it. */
export function useTakeBack(): (id: string, said: string) => void {
  const add = useAddRecords();
  const records = useAppSelector(selectAllRecords);
  return (id, said) => {
    const record = records.find((each) => each.id === id);
    const gone = record ? withOlder(record, records) : [id];
    add(withdrawing(gone), said);
  };
}
