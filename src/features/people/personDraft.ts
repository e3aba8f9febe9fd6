import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import { failedBySchema, ok, type Result } from '@/core/base/measures';
import { headSchema, type Head, REGIONS, type Region } from '@/core/records/shapes';
import type { HeadDraft } from '@/store';

export const NEW_HEAD: HeadDraft = {
  name: '',
  lengthCm: '',
  strand: 'medium',
  curl: 'unknown',
  density: 'medium',
  allergies: [],
  porosityGuess: 'unknown',
  complaints: [],
  firstComplaints: undefined,
  free: ['150', '0', '0', '120', '0', '0', '120'],
  from: ['10', '18', '18', '18', '18', '18', '10'],
  nights: ['0', '1', '2', '3', '4', '5', '6'],
  comfort: undefined,
  school: 'my-hair',
  sensitive: 'no',
  ageBand: 'adult',
  lengths: { front: '', crown: '', sides: '', nape: '' },
  chemistry: [],
  health: [],
};

export function draftOfHead(head: Head): HeadDraft {
  const { name, lengthCm, strand, curl, density, allergies, porosityGuess, complaints, firstComplaints } =
    head;
  const { freeMinutes, washFrom, nights, comfort, school, proteinSensitive, ageBand, chemistry, health } =
    head;
  return {
    name,
    lengthCm: String(lengthCm),
    strand,
    curl,
    density,
    allergies,
    porosityGuess,
    complaints,
    firstComplaints,
    free: freeMinutes.map(String),
    from: washFrom.map(String),
    nights: nights.flatMap((isHers, index) => (isHers ? [String(index)] : [])),
    comfort,
    school,
    sensitive: proteinSensitive ? 'yes' : 'no',
    ageBand,
    lengths: eachRegion((region) => String(head.lengthsCm[region] ?? '')),
    chemistry,
    health,
  };
}

const decimal = (text: string) => Number(text.trim().replace(',', '.') || Number.NaN);

function eachRegion<Value>(valueOf: (region: Region) => Value): Record<Region, Value> {
  return Object.fromEntries(REGIONS.map((region) => [region, valueOf(region)])) as Record<Region, Value>;
}

function wholeNumber(text: string): number {
  const trimmed = text.trim();
  return trimmed === '' ? 0 : /^\d{1,4}$/.test(trimmed) ? Number(trimmed) : Number.NaN;
}

const fieldOf = perLanguage(
  (): Readonly<Record<string, { readonly field: string; readonly message: string }>> => ({
    freeMinutes: { field: 'free', message: t`Write whole minutes, 0 to 720.` },
    lengthsCm: { field: 'lengths', message: t`Write the length in centimetres, or nothing.` },
    washFrom: { field: 'from', message: t`Write a full hour, 0 to 23.` },
  }),
);

/** Checks a draft and makes the record; problems carry the draft's own field names. */
export function headFromDraft(
  draft: HeadDraft,
  stamp: Pick<Head, 'id' | 'recordedAt' | 'headId' | 'corrects'>,
): Result<Head> {
  const parsed = headSchema.safeParse({
    ...stamp,
    kind: 'head',
    name: draft.name,
    lengthCm: decimal(draft.lengthCm),
    strand: draft.strand,
    curl: draft.curl,
    density: draft.density,
    allergies: draft.allergies,
    porosityGuess: draft.porosityGuess,
    complaints: draft.complaints,
    ...(draft.firstComplaints === undefined ? {} : { firstComplaints: draft.firstComplaints }),
    ...(draft.comfort === undefined ? {} : { comfort: draft.comfort }),
    freeMinutes: draft.free.map(wholeNumber),
    washFrom: draft.from.map(wholeNumber),
    nights: draft.free.map((_, index) => draft.nights.includes(String(index))),
    school: draft.school,
    proteinSensitive: draft.sensitive === 'yes',
    ageBand: draft.ageBand,
    lengthsCm: eachRegion((region) =>
      draft.lengths[region].trim() === '' ? null : decimal(draft.lengths[region]),
    ),
    chemistry: draft.chemistry,
    health: draft.health,
  });
  if (parsed.success) return ok(parsed.data);
  return failedBySchema(parsed.error.issues, ({ path }) => ({
    path: path.map((part) => fieldOf()[String(part)]?.field ?? String(part)).join('.'),
    ...(fieldOf()[String(path[0])] ? { message: fieldOf()[String(path[0])]?.message } : {}),
  }));
}
