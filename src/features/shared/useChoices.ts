import { choicesOf, type PlanChoices } from '@/core/plan/agenda';
import type { StoredRecord, Head } from '@/core/records/shapes';
import { newStamp } from './stamp';
import { useAddRecords } from './useAddRecords';
import { useHistory } from './useHistory';

/** The record that holds what was chosen, with something changed. */
export function choicesRecord(
  headId: string,
  choices: PlanChoices,
  changed: Partial<PlanChoices>,
): StoredRecord {
  return { ...choices, ...changed, ...newStamp(), kind: 'plan-settings', headId };
}

/** What is in force for a head, and how to change it. */
export function useChoices({
  headId,
}: Pick<Head, 'headId'>): readonly [PlanChoices, (changed: Partial<PlanChoices>, said: string) => void] {
  const history = useHistory(headId);
  const add = useAddRecords();
  const choices = choicesOf(history.planSettings, headId);
  return [choices, (changed, said) => add([choicesRecord(headId, choices, changed)], said)];
}
