import { quietSince } from '@/core/plan/washday';
import { useHead } from '../shared/useHead';
import { WithPlan } from '../shared/WithHead';
import { useRun } from './useRun';
import { WashAfter } from './WashAfter';
import { WashQuiet } from './WashQuiet';
import { WashStart } from './WashStart';
import { WashStepView } from './WashStepView';

/** A wash day: what it will be, step by step, and what it was. A run that is under way needs no plan to go on. */
export function WashScreen() {
  const head = useHead();
  const live = useRun(head?.headId ?? '');
  if (!head || !live)
    return (
      <WithPlan>{(known, answer) => <WashStart key={known.headId} head={known} answer={answer} />}</WithPlan>
    );
  const since = quietSince(live.run, live.now);
  if (since !== null) return <WashQuiet key={live.run.id} head={head} live={live} since={since} />;
  return live.state.ended ? (
    <WashAfter key={live.run.id} head={head} live={live} />
  ) : (
    <WashStepView key={live.run.id} head={head} live={live} />
  );
}
