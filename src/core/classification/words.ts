import { SCHOOLS, type School } from './constants';
import type { TreatmentKind } from './schoolVerdict';
import { strengthWord, type LedgerRow, type Verdict } from './verdict';
import type { LoadKind } from './loads';

export const KIND_WORDS: Record<TreatmentKind, string> = {
  protein: 'Protein',
  moisture: 'Moisture',
  balanced: 'Balanced',
  oil: 'Oil',
  rinse: 'A rinse',
};

export const SCHOOL_WORDS: Record<School, { readonly label: string; readonly meaning: string }> = {
  'any-protein': {
    label: 'any protein',
    meaning: 'Food protein counts nearly as much as broken-down protein.',
  },
  'broken-down': {
    label: 'broken-down only',
    meaning: 'Only hydrolysed protein, gelatin and amino acids count; food protein is a light film.',
  },
  'my-hair': {
    label: 'by my hair',
    meaning: 'A weighed middle between the two, until your own results say more.',
  },
};

/** The headline: "Moisture, fairly strong". */
export function verdictHeadline({ kind, strength }: Pick<Verdict, 'kind' | 'strength'>): string {
  return `${KIND_WORDS[kind]}, ${strengthWord(strength)}`;
}

export function confidenceWord(confidence: number): string {
  if (confidence >= 0.8) return 'quite sure';
  if (confidence >= 0.6) return 'fairly sure';
  if (confidence >= 0.4) return 'not very sure';
  return 'a guess';
}

function leader(ledger: readonly LedgerRow[], load: LoadKind): LedgerRow | undefined {
  return [...ledger].sort((a, b) => b.shares[load] - a.shares[load]).find((row) => row.shares[load] > 0);
}

const CARRIED_BY: Record<TreatmentKind, readonly LoadKind[]> = {
  protein: ['firm'],
  moisture: ['soft'],
  balanced: ['firm', 'soft'],
  oil: ['penetratingOil', 'sealingOil'],
  rinse: ['soft'],
};

/** The reason in one or two sentences: what carries the verdict, and whether the schools agree. */
export function verdictReasons(verdict: Verdict): string[] {
  const carriers = CARRIED_BY[verdict.kind]
    .map((load) => ({ load, row: leader(verdict.ledger, load) }))
    .filter(({ row }) => row);
  const words: Partial<Record<LoadKind, string>> = { firm: 'firms', soft: 'softens' };
  const reasons =
    verdict.kind === 'rinse'
      ? ['Little in it stays on the hair to firm or soften.']
      : carriers.map(({ load, row }) => {
          const percent = Math.round(100 * (row?.shares[load] ?? 0));
          return `Most of what ${words[load] ?? 'oils'} comes from the ${row?.name} (${percent} %).`;
        });
  return [...reasons.slice(0, 2), schoolSentence(verdict)];
}

function schoolSentence(verdict: Verdict): string {
  const others = SCHOOLS.filter((school) => verdict.schools[school].kind !== verdict.kind);
  if (others.length === 0) return 'All three schools agree.';
  return others
    .map(
      (school) =>
        `By “${SCHOOL_WORDS[school].label}” it is ${KIND_WORDS[verdict.schools[school].kind].toLowerCase()}.`,
    )
    .join(' ');
}
