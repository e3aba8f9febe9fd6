import { plural, t } from '@lingui/core/macro';
import { addDays, daysBetween, rounded, type CalendarDay } from '../../base/measures';
import type { Occasion } from '../../records/shapes';
import { isOn } from '../agenda';
import { takeDownMinutesOn } from './draft';
import type { DayNote, HeadProblem } from './plan';

/** Days before a style goes in that are counted, and those of them in which protein does most (job's rhythm rules). */
const COUNTED_DAYS = 7;
const PROTEIN_DAYS = 3;
/** Days after a take-down in which the hairs of all those weeks come at once. */
const SHED_DAYS = 3;

/** What a day is by itself, whatever is planned on it: a style that is coming, in or down, days without a wash. */
export function dayNotes(head: Pick<HeadProblem, 'occasions' | 'rules'>, day: CalendarDay): DayNote[] {
  return head.occasions.flatMap((occasion): DayNote[] => {
    if (occasion.what === 'no-wash' && isOn(occasion, day))
      return [{ code: 'no-wash', text: t`No wash, as you said.` }];
    if (occasion.what === 'look-good' && isOn(occasion, day))
      return [{ code: 'look-good', text: occasion.note || t`A day to look good.` }];
    return occasion.what === 'style' ? styleNotes(head, occasion, day) : [];
  });
}

function styleNotes(
  head: Pick<HeadProblem, 'occasions' | 'rules'>,
  { from, to, takeDown }: Occasion,
  day: CalendarDay,
): DayNote[] {
  const ahead = daysBetween(day, from);
  if (ahead > COUNTED_DAYS || daysBetween(to, day) > SHED_DAYS) return [];
  if (ahead > PROTEIN_DAYS)
    return [
      {
        code: 'style-ahead',
        text: t`${plural(ahead, { one: '# day', other: '# days' })} to the style: nothing new from now on, so no surprise goes in with it.`,
      },
    ];
  if (ahead > 0)
    return [
      {
        code: 'style-ahead',
        text: t`${plural(ahead, { one: '# day', other: '# days' })} to the style: protein now if it's due, because the style pulls for weeks.`,
      },
    ];
  if (ahead === 0)
    return [
      { code: 'style-in', text: t`The style goes in: on clean, dry, detangled hair, and never tight.` },
    ];
  if (day > to)
    return [{ code: 'style-after', text: t`Shed hairs of all those weeks come out now. That's expected.` }];
  if (day > addDays(to, -(takeDown?.days ?? 1))) {
    const hours = rounded(takeDownMinutesOn(head, day) / 60, 1);
    return [
      {
        code: 'style-out',
        text: t`Taking the style down: about ${plural(hours, { one: '# hour', other: '# hours' })} today. Shed hairs of all those weeks come at once.`,
      },
    ];
  }
  return [{ code: 'style', text: t`The style is in: mist and scalp oil only.` }];
}
