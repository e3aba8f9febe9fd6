import { plural, t } from '@lingui/core/macro';
import { isOil } from '../../recipe/ingredients';
import type { Larder } from '../../recipe/larder';
import type { KeepingClass, SavedLine, SavedStep } from '../../records/shapes';
import { keepingRule } from '../batches';
import { methodKind } from './kinds';
import { partsByLine, partsIn, type Part } from './parts';
import { isPowder, isSolid, SLIPPERY } from './shortest';

/** What there is to know about a way of making: what it leaves in the bowl, and what may go wrong. */
export interface Way {
  readonly id: string;
  readonly label: string;
  readonly survives: string;
  readonly wrong: string;
  /** How what it makes keeps, and why; null: as its parts do. */
  readonly keeps: string | null;
}

/** A day in oil is an infusion by cold, minutes; it takes weeks. */
const DAY_MINUTES = 1440;

/** The ways that a method goes, in its order, each once; a told step goes the way that its deeds and lines say. */
export function waysOf(steps: readonly SavedStep[], lines: readonly SavedLine[], larder: Larder): Way[] {
  const parts = partsByLine(lines, larder);
  const ids = steps.flatMap((step) => step.way ?? wayOf(step, partsIn(step, parts)) ?? []);
  return [...new Set(ids)].map((id) => {
    const { label, survives, wrong, keeping } = methodKind(id);
    return { id, label, survives, wrong, keeps: keeping && keepsText(keeping) };
  });
}

function keepsText(keeping: KeepingClass): string {
  const { fridgeDays, why } = keepingRule(keeping);
  return t`Keeps ${plural({ days: fridgeDays }, { one: '# day', other: '# days' })} in the fridge. ${why}`;
}

function wayOf(step: SavedStep, own: readonly Part[]): string | null {
  const does = (deed: SavedStep['deeds'][number]) => step.deeds.includes(deed);
  if (does('boil')) return boiled(own);
  if (does('soak')) return soaked(step, own);
  if (does('whip')) return 'whip';
  if (does('blend')) return 'puree';
  if (does('heat')) return own.some(isSolid) ? 'heat-oil' : 'melt';
  return does('mix') && own.some(isPowder) ? 'paste' : null;
}

function boiled(own: readonly Part[]): string {
  const isGel = own.some(({ preparation }) => (preparation?.survives.mucilage ?? 0) >= SLIPPERY);
  if (isGel) return 'gel';
  const isStarch = own.some(({ ingredient }) => (ingredient?.composition.starch ?? 0) > 50);
  return isStarch && own.every(({ preparation }) => preparation?.strain !== true)
    ? 'cooked-paste'
    : 'decoction';
}

function soaked({ text, waitMinutes, deeds }: SavedStep, own: readonly Part[]): string {
  const hasOil = own.some(({ ingredient }) => ingredient !== null && isOil(ingredient));
  const hasWater = own.some(({ ingredient }) => (ingredient?.composition.water ?? 0) > 80);
  if (hasOil && !hasWater) return waitMinutes >= DAY_MINUTES ? 'oil-cold' : 'oil-warm';
  if (/ferment/i.test(text)) return 'ferment';
  return deeds.includes('heat') ? 'hot-soak' : 'cold-soak';
}
