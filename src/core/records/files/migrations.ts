import { addDays, calendarDaySchema } from '../../base/measures';

type RawRecord = Readonly<Record<string, unknown>>;

/**
 * Steps from one data version to the next; entry n lifts a record of version n to n + 1. A change of a stored shape adds
 * one here and keeps a file of the old shape as a test.
 */
const MIGRATIONS: Readonly<Record<number, (record: RawRecord) => RawRecord>> = {
  // Version 2 knows how dense the hair is and what a head reacts to.
  1: (record) => (record.kind === 'head' ? { density: 'medium', allergies: [], ...record } : record),
  // Version 3 reads more than four things, tells where a strand grew, counts by section, and knows grams of a session.
  2: (record) => {
    if (record.kind === 'session') return { grams: null, ...record };
    return record.kind === 'reading' ? readingOf3(record) : record;
  },
  // Version 4 knows from when on a wash may begin and which evenings are hers; it was taken for granted before.
  3: (record) =>
    record.kind === 'head'
      ? { washFrom: [10, 18, 18, 18, 18, 18, 10], nights: Array(7).fill(true), ...record }
      : record,
  // Version 5 knows the schools of the wash day itself, each done the usual way before, and how hair falls.
  4: (record) => {
    if (record.kind === 'head') return { curl: 'unknown', ...record };
    return record.kind === 'plan-settings'
      ? { zones: 'lengths', rinse: 'water', finish: 'warm', conditioner: 'after-only', ...record }
      : record;
  },
  // Version 6 knows the age, the lengths by region, what was done to the hair and what a doctor should know.
  5: ({ child, ...record }) =>
    record.kind === 'head'
      ? {
          ageBand: child === true ? 'child' : 'adult',
          lengthsCm: { front: null, crown: null, sides: null, nape: null },
          chemistry: [],
          health: [],
          ...record,
        }
      : record,
  // Version 7 names the record of the version that was used; before, the number was all there was.
  6: (record) => record,
  // Version 8 keeps how a recipe is made, and what a making left over; nothing older changes.
  7: (record) => record,
  // Version 9 knows rhythms in her words (a challenge is one with a name), several complaints, how soft it is and its scent.
  8: (record) => {
    if (record.kind === 'challenge') return rhythmOf9(record);
    if (record.kind === 'head') return complaintsOf9(record);
    return record.kind === 'reading'
      ? { ...record, marks: { softness: null, scent: null, ...(record.marks as RawRecord) } }
      : record;
  },
  // Version 10 knows perms and heat damage; nothing older changes.
  9: (record) => record,
  // Version 11 keeps what was forecast before a reading, and how much of the usual amount was used; nothing older changes.
  10: (record) => record,
};

/** So many a week for some weeks; what cannot be read is left for the schema to refuse. */
function rhythmOf9({ challengeId, counts, perWeek, weeks, givenUpOn, ...rest }: RawRecord): RawRecord {
  const first = calendarDaySchema.safeParse(rest.startsOn);
  return {
    ...rest,
    kind: 'rhythm',
    rhythmId: challengeId,
    of: { sort: counts },
    when: { every: 'week', times: perWeek },
    until: first.success && typeof weeks === 'number' ? addDays(first.data, 7 * weeks - 1) : weeks,
    times: null,
    notIn: [],
    firm: false,
    themes: [],
    toldOn: rest.startsOn,
    endedOn: givenUpOn,
  };
}

const COMPLAINTS_OF_8: Readonly<Record<string, readonly string[]>> = {
  none: [],
  mushy: ['limp'],
  straw: ['stiff'],
  breaks: ['breaks'],
};

function complaintsOf9({ complaint, ...head }: RawRecord): RawRecord {
  return { complaints: COMPLAINTS_OF_8[String(complaint)] ?? complaint, ...head };
}

function readingOf3({ mistSoakSeconds, tally, strands, ...rest }: RawRecord): RawRecord {
  const { broken, shed, days } = (tally ?? {}) as RawRecord;
  const mist = mistSoakSeconds ?? null;
  return {
    ...rest,
    strands: Array.isArray(strands)
      ? strands.map((strand) => ({ region: null, ...(strand as RawRecord) }))
      : strands,
    tally: tally === null || tally === undefined ? null : { sections: [{ broken, shed }], days },
    porosity: mist === null ? null : { mistSoakSeconds: mist, dryMinutes: null, slide: null, sink: null },
    marks: { slip: null, tangles: null, shine: null, clumping: null, residue: null },
    scalp: [],
    lengths: [],
  };
}

/** A stored record of an older version in today's shape; what is no object is left for the schema to refuse. */
export function liftRecord(record: unknown, from: number, to: number): unknown {
  if (typeof record !== 'object' || record === null) return record;
  let lifted = record as RawRecord;
  for (let version = from; version < to; version++) lifted = MIGRATIONS[version]?.(lifted) ?? lifted;
  return lifted;
}
