import { z } from 'zod';
import { backupSchema } from '../../src/core/exchange';

/** The JSON Schema of a backup file, as text. Rules between two fields cannot be said in it; docs/formats.md lists them. */
export function backupJsonSchema(): string {
  return `${JSON.stringify({ title: 'Velvet Rhythm backup', ...z.toJSONSchema(backupSchema) }, null, 1)}\n`;
}
