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

interface Due {
  readonly title: string;
  readonly text: string;
  readonly button: string;
  readonly to: Href;
}

/** Readings that are due, that were begun and not finished, and the wash a trial waits for. */
export function useReadingsDue(headId: string): readonly Due[] {
  const today = useToday();
  const history = useHistory(headId);
  const { taps, strands, dryingSince } = useAppSelector(selectUnderway(headId));
  const due = dueReading(history, today);
  const hairs = taps.filter((tap) => tap !== 'section').length;
  const rows: Due[] = [];
  if (due) {
    rows.push({
      title: 'Read it dry',
      text: `The treatment of ${formatDay(due, 'EEEE')} shows now: one minute, five strands.`,
      button: 'Take a reading',
      to: '/strand/take',
    });
  }
  for (const trial of history.trials) {
    const { stage, done, of } = trialState(trial, history.trialWashes, history.readings, today);
    if (stage.what !== 'wash' || !stage.isDue) continue;
    rows.push({
      title: `Trial: ${armWords(stage.arm, trial, history.larder)}`,
      text: `Wash ${done + 1} of ${of}, from today on.`,
      button: 'Open the trial',
      to: `/strand/trials/${trial.trialId}`,
    });
  }
  if (taps.length > 0) {
    rows.push({
      title: 'A count is under way',
      text: `${hairs} ${hairs === 1 ? 'hair' : 'hairs'} so far.`,
      button: 'Go on counting',
      to: '/strand/tally',
    });
  }
  if (strands.length > 0) {
    rows.push({
      title: 'A stretch test is under way',
      text: `${strands.length} ${strands.length === 1 ? 'strand' : 'strands'} so far.`,
      button: 'Go on measuring',
      to: '/strand/stretch',
    });
  }
  if (dryingSince !== null) {
    rows.push({
      title: 'Hair is drying',
      text: `Since ${formatInstant(dryingSince, 'H:mm')}.`,
      button: 'Is it dry?',
      to: '/strand/porosity',
    });
  }
  return rows;
}

/** Silent where nothing is due. */
export function ReadingsDue({ headId }: { headId: string }) {
  return useReadingsDue(headId).map(({ title, text, button, to }) => (
    <Entry key={title} title={title} text={text}>
      <Button label={button} onPress={() => router.push(to)} />
    </Entry>
  ));
}
