import { t } from '@lingui/core/macro';
import { failed, failedBySchema, ok, type Result } from '@/core/base/measures';
import { pantryItemSchema, type PantryItem } from '@/core/records/shapes';
import { numberFrom } from '../shared/amounts';

/** What is there of one ingredient, as typed. */
export interface StockDraft {
  readonly left: string;
  readonly packGrams: string;
  readonly packPrice: string;
}

export function draftOfStock(item: PantryItem | undefined): StockDraft {
  return {
    left: item && item.gramsLeft !== null ? String(item.gramsLeft) : '',
    packGrams: item?.pack ? String(item.pack.grams) : '',
    packPrice: item?.pack ? String(item.pack.price) : '',
  };
}

/** Checks a draft and makes the record; an empty amount means that there is some. */
export function stockFromDraft(
  draft: StockDraft,
  stamp: Pick<PantryItem, 'id' | 'recordedAt' | 'ingredientId'>,
): Result<PantryItem> {
  const empty = (text: string) => text.trim() === '';
  const hasPack = !empty(draft.packGrams) || !empty(draft.packPrice);
  const left = empty(draft.left) ? null : numberFrom(draft.left);
  if (Number.isNaN(left)) return failed('left', t`Write grams, or leave it empty for “some”.`, 'left');
  const parsed = pantryItemSchema.safeParse({
    ...stamp,
    kind: 'pantry',
    gramsLeft: left,
    pack: hasPack ? { grams: numberFrom(draft.packGrams), price: numberFrom(draft.packPrice) } : null,
  });
  if (parsed.success) return ok(parsed.data);
  return failedBySchema(parsed.error.issues, ({ path }) =>
    path[0] === 'pack'
      ? path[1] === 'price'
        ? { path: 'packPrice', message: t`Write the price of the pack.` }
        : { path: 'packGrams', message: t`Write the grams of the pack, more than 0.` }
      : { path: 'left', message: t`Write grams, or leave it empty for “some”.` },
  );
}
