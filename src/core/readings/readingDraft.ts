import { daysBetween, failed, failedBySchema, ok, type CalendarDay, type Result } from '../measures';
import { readingSchema, strandSchema, type Reading, type Strand } from './reading';

/** A strand as typed. */
export interface StrandDraft {
  readonly rest: string;
  readonly stretched: string;
  readonly released: string;
  readonly snapped: boolean;
}

/** A reading as it stands in the form: all text, nothing checked. */
export interface ReadingDraft {
  readonly day: string;
  readonly moment: Reading['moment'];
  readonly strands: readonly StrandDraft[];
  readonly broken: string;
  readonly shed: string;
  readonly days: string;
  readonly mistSeconds: string;
  readonly feel: number | null;
}

/** Text of a number field; NaN for what is no number, so that the schema words the problem beside the field. */
function numberIn(text: string): number {
  const trimmed = text.trim().replace(',', '.');
  return /^[-+]?(\d+\.?\d*|\.\d+)$/.test(trimmed) ? Number(trimmed) : Number.NaN;
}

const isBlank = (text: string) => text.trim() === '';

function strandOf(draft: StrandDraft) {
  return draft.snapped
    ? {
        outcome: 'snapped' as const,
        restMm: numberIn(draft.rest),
        snappedMm: isBlank(draft.stretched) ? null : numberIn(draft.stretched),
      }
    : {
        outcome: 'returned' as const,
        restMm: numberIn(draft.rest),
        stretchedMm: numberIn(draft.stretched),
        releasedMm: numberIn(draft.released),
      };
}

/** The strand of a draft that is complete and right; undefined while it is not. */
export function strandFromDraft(draft: StrandDraft): Strand | undefined {
  return isStrandBlank(draft) ? undefined : strandSchema.safeParse(strandOf(draft)).data;
}

function isStrandBlank(draft: StrandDraft): boolean {
  return !draft.snapped && isBlank(draft.rest) && isBlank(draft.stretched) && isBlank(draft.released);
}

/**
 * Checks a draft and makes the reading.
 * @returns problems whose paths are the draft's own: "strands.0.stretched", "broken", "day" …
 */
export function readingFromDraft(
  draft: ReadingDraft,
  stamp: Pick<Reading, 'id' | 'headId' | 'recordedAt' | 'corrects'>,
  today: CalendarDay,
): Result<Reading> {
  const filled = draft.strands
    .map((strand, index) => ({ strand, index }))
    .filter(({ strand }) => !isStrandBlank(strand));
  const hasTally = !isBlank(draft.broken) || !isBlank(draft.shed);
  const parsed = readingSchema.safeParse({
    ...stamp,
    kind: 'reading',
    day: draft.day,
    moment: draft.moment,
    strands: filled.map(({ strand }) => strandOf(strand)),
    tally: hasTally
      ? {
          broken: isBlank(draft.broken) ? 0 : numberIn(draft.broken),
          shed: isBlank(draft.shed) ? 0 : numberIn(draft.shed),
          days: numberIn(draft.days),
        }
      : null,
    mistSoakSeconds: isBlank(draft.mistSeconds) ? null : numberIn(draft.mistSeconds),
    feel: draft.feel,
  });
  if (!parsed.success) {
    const indexes = filled.map(({ index }) => index);
    return failedBySchema(parsed.error.issues, ({ path }) => ({ path: draftPath(path, indexes) }));
  }
  if (daysBetween(today, parsed.data.day) > 0) {
    return failed('future-day', 'That day has not come yet: write today or an earlier day.', 'day');
  }
  return ok(parsed.data);
}

const FIELD_OF_PART: Record<string, string> = {
  restMm: 'rest',
  stretchedMm: 'stretched',
  snappedMm: 'stretched',
  releasedMm: 'released',
  mistSoakSeconds: 'mistSeconds',
};

function draftPath(path: readonly PropertyKey[], strandIndexes: readonly number[]): string {
  const [first, second, third] = path.map(String);
  if (first === 'strands' && second !== undefined) {
    return `strands.${strandIndexes[Number(second)] ?? second}.${FIELD_OF_PART[third ?? ''] ?? third ?? 'rest'}`;
  }
  if (first === 'tally' && second !== undefined) return second;
  return FIELD_OF_PART[first ?? ''] ?? first ?? '';
}
