import { t } from '@lingui/core/macro';
import { z } from 'zod';
import inciNames from '../../../../data/inci.json';
import { listed } from '../../base/language';
import { clamp, failed, invariant, ok, rounded, sum, type Result } from '../../base/measures';
import type { Ingredient, ProteinForm, Role } from '../../records/shapes';
import { plainWords } from '../ingredients';

/** What a name on a label stands for. */
const PARTS = [
  'water',
  'cationic',
  'emollient',
  'silicone',
  'humectant',
  'sugars',
  'mucilage',
  'protein',
  'penetrating',
  'sealing',
  'tannin',
  'acid',
  'surfactant',
  'preservative',
  'fragrance',
  'none',
] as const;
type Part = (typeof PARTS)[number];

export const inciEntrySchema = z.strictObject({
  part: z.enum(PARTS),
  names: z.array(z.string().min(1)).min(1),
  form: z.enum(['amino-acids', 'hydrolysed', 'gelatin', 'intact']).optional(),
  allergen: z.string().optional(),
  /** Used at one percent or less, so that everything after it is too. */
  under1: z.literal(true).optional(),
  /** Of an extract, the share that is the active itself. */
  dilute: z.number().gt(0).max(1).optional(),
});
type InciEntry = z.infer<typeof inciEntrySchema>;

const byName = new Map<string, InciEntry>();
for (const entry of inciNames as InciEntry[]) {
  for (const name of entry.names) byName.set(plainWords(name).join(' '), entry);
}

/** On a label the first is nearly always water, about three quarters of a conditioner (working assumption). */
const WATER_FIRST_PERCENT = 75;
/** Of a product without water, the first (working assumption). */
const DRY_FIRST_PERCENT = 50;
/** Without a tell-tale name, the one-percent line lies this far down the list (working assumption). */
const USUAL_LINE = 0.45;
/** From the one-percent line down, shares fall to this at the end, percent (working assumption). */
const LAST_PERCENT = 0.1;
/** By the order alone a share may be this many times smaller or greater (working assumption). */
export const RANK_UNCERTAINTY = 2.5;

/**
 * Rough percents of a list in falling order. Labels must name ingredients by falling weight down to one percent, below
 * that in any order (Regulation (EC) No 1223/2009, Article 19(1)(g); 21 CFR 701.3 says the same): so the shares fall
 * geometrically from the first to the one-percent line, and slowly after it.
 * @param count names on the list, at least 1
 * @param lineAt index of the first that is at one percent or less, if one tells
 * @returns percents, falling, adding to 100
 */
export function sharesByRank(count: number, waterFirst: boolean, lineAt?: number): number[] {
  invariant(count >= 1, 'a label names at least one thing');
  const line = clamp(lineAt ?? Math.ceil(count * USUAL_LINE) + 1, 1, count);
  const below = Array.from({ length: count - line }, (_, index) => {
    const span = Math.max(1, count - line - 1);
    return Math.pow(LAST_PERCENT, index / span);
  });
  const above = line === 1 ? [] : fallingTo1(line - 1, 100 - firstOf(waterFirst) - sum(below));
  const first = 100 - sum(above) - sum(below);
  return [first, ...above, ...below];
}

function firstOf(waterFirst: boolean): number {
  return waterFirst ? WATER_FIRST_PERCENT : DRY_FIRST_PERCENT;
}

/** `count` percents that fall geometrically to 1 and add to `total` as nearly as that allows. */
function fallingTo1(count: number, total: number): number[] {
  const terms = (top: number) =>
    Array.from({ length: count }, (_, index) => (count === 1 ? top : Math.pow(top, 1 - index / (count - 1))));
  let [low, high] = [1, firstOf(false)];
  for (let step = 0; step < 40; step++) {
    const middle = (low + high) / 2;
    if (sum(terms(middle)) < total) low = middle;
    else high = middle;
  }
  return terms(low);
}

export interface LabelRow {
  /** As on the label. */
  readonly name: string;
  /** From 1. */
  readonly position: number;
  readonly percent: number;
  /** What it was taken for; null where the name is not known. */
  readonly part: Part | null;
  /** The form, of a protein. */
  readonly form: ProteinForm;
}

export interface LabelReading {
  readonly ingredient: Ingredient;
  readonly rows: readonly LabelRow[];
  /** What was understood and how far it can be trusted, in words. */
  readonly said: string;
}

const LABEL_LIMITS = { characters: 8000, names: 120 } as const;

/**
 * An ingredient from what stands on a bought product.
 * @param text names in the order of the label, split by commas or lines; or one name with its place, such as
 * "hydrolysed wheat protein, position 5 of 20": then everything else is taken to be as in a plain conditioner
 */
export function productFromLabel(id: string, name: string, text: string): Result<LabelReading> {
  if (text.length > LABEL_LIMITS.characters)
    return failed('too-long', t`This is longer than any label; paste the ingredient list alone.`, 'label');
  const placed = placedNames(text);
  const count = placed?.count ?? 0;
  const names = placed?.names ?? listedNames(text);
  if (names.length === 0 || names.length > LABEL_LIMITS.names)
    return failed(
      'no-names',
      t`Paste the ingredient list of the label, with commas, or write for example “hydrolysed wheat protein, position 5 of 20”.`,
      'label',
    );
  const entries = names.map(({ name: written }) => entryNamed(written));
  if (entries.every((entry) => entry === undefined))
    return failed(
      'unknown-names',
      t`None of these names is known here; check the list for spelling.`,
      'label',
    );

  const waterFirst = placed !== null || entries[0]?.part === 'water';
  const mark = placed ? undefined : entries.findIndex((entry) => entry?.under1);
  const shares = sharesByRank(
    placed ? count : names.length,
    waterFirst,
    mark === undefined || mark < 1 ? undefined : mark,
  );
  const rows = names.map(({ name: written, position }, index): LabelRow => ({
    name: written,
    position,
    percent: rounded(shares[position - 1] ?? 0, 2),
    part: entries[index]?.part ?? null,
    form: entries[index]?.form ?? 'none',
  }));
  const known = rows.filter((row) => row.part !== null).length;
  const said = placed
    ? t`Only ${{ rows: listed(rows.map((row) => row.name)) }} is known; the rest is taken as in a plain conditioner.`
    : t`${known} of ${{ count: rows.length }} names are known.`;
  return ok({
    ingredient: productOf(id, name, rows, entries, placed !== null),
    rows,
    said: t`${said} By the order alone a share may be ${{ times: RANK_UNCERTAINTY }} times smaller or greater.`,
  });
}

/** Names from which on a list can be that of a label. */
const LEAST_LABEL_NAMES = 6;
/** Of them so many must be what only factories put in. */
const LEAST_MADE = 2;
const MADE_PARTS: ReadonlySet<string> = new Set([
  'cationic',
  'emollient',
  'silicone',
  'surfactant',
  'preservative',
  'fragrance',
]);
/** And so many of all must be names that labels write. */
const LEAST_KNOWN_SHARE = 0.4;

/** Whether a text is the list on a bought product: names with commas between, as labels write them, and no amounts. */
export function looksLikeLabel(text: string): boolean {
  if (text.length > LABEL_LIMITS.characters || MEASURED.test(text)) return false;
  const names = listedNames(text);
  const known = names.flatMap(({ name }) => entryNamed(name) ?? []);
  const made = known.filter(({ part }) => MADE_PARTS.has(part)).length;
  const isKnown = known.length >= LEAST_KNOWN_SHARE * names.length;
  return names.length >= LEAST_LABEL_NAMES && made >= LEAST_MADE && isKnown;
}

/** A number with a measure behind it; "Ceteareth-20" and "CI 77891" are names. */
const MEASURED =
  /(?<![\p{L}\d-])\d+(?:[.,/]\d+)?\s?(?:g|ml|tbsp|tsp|cups?|spoons?|oz|drops?|%|colher|x[ií]cara|el|tl|cuchara|cuill)/iu;

function entryNamed(written: string): InciEntry | undefined {
  const words = plainWords(written.replace(/\(.*?\)/g, ' ')).join(' ');
  const inside = plainWords(/\((.*?)\)/.exec(written)?.[1] ?? '').join(' ');
  return byName.get(words) ?? byName.get(inside) ?? byName.get(words.replace('hydrolysed', 'hydrolyzed'));
}

interface PlacedName {
  readonly name: string;
  readonly position: number;
}

/** "X, position 5 of 20", one to a line. */
function placedNames(text: string): { names: PlacedName[]; count: number } | null {
  const lines = text.split(/\n|;/).filter((line) => line.trim() !== '');
  const found = lines.map((line) =>
    /^(?:.*\bcontains\s+)?(.+?),?\s*\(?\b(?:position|place|number|no\.?|#)\s*(\d{1,3})\s*(?:of|\/)\s*(\d{1,3})\)?/i.exec(
      line.trim(),
    ),
  );
  const names = found.flatMap((match) =>
    match ? [{ name: match[1] ?? '', position: Number(match[2]), count: Number(match[3]) }] : [],
  );
  const count = Math.max(0, ...names.map((each) => each.count));
  const fits = names.every(({ position }) => position >= 1 && position <= count);
  return names.length > 0 && fits && count <= LABEL_LIMITS.names ? { names, count } : null;
}

function listedNames(text: string): PlacedName[] {
  return text
    .replace(/^\s*ingredients?\s*:?/i, '')
    .replace(/(\d),(\d)/g, '$1-$2')
    .split(/[,\n•·]+/)
    .map((part) => part.replace(/[*.]+\s*$/, '').trim())
    .filter(Boolean)
    .map((name, index) => ({ name: name.slice(0, 120), position: index + 1 }));
}

/** What a conditioner holds beside the one thing that is known of it; as the catalogue's plain conditioner. */
const PLAIN_REST = { water: 86, cationic: 1.5, emollient: 6, humectant: 2, preservative: 0.8 } as const;

const ROLE_OF: Partial<Record<Part, Role>> = {
  cationic: 'conditioner',
  humectant: 'humectant',
  sugars: 'humectant',
  mucilage: 'slip',
  protein: 'protein',
  penetrating: 'penetrating-oil',
  sealing: 'sealing-oil',
  silicone: 'sealing-oil',
  tannin: 'tannin',
  acid: 'acid',
  surfactant: 'surfactant',
  preservative: 'preservative',
};

function productOf(
  id: string,
  name: string,
  rows: readonly LabelRow[],
  entries: readonly (InciEntry | undefined)[],
  rest: boolean,
): Ingredient {
  const of = (...parts: Part[]) =>
    sum(
      rows.map((row, index) =>
        row.part && parts.includes(row.part) ? row.percent * (entries[index]?.dilute ?? 1) : 0,
      ),
    );
  const plain = (part: keyof typeof PLAIN_REST) => (rest ? PLAIN_REST[part] : 0);
  const [water, protein, sugars] = [of('water') + plain('water'), of('protein'), of('sugars')];
  const fat = of('penetrating', 'sealing');
  const scale = Math.min(1, 100 / Math.max(1, water + protein + sugars + fat));
  const named = rounded(scale * (water + protein + sugars + fat), 2);
  const actives = {
    cationic: of('cationic') + plain('cationic'),
    emollient: of('emollient', 'silicone') + plain('emollient'),
    humectant: of('humectant') + plain('humectant'),
    mucilage: of('mucilage'),
    tannin: of('tannin'),
    acid: of('acid'),
    surfactant: of('surfactant'),
    preservative: of('preservative') + plain('preservative'),
  };
  const preserved = actives.preservative > 0;
  return {
    id,
    name,
    names: [],
    composition: {
      water: rounded(scale * water, 2),
      protein: rounded(scale * protein, 2),
      fat: rounded(scale * fat, 2),
      sugars: rounded(scale * sugars, 2),
      starch: 0,
      fibre: 0,
      other: Math.max(0, rounded(100 - named, 2)),
    },
    proteinForm: leadingForm(rows),
    fatKind: fat === 0 ? 'none' : of('penetrating') >= of('sealing') ? 'penetrating' : 'sealing',
    actives: Object.fromEntries(
      Object.entries(actives)
        .filter(([, share]) => share > 0)
        .map(([part, share]) => [part, rounded(share, 3)]),
    ),
    roles: rolesOf(rows, rest),
    measures: { gramsPerMl: water > 30 ? 0.98 : 0.92 },
    preparations: [],
    ...(preserved && water > 30 ? { pH: 4.5 } : {}),
    allergens: [...new Set(entries.flatMap((entry) => entry?.allergen ?? []))],
    keeping: preserved ? 'preserved' : water > 5 ? 'water' : 'oil',
    sources: { composition: 'label-order', actives: 'label-order', measures: 'label-typical' },
  };
}

function leadingForm(rows: readonly LabelRow[]): ProteinForm {
  const proteins = rows.filter((row) => row.part === 'protein').sort((a, b) => b.percent - a.percent);
  return proteins[0]?.form ?? 'none';
}

function rolesOf(rows: readonly LabelRow[], rest: boolean): Role[] {
  const roles = new Set(rows.flatMap((row) => (row.part && ROLE_OF[row.part]) ?? []));
  if (rest) roles.add('conditioner');
  return roles.size > 0 ? [...roles] : ['carrier'];
}
