import { t } from '@lingui/core/macro';
import { addDays, failedBySchema, ok, type CalendarDay, type Result } from '@/core/base/measures';
import { rhythmSchema, type Head, type Rhythm } from '@/core/records/shapes';
import { newStamp } from '../shared/stamp';

/** A rhythm as it stands in the form. */
export interface RhythmDraft {
  /** "recipe:…" or "sort:…"; empty before she chose. */
  readonly of: string;
  readonly every: Rhythm['when']['every'];
  /** Places in the week, Sunday first, as text. */
  readonly weekdays: readonly string[];
  readonly weeks: number;
  readonly days: string;
  readonly perWeek: number;
  readonly perMonth: number;
  readonly startsOn: string;
  readonly ends: 'never' | 'until' | 'weeks' | 'times';
  readonly until: string;
  readonly forWeeks: number;
  readonly times: string;
  /** Months in which it rests, as text. */
  readonly notIn: readonly string[];
  readonly firm: 'no' | 'yes';
  readonly name: string;
  /** What each week is about, a line a week. */
  readonly themes: string;
}

export function blankRhythm(today: CalendarDay, recipeId?: string): RhythmDraft {
  return {
    of: recipeId === undefined ? '' : `recipe:${recipeId}`,
    every: 'weekdays',
    weekdays: [],
    weeks: 1,
    days: '7',
    perWeek: 1,
    perMonth: 2,
    startsOn: today,
    ends: 'never',
    until: '',
    forWeeks: 8,
    times: '',
    notIn: [],
    firm: 'no',
    name: '',
    themes: '',
  };
}

/** Days before a style within which its treatment counts. */
const BEFORE_STYLE_DAYS = 3;

function whenOf(draft: RhythmDraft): unknown {
  switch (draft.every) {
    case 'weekdays':
      return { every: 'weekdays', weekdays: draft.weekdays.map(Number), weeks: draft.weeks };
    case 'days':
      return { every: 'days', days: Number(draft.days) };
    case 'week':
      return { every: 'week', times: draft.perWeek };
    case 'month':
      return { every: 'month', times: draft.perMonth };
    case 'style':
      return { every: 'style', daysBefore: BEFORE_STYLE_DAYS };
    default:
      return { every: draft.every };
  }
}

function untilOf({ ends, until, forWeeks, startsOn }: RhythmDraft): unknown {
  if (ends === 'until') return until.trim();
  return ends === 'weeks' && startsOn !== '' ? addDays(startsOn as CalendarDay, 7 * forWeeks - 1) : null;
}

function ofOf(of: string): unknown {
  const [what, ...id] = of.split(':');
  return what === 'recipe' ? { recipeId: id.join(':') } : { sort: id.join(':') };
}

/** Fields of the form that stand for parts of the record. */
const FIELD_OF: Readonly<Record<string, string>> = {
  'when.weekdays': 'weekdays',
  'when.days': 'days',
};

export function rhythmFromDraft(draft: RhythmDraft, head: Head, today: CalendarDay): Result<Rhythm> {
  const stamp = newStamp();
  const themes = draft.themes
    .split('\n')
    .map((text, index) => ({ week: index + 1, text: text.trim() }))
    .filter(({ text }) => text !== '');
  const parsed = rhythmSchema.safeParse({
    ...stamp,
    kind: 'rhythm',
    rhythmId: stamp.id,
    headId: head.headId,
    name: draft.name.trim() === '' ? null : draft.name,
    of: ofOf(draft.of),
    when: whenOf(draft),
    startsOn: draft.startsOn.trim(),
    until: untilOf(draft),
    times: draft.ends === 'times' ? Number(draft.times || Number.NaN) : null,
    notIn: draft.notIn.map(Number),
    firm: draft.firm === 'yes',
    themes,
    toldOn: today,
    endedOn: null,
  });
  if (parsed.success) return ok(parsed.data);
  return failedBySchema(parsed.error.issues, ({ path, message }) => {
    const at = path.map(String).join('.');
    return {
      path: FIELD_OF[at] ?? (at.startsWith('of') ? 'of' : (at.split('.')[0] ?? '')),
      message: at.startsWith('of') ? t`Choose what it is.` : message,
    };
  });
}
