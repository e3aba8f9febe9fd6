import { z } from 'zod';

/** A moment on the UTC clock, ISO 8601: only for when a record was written down, never for a wash day. */
export const instantSchema = z.iso.datetime({ message: 'A moment is written like 2026-03-09T18:30:00Z.' });
export type Instant = z.infer<typeof instantSchema>;
