import { t } from '@lingui/core/macro';
import { isSmall } from '@/core/plan/agenda';
import type { Plan } from '@/core/plan/planning';
import type { Head } from '@/core/records/shapes';
import { headChosen, selectHeads, useAppDispatch, useAppSelector } from '@/store';
import { Button } from '@/ui';
import { Entry } from '../shared/Entry';
import { useDoneBeat } from '../shared/useDoneBeat';
import { useToday } from '../shared/useToday';

/** What today holds for the other heads that the same person looks after. */
export function OtherHeads({ head, plans }: { head: Head; plans: readonly Plan[] }) {
  const heads = useAppSelector(selectHeads);
  const dispatch = useAppDispatch();
  const today = useToday();
  const done = useDoneBeat();
  return heads
    .filter(({ headId }) => headId !== head.headId)
    .map((other) => {
      const { headId, name } = other;
      const day = plans.find((plan) => plan.headId === headId)?.days.find((each) => each.day === today);
      const todo = [
        ...(day?.preparation ?? []).map(({ text }) => text),
        ...(day?.beats ?? []).map((beat) => beat.name),
      ];
      return todo.length === 0 ? null : (
        <Entry key={headId} title={t`${name}, today`} text={todo.join(' · ')}>
          {(day?.beats ?? []).filter(isSmall).map((beat) => (
            <Button
              key={beat.recipeId}
              label={t`${{ beatName: beat.name }}: done`}
              hint={t`I did ${{ beatName: beat.name }} on ${name}`}
              onPress={() => done(other, beat, today)}
            />
          ))}
          <Button label={t`To ${name}`} onPress={() => dispatch(headChosen(headId))} />
        </Entry>
      );
    });
}
