import { router, type Href } from 'expo-router';
import { formatDay, formatInstant } from '@/core/measures';
import { trialState } from '@/core/trials';
import { selectUnderway, useAppSelector } from '@/store';
import { Button } from '@/ui';
import { Entry } from './Entry';
import { dueReading } from './dueReading';
import { armWords } from './trialWords';
import { useHistory } from './useHistory';
import { useToday } from './useToday';

/** Readings that are due, that were begun and not finished, and the wash a trial waits for. Silent where there are none. */
export function ReadingsDue({ headId }: { headId: string }) {
  const today = useToday();
  const history = useHistory(headId);
  const { taps, strands, dryingSince } = useAppSelector(selectUnderway(headId));
  const due = dueReading(history, today);
  const hairs = taps.filter((tap) => tap !== 'section').length;
  const trials = history.trials
    .map((trial) => trialState(trial, history.trialWashes, history.readings, today))
    .flatMap((state) =>
      state.stage.what === 'wash' && state.stage.isDue ? [{ ...state, stage: state.stage }] : [],
    );
  return (
    <>
      {due ? (
        <Row
          title="Read it dry"
          text={`The treatment of ${formatDay(due, 'EEEE')} shows now: one minute, five strands.`}
          button="Take a reading"
          to="/strand/take"
        />
      ) : null}
      {trials.map(({ trial, stage, done, of }) => (
        <Row
          key={trial.id}
          title={`Trial: ${armWords(stage.arm, trial, history.larder)}`}
          text={`Wash ${done + 1} of ${of}, from today on.`}
          button="Open the trial"
          to={`/strand/trials/${trial.trialId}`}
        />
      ))}
      {taps.length > 0 ? (
        <Row
          title="A count is under way"
          text={`${hairs} ${hairs === 1 ? 'hair' : 'hairs'} so far.`}
          button="Go on counting"
          to="/strand/tally"
        />
      ) : null}
      {strands.length > 0 ? (
        <Row
          title="A stretch test is under way"
          text={`${strands.length} ${strands.length === 1 ? 'strand' : 'strands'} so far.`}
          button="Go on measuring"
          to="/strand/stretch"
        />
      ) : null}
      {dryingSince !== null ? (
        <Row
          title="Hair is drying"
          text={`Since ${formatInstant(dryingSince, 'H:mm')}.`}
          button="Is it dry?"
          to="/strand/porosity"
        />
      ) : null}
    </>
  );
}

interface RowProps {
  readonly title: string;
  readonly text: string;
  readonly button: string;
  readonly to: Href;
}

function Row({ title, text, button, to }: RowProps) {
  return (
    <Entry title={title} text={text}>
      <Button label={button} onPress={() => router.push(to)} />
    </Entry>
  );
}
