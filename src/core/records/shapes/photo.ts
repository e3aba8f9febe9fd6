import { t } from '@lingui/core/macro';
import { z } from 'zod';
import { calendarDaySchema, idSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';
import { MOMENTS, REGIONS } from './reading';

export const PHOTO_LIMITS = {
  /** Longer side, pixels: enough to see curls part or clump, small enough to keep for years. */
  longSidePx: 640,
  /** JPEG quality, 0 to 1. */
  quality: 0.7,
  /** Of one picture, base64 characters (4 for 3 bytes). */
  characters: 160_000,
  /** Of one head. */
  pictures: 60,
} as const;

/** A picture of the hair, small, with where and when. Taken back, it is erased from the store at the next start. */
export const photoSchema = recordBaseSchema.extend({
  kind: z.literal('photo'),
  headId: idSchema,
  day: calendarDaySchema,
  moment: z.enum(MOMENTS),
  place: z.enum(REGIONS),
  widthPx: z.number().int().min(1).max(PHOTO_LIMITS.longSidePx),
  heightPx: z.number().int().min(1).max(PHOTO_LIMITS.longSidePx),
  /** A JPEG file in base64. */
  jpeg: z
    .string()
    .max(PHOTO_LIMITS.characters, { error: () => t`The picture is too large even when made small.` })
    .regex(/^\/9j\/[A-Za-z0-9+/]+={0,2}$/, { error: () => t`This is no JPEG picture.` }),
});
export type Photo = z.infer<typeof photoSchema>;

/** Bytes that pictures take in the store. */
export function photoBytes(photos: readonly Pick<Photo, 'jpeg'>[]): number {
  return photos.reduce((sum, { jpeg }) => sum + jpeg.length, 0);
}

/** Pictures of one place, oldest first: a pair is the first and the last of them. */
export function photosOf(photos: readonly Photo[], place: Photo['place']): Photo[] {
  return photos
    .filter((photo) => photo.place === place)
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
}
