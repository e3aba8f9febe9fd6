import type { z } from 'zod';

/** What a stored text holds, or `none` where there is nothing or it cannot be read any more. */
export function readStored<Stored, None extends Stored>(
  schema: z.ZodType<Stored>,
  text: string | null,
  none: None,
): Stored {
  if (text === null) return none;
  try {
    const parsed = schema.safeParse(JSON.parse(text));
    return parsed.success ? parsed.data : none;
  } catch {
    return none;
  }
}
