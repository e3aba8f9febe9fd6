import type { Deed } from '../../records/shapes';
import type { Amount } from './amounts';
import type { NameMatch } from './namesFound';
import type { Texture } from './textures';

/** From one token to before another. */
export interface TokenRange {
  readonly from: number;
  readonly to: number;
}

/** Names by the token that they begin at, as they are found and refined. */
export type Found = Map<number, NameMatch & { readonly to: number }>;

export interface NamedAt extends TokenRange {
  readonly match: NameMatch;
}

/** One thing that goes in, with what is said of how much. */
export interface Item {
  readonly name: NamedAt;
  /** Null where nothing is said. */
  amount: Amount | null;
  /** The amount is said once for several things. */
  readonly shared: boolean;
  /** Said on top: "another half", "1 tbsp + 1 tsp". */
  readonly more: Amount[];
  /** A part of a mixture whose size is not said. */
  readonly equalPart: boolean;
  /** A number alone that makes a hundred with the others: percent. */
  ofHundred: boolean;
  /** Names beside it that nothing is said of. */
  readonly others: NamedAt[];
  /** What may be taken instead. */
  readonly instead: NamedAt[];
  optional: boolean;
  /** What it says it holds: "conditioner (contains keratin)". */
  readonly holds: NamedAt[];
  /** What is left out of it: "two eggs, skip the whites". */
  readonly without: NamedAt[];
  /** As much of it as makes the mixture so thick. */
  texture: (TokenRange & { readonly texture: Texture }) | null;
  /** What is done with it, the last that was said before it in its sentence. */
  readonly deed: Deed | null;
}

/** An amount of nothing that is known. */
export interface Nameless {
  readonly amount: Amount;
  readonly range: TokenRange;
  /** No unknown words stand beside it. */
  readonly isBare: boolean;
  /** A number alone: of what was named before and is counted, or of nothing. */
  readonly isLoose?: boolean;
}

/** "Halve everything except the honey": said of all that stands before. */
export interface Whole extends TokenRange {
  readonly times: number;
  readonly except: readonly NamedAt[];
}

/** "2 tbsp of that": so much of what was made; "6 tablespoons in all": so much of all parts together. */
export interface Batch extends TokenRange {
  readonly what: 'used' | 'total';
  readonly amount: Amount;
  /** The sentence that it was made in, where only that is meant. */
  readonly within?: TokenRange;
}

export interface SentenceItems {
  readonly whole: Whole | null;
  readonly batches: readonly Batch[];
  /** Said not to go in. */
  readonly denied: readonly NamedAt[];
  readonly items: readonly Item[];
  readonly nameless: readonly Nameless[];
  /** Names that were denied, referred to, or stand among words of use. */
  readonly mentions: readonly NamedAt[];
}
