import type { CalendarDay } from '@/core/base/measures';
import { choicesOf } from '@/core/plan/agenda';
import type { Fix, Relaxation } from '@/core/plan/scheduling';
import type { StoredRecord, Head } from '@/core/records/shapes';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { choicesRecord } from '../shared/useChoices';
import { useHistory } from '../shared/useHistory';

/** Gives way in one thing, in one tap that can be undone. */
export function useFix(head: Head, today: CalendarDay): (relaxation: Relaxation) => void {
  const history = useHistory(head.headId);
  const add = useAddRecords();
  const { headId } = head;

  const recordFor = (fix: Fix): StoredRecord | undefined => {
    switch (fix.what) {
      case 'minutes': {
        const { day, minutes } = fix;
        return {
          ...newStamp(),
          kind: 'occasion',
          headId,
          what: 'hours',
          from: day,
          to: day,
          minutes: Math.min(720, minutes),
          note: '',
        };
      }
      case 'rule': {
        const choices = choicesOf(history.planSettings, headId);
        return choicesRecord(headId, choices, { rules: { ...choices.rules, [fix.id]: fix.value } });
      }
      case 'decision':
        return { ...newStamp(), kind: 'withdrawal', withdraws: fix.decisionId };
      case 'occasion':
        return { ...newStamp(), kind: 'withdrawal', withdraws: fix.occasionId };
      case 'evening':
        return {
          ...head,
          ...newStamp(),
          corrects: head.id,
          nights: head.nights.map((isHers, weekday) => isHers || weekday === fix.weekday),
        };
      case 'trial': {
        const trial = history.trials.find(({ trialId }) => trialId === fix.trialId);
        return trial && { ...trial, ...newStamp(), corrects: trial.id, givenUpOn: today };
      }
    }
  };

  return ({ fix, text }) => {
    const record = recordFor(fix);
    if (record) add([record], `${text}.`);
  };
}
