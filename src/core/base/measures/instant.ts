import { t } from '@lingui/core/macro';
import { parseISO } from 'date-fns/parseISO';
import { toDate } from 'date-fns/toDate';
import { z } from 'zod';
import { formatted, type DatePattern } from './formatted';

/** A moment on the UTC clock, ISO 8601: when something was written down or really happened, never a planned day. */
export const instantSchema = z.iso.datetime({
  error: () => t`A moment is written like 2026-03-09T18:30:00Z.`,
});
export type Instant = z.infer<typeof instantSchema>;

/** A moment in the words of this device's clock. @param pattern of date-fns */
export function formatInstant(instant: string, pattern: DatePattern): string {
  return formatted(parseISO(instant), pattern);
}

/** Milliseconds on the UTC clock. */
export function millisecondsOf(instant: Instant): number {
  return parseISO(instant).getTime();
}

export function instantAt(milliseconds: number): Instant {
  return toDate(milliseconds).toISOString();
}
