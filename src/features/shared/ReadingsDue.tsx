import { plural, t } from '@lingui/core/macro';
import { router, type Href } from 'expo-router';
import { formatDay, formatInstant } from '@/core/base/measures';
import { readingsFor, trialState } from '@/core/hair/trials';
import { selectUnderway, useAppSelector } from '@/store';
import { Button } from '@/ui';
import { dueReading } from './dueReading';
import { Entry } from './Entry';
import { washWords } from './trialWords';
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
      title: t`Read it dry`,
      text: t`The treatment of ${{ due: formatDay(due, 'EEEE') }} shows now: one minute, five strands.`,
      button: t`Check hair`,
      to: '/hair/measure',
    });
  }
  for (const trial of history.trials) {
    const { stage, done, of, readingDue } = trialState(
      trial,
      history.trialWashes,
      readingsFor(trial, history),
      today,
    );
    if (readingDue === 'left' || readingDue === 'right')
      rows.push({
        title: readingDue === 'left' ? t`Trial: check the left side` : t`Trial: check the right side`,
        text: t`One side after the other, on the same day.`,
        button: t`Open the trial`,
        to: `/hair/trials/${trial.trialId}`,
      });
    if (stage.what !== 'wash' || !stage.isDue) continue;
    rows.push({
      title: t`Trial: ${{ arm: washWords(stage.arm, trial, history.larder) }}`,
      text: t`Wash ${{ done: done + 1 }} of ${of}, from today on.`,
      button: t`Open the trial`,
      to: `/hair/trials/${trial.trialId}`,
    });
  }
  if (taps.length > 0) {
    rows.push({
      title: t`A count is under way`,
      text: t`${plural(hairs, { one: '# hair', other: '# hairs' })} so far.`,
      button: t`Go on counting`,
      to: '/hair/tally',
    });
  }
  if (strands.length > 0) {
    rows.push({
      title: t`A stretch test is under way`,
      text: t`${plural({ count: strands.length }, { one: '# strand', other: '# strands' })} so far.`,
      button: t`Go on measuring`,
      to: '/hair/stretch',
    });
  }
  if (dryingSince !== null) {
    rows.push({
      title: t`Hair is drying`,
      text: t`Since ${{ dryingSince: formatInstant(dryingSince, 'H:mm') }}.`,
      button: t`Is it dry?`,
      to: '/hair/porosity',
    });
  }
  return rows;
}

/** Silent where nothing is due. @param isAsked the day asks for a check already */
export function ReadingsDue({ headId, isAsked = false }: { headId: string; isAsked?: boolean }) {
  const due = useReadingsDue(headId).filter(({ to }) => !isAsked || to !== '/hair/measure');
  return due.map(({ title, text, button, to }) => (
    <Entry key={title} title={title} text={text}>
      <Button label={button} onPress={() => router.push(to)} />
    </Entry>
  ));
}
