import { doneDay, failedBySchema, ok, type CalendarDay, type Result } from '../../base/measures';
import {
  NOTHING_MEASURED,
  readingSchema,
  strandSchema,
  tallyTotals,
  type MarkId,
  type Measured,
  type PorosityTests,
  type Reading,
  type Region,
  type ScalpSign,
  type Strand,
  type Tally,
} from '../../records/shapes';

/** A strand as typed. */
export interface StrandDraft {
  readonly rest: string;
  readonly stretched: string;
  readonly released: string;
  readonly snapped: boolean;
  readonly region: Region | null;
}

/** A reading as it stands in the form: numbers as text, nothing checked. */
export interface ReadingDraft {
  readonly day: string;
  readonly moment: Reading['moment'];
  readonly strands: readonly StrandDraft[];
  readonly broken: string;
  readonly shed: string;
  readonly days: string;
  /** Sections of the count that is being corrected; they stay while its totals do. */
  readonly sections: Tally['sections'] | null;
  /** Of a count that a picture gave. */
  readonly doubt?: number;
  readonly mistSeconds: string;
  readonly dryMinutes: string;
  readonly slide: PorosityTests['slide'];
  readonly sink: PorosityTests['sink'];
  readonly feel: number | null;
  readonly marks: Readonly<Record<MarkId, number | null>>;
  /** As it was: a correction of other figures leaves it. */
  readonly shedBall: Measured['shedBall'];
  readonly note: string;
  readonly scalp: readonly ScalpSign[];
  /** Centimetres by place. */
  readonly lengths: Readonly<Record<Region, string>>;
}

export const BLANK_STRAND: StrandDraft = {
  rest: '',
  stretched: '',
  released: '',
  snapped: false,
  region: null,
};
const NO_LENGTHS: ReadingDraft['lengths'] = { front: '', crown: '', sides: '', nape: '' };

export const BLANK_DRAFT: Omit<ReadingDraft, 'day' | 'moment'> = {
  strands: [],
  broken: '',
  shed: '',
  days: '',
  sections: null,
  mistSeconds: '',
  dryMinutes: '',
  slide: null,
  sink: null,
  feel: null,
  marks: NOTHING_MEASURED.marks,
  shedBall: undefined,
  note: '',
  scalp: [],
  lengths: NO_LENGTHS,
};

/** Text of a number field; NaN for what is no number, so that the schema words the problem beside the field. */
function numberIn(text: string): number {
  const trimmed = text.trim().replace(',', '.');
  return /^[-+]?(\d+\.?\d*|\.\d+)$/.test(trimmed) ? Number(trimmed) : Number.NaN;
}

const isBlank = (text: string) => text.trim() === '';
const numberOrNull = (text: string) => (isBlank(text) ? null : numberIn(text));
const textOf = (value: number | null) => (value === null ? '' : String(value));

function strandOf({ snapped, rest, stretched, released, region }: StrandDraft) {
  return snapped
    ? {
        outcome: 'snapped' as const,
        region,
        restMm: numberIn(rest),
        snappedMm: numberOrNull(stretched),
      }
    : {
        outcome: 'returned' as const,
        region,
        restMm: numberIn(rest),
        stretchedMm: numberIn(stretched),
        releasedMm: numberIn(released),
      };
}

/** The strand of a draft that is complete and right; undefined while it is not. */
export function strandFromDraft(draft: StrandDraft): Strand | undefined {
  return isStrandBlank(draft) ? undefined : strandSchema.safeParse(strandOf(draft)).data;
}

/** What is wrong with a strand as typed, by field; nothing when it is right. */
export function strandCheck(draft: StrandDraft): Partial<Record<'rest' | 'stretched' | 'released', string>> {
  const parsed = strandSchema.safeParse(strandOf(draft));
  if (parsed.success) return {};
  return Object.fromEntries(
    [...parsed.error.issues]
      .reverse()
      .map(({ path, message }) => [FIELD_OF_PART[String(path[0])] ?? 'rest', message]),
  );
}

function isStrandBlank(draft: StrandDraft): boolean {
  return !draft.snapped && isBlank(draft.rest) && isBlank(draft.stretched) && isBlank(draft.released);
}

type ReadingStamp = Pick<Reading, 'id' | 'headId' | 'recordedAt'> & Partial<Pick<Reading, 'corrects'>>;

/** Checks what was measured and makes the reading. */
export function readingOf(
  measured: Partial<Measured>,
  where: ReadingStamp & Pick<Reading, 'side'> & { readonly day: string; readonly moment: Reading['moment'] },
  today: CalendarDay,
): Result<Reading> {
  const parsed = readingSchema.safeParse({ ...NOTHING_MEASURED, ...measured, ...where, kind: 'reading' });
  if (!parsed.success)
    return failedBySchema(parsed.error.issues, ({ path }) => ({ path: path.map(String).join('.') }));
  const day = doneDay(parsed.data.day, today);
  return day.ok ? ok(parsed.data) : day;
}

/**
 * Checks a draft and makes the reading.
 * @returns problems whose paths are the draft's own: "strands.0.stretched", "broken", "day" …
 */
export function readingFromDraft(
  draft: ReadingDraft,
  stamp: ReadingStamp,
  today: CalendarDay,
): Result<Reading> {
  const filled = draft.strands
    .map((strand, index) => ({ strand, index }))
    .filter(({ strand }) => !isStrandBlank(strand));
  const lengths = (Object.entries(draft.lengths) as [Region, string][]).filter(([, cm]) => !isBlank(cm));
  const porosity = {
    mistSoakSeconds: numberOrNull(draft.mistSeconds),
    dryMinutes: numberOrNull(draft.dryMinutes),
    slide: draft.slide,
    sink: draft.sink,
  };
  const made = readingOf(
    {
      strands: filled.map(({ strand }) => strandOf(strand)),
      tally: tallyOf(draft),
      porosity: Object.values(porosity).every((test) => test === null) ? null : porosity,
      feel: draft.feel,
      marks: draft.marks,
      scalp: [...draft.scalp],
      lengths: lengths.map(([place, cm]) => ({ place, cm: numberIn(cm) })),
      ...(draft.shedBall ? { shedBall: draft.shedBall } : {}),
      ...(isBlank(draft.note) ? {} : { note: draft.note }),
    },
    { ...stamp, day: draft.day, moment: draft.moment },
    today,
  );
  if (made.ok) return made;
  const places = { strands: filled.map(({ index }) => index), lengths: lengths.map(([place]) => place) };
  const [first, ...rest] = made.problems.map((problem) => ({
    ...problem,
    path: draftPath(problem.path.split('.'), places),
  }));
  return { ok: false, problems: first ? [first, ...rest] : made.problems };
}

function tallyOf({ broken, shed, days, sections, doubt }: ReadingDraft): Tally | null {
  if (isBlank(broken) && isBlank(shed)) return null;
  const totals = { broken: numberOrNull(broken) ?? 0, shed: numberOrNull(shed) ?? 0 };
  const kept = sections && tallyTotals({ sections });
  const isSame = kept?.broken === totals.broken && kept.shed === totals.shed;
  return {
    sections: isSame && sections ? sections : [totals],
    days: numberIn(days),
    // What she counted anew is no picture's any more.
    ...(isSame && doubt !== undefined ? { doubt } : {}),
  };
}

const FIELD_OF_PART: Record<string, string> = {
  restMm: 'rest',
  stretchedMm: 'stretched',
  snappedMm: 'stretched',
  releasedMm: 'released',
  mistSoakSeconds: 'mistSeconds',
};

function draftPath(
  path: readonly string[],
  places: { readonly strands: readonly number[]; readonly lengths: readonly string[] },
): string {
  const [first = '', second = '', third = '', fourth = ''] = path;
  const fieldOf = (part: string, otherwise: string) => FIELD_OF_PART[part] ?? (part || otherwise);
  switch (first) {
    case 'strands':
      return second === ''
        ? first
        : `strands.${places.strands[Number(second)] ?? second}.${fieldOf(third, 'rest')}`;
    case 'lengths':
      return second === '' ? first : `lengths.${places.lengths[Number(second)] ?? second}`;
    case 'tally':
      return fourth || second || 'broken';
    case 'porosity':
      return fieldOf(second, 'mistSeconds');
    default:
      return first;
  }
}

/** A stored reading as a form, for correcting it. */
export function draftFromReading(reading: Reading): ReadingDraft {
  const { day, moment, strands, tally, porosity, feel, marks, scalp, lengths, shedBall, note = '' } = reading;
  return {
    ...BLANK_DRAFT,
    ...(tally ? draftFromTally(tally) : {}),
    ...(porosity ? draftFromPorosity(porosity) : {}),
    day,
    moment,
    strands: strands.map(draftFromStrand),
    feel,
    marks,
    shedBall,
    note,
    scalp,
    lengths: Object.fromEntries(
      Object.keys(NO_LENGTHS).map((place) => [
        place,
        textOf(lengths.find((length) => length.place === place)?.cm ?? null),
      ]),
    ) as ReadingDraft['lengths'],
  };
}

function draftFromStrand(strand: Strand): StrandDraft {
  const { region, restMm } = strand;
  return strand.outcome === 'snapped'
    ? { region, snapped: true, rest: String(restMm), stretched: textOf(strand.snappedMm), released: '' }
    : {
        region,
        snapped: false,
        rest: String(restMm),
        stretched: String(strand.stretchedMm),
        released: String(strand.releasedMm),
      };
}

function draftFromTally(tally: Tally): Partial<ReadingDraft> {
  const { broken, shed } = tallyTotals(tally);
  return {
    broken: String(broken),
    shed: String(shed),
    days: String(tally.days),
    sections: tally.sections,
    ...(tally.doubt === undefined ? {} : { doubt: tally.doubt }),
  };
}

function draftFromPorosity({
  mistSoakSeconds,
  dryMinutes,
  slide,
  sink,
}: PorosityTests): Partial<ReadingDraft> {
  return { mistSeconds: textOf(mistSoakSeconds), dryMinutes: textOf(dryMinutes), slide, sink };
}
