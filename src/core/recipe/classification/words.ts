import { t } from '@lingui/core/macro';
import { fixed, perLanguage } from '../../base/language';
import { rounded } from '../../base/measures';
import { SCHOOLS, type School } from '../../records/shapes';
import type { Acidity } from './acidity';
import type { Flip } from './flips';
import { kindLabels } from './kindLabels';
import type { LoadKind } from './loads';
import type { TreatmentKind } from './schoolVerdict';
import { strengthWord, type LedgerRow, type Verdict } from './verdict';

export const schoolWords = perLanguage(
  (): Record<School, { readonly label: string; readonly meaning: string }> => ({
    'any-protein': {
      label: t`any protein`,
      meaning: t`Food protein counts nearly as much as broken-down protein: egg, dairy, beans, seeds and nuts, gelatin. Coconut milk, avocado and banana are protein to nobody.`,
    },
    'broken-down': {
      label: t`broken-down only`,
      meaning: t`Only hydrolysed protein, gelatin and amino acids count; food protein is a light film.`,
    },
    'my-hair': {
      label: t`by my hair`,
      meaning: t`A weighed middle between the two, until your own results say more.`,
    },
  }),
);

/**
 * The headline: "Moisture, fairly strong"; where the outer schools part over protein, the disagreement itself: "Firms for
 * some, moisture for others".
 */
export function verdictHeadline(verdict: Pick<Verdict, 'kind' | 'strength' | 'also' | 'schools'>): string {
  const { schools } = verdict;
  const [any, broken] = [schools['any-protein'].kind, schools['broken-down'].kind];
  return any === 'protein' && broken !== 'protein' && broken !== 'balanced'
    ? t`Depends who you ask: protein for some, ${{ broken: kindLabels()[broken].toLowerCase() }} for others`
    : kindWords(verdict);
}

/** "Moisture, fairly strong", "Protein, strong, with conditioning": by the school in force alone. */
export function kindWords({ kind, strength, also }: Pick<Verdict, 'kind' | 'strength' | 'also'>): string {
  const words = `${kindLabels()[kind]}, ${strengthWord(strength)}`;
  if (also?.kind === 'moisture') return t`${words}, with conditioning`;
  if (also?.kind === 'protein') return t`${words}, with ${{ strength: strengthWord(also.strength) }} protein`;
  return words;
}

/** "With 4.2 g gelatin instead of 11 g it would be balanced." */
export function flipWords({ name, fromGrams, toGrams, to }: Flip): string {
  const change =
    toGrams === 0
      ? t`Without the ${name}`
      : toGrams < fromGrams
        ? t`With ${{ grams: gramsWords(toGrams) }} ${name} or less instead of ${{ before: gramsWords(fromGrams) }}`
        : t`With ${{ grams: gramsWords(toGrams) }} ${name} or more instead of ${{ before: gramsWords(fromGrams) }}`;
  return t`${change} it would be ${{ to: kindLabels()[to].toLowerCase() }}.`;
}

function gramsWords(grams: number): string {
  return t`${{ grams: rounded(grams, grams < 10 ? 1 : 0) }} g`;
}

/** The pH in words, with its error; null where nothing tells. */
export function acidityWords({ pH, error }: Acidity): string | null {
  if (pH === null) return null;
  const word =
    pH < 3.2
      ? t`very sour`
      : pH < 4.6
        ? t`sour`
        : pH < 6
          ? t`a little sour`
          : pH < 7.6
            ? t`neutral`
            : t`alkaline`;
  return t`about pH ${{ pH: fixed(pH, 1) }} (${word}; give or take ${{ error: fixed(error, 1) }})`;
}

export function confidenceWord(confidence: number): string {
  if (confidence >= 0.8) return t`quite sure`;
  if (confidence >= 0.6) return t`fairly sure`;
  if (confidence >= 0.4) return t`not very sure`;
  return t`a guess`;
}

export function leader(ledger: readonly LedgerRow[], load: LoadKind): LedgerRow | undefined {
  return [...ledger].sort((a, b) => b.shares[load] - a.shares[load]).find((row) => row.shares[load] > 0);
}

type Carrier = Extract<LoadKind, 'firm' | 'soft' | 'penetratingOil' | 'sealingOil'>;

export const CARRIED_BY: Record<TreatmentKind, readonly Carrier[]> = {
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
  const words: Record<Carrier, string> = {
    firm: t`firms`,
    soft: t`softens`,
    penetratingOil: t`soaks in`,
    sealingOil: t`coats`,
  };
  const reasons =
    verdict.kind === 'rinse'
      ? [t`Little in it stays on the hair to firm or soften.`]
      : carriers.map(({ load, row }) => {
          const percent = Math.round(100 * (row?.shares[load] ?? 0));
          return t`Most of what ${{ load: words[load] }} comes from the ${{ rowName: row?.name ?? '' }} (${percent} %).`;
        });
  return [...reasons.slice(0, 2), schoolSentence(verdict)];
}

function schoolSentence(verdict: Verdict): string {
  const others = SCHOOLS.filter((school) => verdict.schools[school].kind !== verdict.kind);
  if (others.length === 0) return t`All three views agree.`;
  return others
    .map(
      (school) =>
        t`By “${{ school: schoolWords()[school].label }}” it is ${{ kind: kindLabels()[verdict.schools[school].kind].toLowerCase() }}.`,
    )
    .join(' ');
}
