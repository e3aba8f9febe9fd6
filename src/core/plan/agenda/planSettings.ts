import type { PlanSettings } from '../../records/shapes';
/** What she can choose, without what makes it a record. */
export type PlanChoices = Omit<PlanSettings, 'id' | 'recordedAt' | 'corrects' | 'kind' | 'headId'>;

export const USUAL_CHOICES: PlanChoices = {
  rules: {},
  leanings: { gentler: 0, faster: 0, cheaper: 0, 'less-work': 0 },
  rhythm: 'readings',
  afterProtein: 'if-firm',
  maskOrder: 'after-shampoo',
  prePoo: 'oil-only',
  leftovers: 'keep',
  zones: 'lengths',
  rinse: 'water',
  finish: 'warm',
  conditioner: 'after-only',
};

/** What she chose last for a head. */
export function choicesOf(settings: readonly PlanSettings[], headId: string): PlanChoices {
  const last = settings.findLast((each) => each.headId === headId);
  if (!last) return USUAL_CHOICES;
  const { id: _id, recordedAt: _at, corrects: _corrects, kind: _kind, headId: _head, ...choices } = last;
  return choices;
}
