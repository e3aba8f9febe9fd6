import { t } from '@lingui/core/macro';
import { isSmall } from '@/core/plan/agenda';
import type { Plan } from '@/core/plan/planning';
import type { Head } from '@/core/records/shapes';
import { headChosen, selectHeads, useAppDispatch, useAppSelector } from '@/store';
import { Button } from '@/ui';
import { Entry } from '../shared/Entry';
import { useDoneTreatment } from '../shared/useDoneTreatment';
import { useToday } from '../shared/useToday';

/** What today holds for the other heads that the same person looks after. */
export function OtherHeads({ head, plans }: { head: Head; plans: readonly Plan[] }) {
  const heads = useAppSelector(selectHeads);
  const dispatch = useAppDispatch();
  const today = useToday();
  const done = useDoneTreatment();
  return heads
    .filter(({ headId }) => headId !== head.headId)
    .map((other) => {
      const { headId, name } = other;
      const day = plans.find((plan) => plan.headId === headId)?.days.find((each) => each.day === today);
      const todo = [
        ...(day?.preparation ?? []).map(({ text }) => text),
        ...(day?.assignments ?? []).map((assignment) => assignment.name),
      ];
      return todo.length === 0 ? null : (
        <Entry key={headId} title={t`${name}, today`} text={todo.join(' · ')}>
          {(day?.assignments ?? []).filter(isSmall).map((assignment) => (
            <Button
              key={assignment.recipeId}
              label={t`${{ treatmentName: assignment.name }}: done`}
              hint={t`I did ${{ treatmentName: assignment.name }} on ${name}`}
              onPress={() => done(other, assignment, today)}
            />
          ))}
          <Button label={t`To ${name}`} onPress={() => dispatch(headChosen(headId))} />
        </Entry>
      );
    });
}
