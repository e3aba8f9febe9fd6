import { PLAIN_WASH_ID, type RuleKey } from '../agenda';
import type { Due, Spacing } from './plan';

/** A sort of treatment that has a rhythm of its own. */
export interface Sort {
  readonly what: Due['what'];
  readonly is: (use: Spacing & { readonly recipeId: string }) => boolean;
  /** Not sooner, and not later, than these rules say. */
  readonly gap: RuleKey | null;
  readonly within: RuleKey;
}

export const SORTS: readonly Sort[] = [
  {
    what: 'protein',
    is: ({ firms }) => firms,
    gap: 'lightProteinGap',
    within: 'proteinWithin',
  },
  {
    what: 'strong protein',
    is: ({ strong }) => strong,
    gap: 'strongProteinGap',
    within: 'strongWithin',
  },
  {
    what: 'moisture',
    is: ({ moistens, use }) => moistens && use === 'mask',
    gap: null,
    within: 'moistureWithin',
  },
  {
    what: 'main treatment',
    is: ({ use, recipeId }) => use === 'mask' && recipeId !== PLAIN_WASH_ID,
    gap: 'washGap',
    within: 'mainWithin',
  },
];
