import { useState } from 'react';
import { ok, sum, type Result } from '@/core/base/measures';
import { expectedMaskGrams } from '@/core/hair/state';
import { scaleFactor } from '@/core/kitchen/making';
import type { Head, RecipeVersion } from '@/core/records/shapes';
import { numberFrom } from '../shared/amounts';

export type TargetKind = 'written' | 'heads' | 'grams' | 'jar' | 'portions' | 'left';

/** What is typed to say how much is wanted. */
export interface AmountDraft {
  readonly kind: TargetKind;
  readonly headIds: readonly string[];
  readonly grams: string;
  readonly millilitres: string;
  readonly jars: string;
  readonly portions: string;
  readonly portionGrams: string;
  readonly line: number;
  readonly gramsLeft: string;
}

export interface HeadAmount {
  readonly head: Head;
  readonly grams: number;
  readonly factor: number;
  readonly uses: number;
}

export interface AmountFacts {
  readonly recipe: RecipeVersion;
  readonly finishedGrams: number;
  readonly density: number;
  readonly isOil: boolean;
  readonly heads: readonly Head[];
  readonly usedGrams: (headId: string) => readonly number[];
}

export const NEW_AMOUNT: Omit<AmountDraft, 'kind' | 'headIds'> = {
  grams: '200',
  millilitres: '250',
  jars: '1',
  portions: '3',
  portionGrams: '100',
  line: 0,
  gramsLeft: '',
};

/** The draft of an amount, and the factor on the recipe that it asks for. */
export function useAmount(facts: AmountFacts | null, firstHead: string | undefined) {
  const [draft, setDraft] = useState<AmountDraft>({
    kind: 'written',
    headIds: firstHead === undefined ? [] : [firstHead],
    ...NEW_AMOUNT,
  });
  const change = (part: Partial<AmountDraft>) => setDraft((before) => ({ ...before, ...part }));
  const amounts = facts ? headAmounts(facts, draft.headIds) : [];
  return { draft, change, amounts, factor: facts ? factorOf(facts, draft, amounts) : ok(1) };
}

/** What one use takes on each of the chosen heads. */
export function headAmounts(
  { heads, isOil, usedGrams }: AmountFacts,
  headIds: readonly string[],
): HeadAmount[] {
  return heads
    .filter(({ headId }) => headIds.includes(headId))
    .map((head) => ({ head, ...expectedMaskGrams(head, isOil ? 'oil' : 'mask', usedGrams(head.headId)) }));
}

/** The factor on the recipe that a draft asks for, or what is wrong with it. */
export function factorOf(
  facts: AmountFacts,
  draft: AmountDraft,
  amounts: readonly HeadAmount[],
): Result<number> {
  const { finishedGrams, density, recipe } = facts;
  const scalable = { lines: recipe.lines.map(({ grams }) => grams), finishedGrams, density };
  const toGrams = (grams: number) => scaleFactor(scalable, { to: 'grams', grams });
  switch (draft.kind) {
    case 'written':
      return ok(1);
    case 'heads':
      return toGrams(sum(amounts.map(({ grams }) => grams)));
    case 'grams':
      return toGrams(numberFrom(draft.grams));
    case 'jar':
      return scaleFactor(scalable, {
        to: 'jar',
        millilitres: numberFrom(draft.millilitres),
        jars: numberFrom(draft.jars),
      });
    case 'portions':
      return scaleFactor(scalable, {
        to: 'portions',
        portions: numberFrom(draft.portions),
        portionGrams: numberFrom(draft.portionGrams),
      });
    case 'left':
      return scaleFactor(scalable, {
        to: 'left',
        line: draft.line,
        gramsLeft: numberFrom(draft.gramsLeft),
      });
  }
}
