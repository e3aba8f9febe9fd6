import { t } from '@lingui/core/macro';
import type { PrepTask } from '@/core/plan/planning';
import type { Head } from '@/core/records/shapes';
import { dueReading } from '../shared/dueReading';
import { Entry } from '../shared/Entry';
import { NoticeOffer } from '../shared/NoticeOffer';
import { useHistory } from '../shared/useHistory';
import { useToday } from '../shared/useToday';
import { prepareTitle } from './prepareTitle';
import { useReminders } from './useReminders';

/** What is to begin today, with its time. */
export function Preparation({
  head,
  tasks,
  minuteOfDay,
}: {
  readonly head: Head;
  readonly tasks: readonly PrepTask[];
  readonly minuteOfDay: number;
}) {
  const today = useToday();
  const history = useHistory(head.headId);
  useReminders(head, today, tasks, dueReading(history, today) !== undefined);
  return (
    <>
      {tasks.map((task) => (
        <Entry key={task.text} title={prepareTitle(task, minuteOfDay)} text={task.text} />
      ))}
      {tasks.length > 0 ? <NoticeOffer label={t`Remind me in time`} /> : null}
    </>
  );
}
