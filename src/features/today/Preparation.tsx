import { lazy, Suspense } from 'react';
import { View } from 'react-native';
import type { PrepTask } from '@/core/plan/planning';
import type { Head } from '@/core/records/shapes';
import { selectPrefs, useAppSelector } from '@/store';
import { canNotify } from '../shared/canNotify';
import { Entry } from '../shared/Entry';
import { prepareTitle } from './prepareTitle';

/** Nothing of the first screen waits for it. */
const Reminding = lazy(() => import('./Reminding'));

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
  const { notices } = useAppSelector(selectPrefs);
  // Its place is kept, so that nothing below moves under a finger.
  const hasOffer = tasks.length > 0 && !notices && canNotify();
  return (
    <>
      {tasks.map((task) => (
        <Entry key={task.text} title={prepareTitle(task, minuteOfDay)} text={task.text} />
      ))}
      {tasks.length > 0 || notices ? (
        <Suspense fallback={hasOffer ? <View className="h-11" /> : null}>
          <Reminding head={head} tasks={tasks} />
        </Suspense>
      ) : null}
    </>
  );
}
