import type { CalendarDay, CupKind, Result } from '@/core/base/measures';
import { estimateHair } from '@/core/hair/estimation';
import { historyOf, larderOf } from '@/core/hair/history';
import type { HairState } from '@/core/hair/state';
import { hairMassGrams } from '@/core/hair/state';
import { judgedText, type JudgedText } from '@/core/kitchen/formulation';
import { demoRecords } from '@/core/lab/simulation';
import type { HairQuestion } from '@/core/plan/question';
import { classifyVersion, kindWords } from '@/core/recipe/classification';
import type { Larder } from '@/core/recipe/larder';
import type { OwnMeasures } from '@/core/recipe/parsing';
import { readBackup, type Backup } from '@/core/records/files';
import type { Head, School, StoredRecord } from '@/core/records/shapes';

export interface TextQuestion {
  readonly text: string;
  readonly cup: CupKind;
  readonly own: OwnMeasures;
  readonly head: Head | undefined;
  /** Which of the larders that were told. */
  readonly larderId: number;
}

export interface CountsQuestion {
  readonly all: readonly StoredRecord[];
  readonly live: readonly StoredRecord[];
  readonly school: School;
}

export interface ChangedVerdict {
  readonly recipeId: string;
  readonly name: string;
  readonly was: string;
  readonly is: string;
}

let known: { readonly id: number; readonly larder: Larder } | undefined;

/** Computed from records, in the estimator's worker; everything that goes in and out can be cloned. */
export const estimatorApi = {
  estimate: ({ head, records, today }: HairQuestion): HairState =>
    estimateHair(head, historyOf(records, head.headId), today),
  readBackup: (text: string): Result<Backup> => readBackup(text),
  demo: (today: CalendarDay): StoredRecord[] => demoRecords(today),
  /** All that recipes can be made of, told once for many questions: with years of recipes it takes longer to send than to read a text. */
  knowLarder: (id: number, all: readonly StoredRecord[], live: readonly StoredRecord[]): void => {
    known = { id, larder: larderOf(all, live) };
  },
  /** Recipes whose kind is another by this reading of the science than as it is written. */
  changedBy: ({ all, live, school }: CountsQuestion): ChangedVerdict[] => {
    const larder = larderOf(all, live);
    const asWritten = larderOf(
      all,
      live.filter(({ kind }) => kind !== 'science'),
    );
    return larder.recipes.flatMap((recipe): ChangedVerdict[] => {
      const [is, was] = [larder, asWritten].map((each) => classifyVersion(recipe, school, each));
      if (!is?.ok || !was?.ok || is.value.kind === was.value.kind) return [];
      return [
        { recipeId: recipe.recipeId, name: recipe.name, was: kindWords(was.value), is: kindWords(is.value) },
      ];
    });
  },
  /** Null where the larder is not known here. */
  judgeText: ({ text, cup, own, head, larderId }: TextQuestion): JudgedText | null =>
    known?.id === larderId
      ? judgedText(text, { larder: known.larder, cup, own, head, hairGrams: head && hairMassGrams(head) })
      : null,
};

export type EstimatorApi = typeof estimatorApi;
