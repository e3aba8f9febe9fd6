import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { fixed } from '@/core/base/language';
import type { Plan } from '@/core/plan/planning';
import {
  planNoteSeen,
  searchedOn,
  selectAgreed,
  selectPending,
  selectSearch,
  selectTaken,
  useAppDispatch,
  useAppSelector,
} from '@/store';
import { Body, Button, Small, Strong } from '@/ui';
import { stopScheduler } from '@/workers';
import { isOfRhythm, promisesAtRisk } from '../shared/promisesAtRisk';
import { useHairAnswer } from '../shared/useHairAnswer';
import { Relaxations } from './Relaxations';
import { useWeek } from './WeekContext';

/** How good the plan is, and whether a better one is looked for. */
export function PlanStatus() {
  const { plan } = useWeek();
  const dispatch = useAppDispatch();
  const gap = useAppSelector(selectSearch);
  const pending = useAppSelector(selectPending);
  const taken = useAppSelector(selectTaken);
  if (gap !== null) {
    const found = Number.isFinite(gap) ? t`within ${{ percent: percentText(gap) }} of the best` : t`begun`;
    return (
      <View role="status" className="max-w-full flex-row flex-wrap items-center gap-x-3">
        <Small>{t`Looking for a better plan: ${found}.`}</Small>
        <Button tone="quiet" label={t`Take this one`} onPress={stopScheduler} />
      </View>
    );
  }
  const mayBeBetter = !pending && plan.planner === 'programme' && (plan.gap ?? 0) > GOOD_GAP;
  return (
    <View role="status" className="max-w-full flex-row flex-wrap items-center gap-x-3">
      <Small>{pending ? t`Working it out again.` : qualityWords(plan, taken)}</Small>
      {mayBeBetter ? (
        <Button tone="quiet" label={t`Go on looking`} onPress={() => dispatch(searchedOn())} />
      ) : null}
    </View>
  );
}

/** Beyond so much from the best possible, a plan is not called the best that there is. */
const GOOD_GAP = 0.05;

function qualityWords({ planner, gap }: Pick<Plan, 'planner' | 'gap'>, taken: boolean): string {
  if (planner === 'week-search' && taken)
    return t`Taken before the solver was done: a better plan may exist.`;
  if (planner === 'week-search')
    return t`Planned by the simple search: the solver could not be loaded, so a better plan may exist.`;
  if (gap === null) return t`The best plan that keeps what you decided.`;
  if (gap < 0.0005) return t`The best plan for these weeks.`;
  if (gap > GOOD_GAP) return t`A good plan; a better one may exist.`;
  return t`The best plan for these weeks.`;
}

function percentText(share: number): string {
  const percent = 100 * share;
  return t`${{ percent: percent < 10 ? fixed(percent, 1) : Math.round(percent) }} %`;
}

/** What changed since she last looked, and why. */
export function PlanNotes() {
  const { head } = useWeek();
  const dispatch = useAppDispatch();
  const note = useAppSelector(selectAgreed)[head.headId]?.note;
  if (!note) return null;
  return (
    <View role="status" testID="plan-note" className="gap-1 rounded-2xl bg-sunken p-4">
      <Strong>{t`The plan changed ${{ why: note.why }}`}</Strong>
      {note.changes.map(({ text }) => (
        <Body key={text}>{text}.</Body>
      ))}
      <View className="items-start">
        <Button
          tone="quiet"
          label={t`Good`}
          hint={t`I have seen the change`}
          onPress={() => dispatch(planNoteSeen(head.headId))}
        />
      </View>
    </View>
  );
}

/** What the plan could not do, and what would change that. */
export function PlanLimits() {
  const { plan, head } = useWeek();
  const answer = useHairAnswer();
  const own = (answer?.relaxations ?? []).filter(({ headId }) => headId === head.headId);
  if (plan.unmet.length === 0 && own.length === 0) return null;
  return (
    <View role="note" testID="plan-limits" className="gap-2 rounded-2xl bg-sunken p-4">
      {promisesAtRisk(plan).map(({ rhythmId, asked }) => (
        <Body key={rhythmId}>{t`At risk: ${asked}.`}</Body>
      ))}
      {plan.unmet
        .filter((rule) => !isOfRhythm(rule))
        .map(({ text }) => (
          <Body key={text}>{text}</Body>
        ))}
      {own.length > 0 ? (
        <>
          <Strong>{t`What you decided does not fit its rules. The least that would have to give way:`}</Strong>
          <Relaxations relaxations={own} />
        </>
      ) : null}
    </View>
  );
}
