import type { Problem } from '../../base/measures';
import type { Element } from './elements';
import type { Batch, Item, NamedAt, Nameless, TokenRange, Whole } from './item';
import type { Names } from './namesFound';
import type { Row } from './rows';
import type { StepAt } from './steps';
import type { Token } from './tokens';
import type { Vocabulary } from './vocabulary';
import type { ReadingOptions } from './weigh';

/** A text with all that it is read with. */
export interface Context extends ReadingOptions {
  readonly text: string;
  readonly tokens: readonly Token[];
  readonly words: Vocabulary;
}

/** A sentence with all that was found in it. */
export interface ReadSentence extends TokenRange {
  readonly row: Row;
  readonly elements: readonly Element[];
  readonly items: readonly Item[];
  readonly nameless: readonly Nameless[];
  readonly mentions: readonly NamedAt[];
  readonly whole: Whole | null;
  readonly batches: readonly Batch[];
  readonly denied: readonly NamedAt[];
  readonly steps: readonly StepAt[];
  readonly phase: string | null;
  /** Under a heading such as "Method". */
  readonly isMethod: boolean;
}

/** A row, where it begins to say something, and what is wrong with its numbers. */
export interface ReadRow {
  readonly row: Row;
  readonly from: number;
  readonly problem: Problem | null;
}

export interface Told {
  readonly names: Names;
  readonly rows: readonly ReadRow[];
  readonly sentences: readonly ReadSentence[];
  /** The sentences of a row. */
  inRow(row: Row): readonly ReadSentence[];
}
