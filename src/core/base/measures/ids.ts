import { t } from '@lingui/core/macro';
import { z } from 'zod';

/** Names one stored record. Letters, digits and - _ only, so that it is safe as a key anywhere. */
export const idSchema = z
  .string()
  .regex(/^[A-Za-z0-9_-]{1,64}$/, { error: () => t`An id holds 1 to 64 letters, digits, "-" or "_".` })
  // What every object has anyway is no name for an entry: “toString” would always be there already.
  .refine((id) => !(id in Object.prototype) && id !== 'prototype', { error: () => t`That id is reserved.` });

/** Where new ids come from; passed in, so that tests and demo data are repeatable. */
export type IdSource = () => string;

/** Ids that count up, padded so that their order as text is their order of making: for generated data. */
export function countingIds(prefix: string): IdSource {
  let next = 1;
  return () => `${prefix}-${String(next++).padStart(5, '0')}`;
}
