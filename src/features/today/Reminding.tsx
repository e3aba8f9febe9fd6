import { t } from '@lingui/core/macro';
import type { PrepTask } from '@/core/plan/planning';
import type { Head } from '@/core/records/shapes';
import { dueReading } from '../shared/dueReading';
import { NoticeOffer } from '../shared/NoticeOffer';
import { useHistory } from '../shared/useHistory';
import { useToday } from '../shared/useToday';
import { useReminders } from './useReminders';

/** Messages for what is to begin today and for the check of dry hair, and the offer of them where they would help. */
export default function Reminding({
  head,
  tasks,
}: {
  readonly head: Head;
  readonly tasks: readonly PrepTask[];
}) {
  const today = useToday();
  const history = useHistory(head.headId);
  useReminders(head, today, tasks, dueReading(history, today) !== undefined);
  return tasks.length > 0 ? <NoticeOffer label={t`Remind me in time`} /> : null;
}
