import { z } from 'zod';
import { recipeFileSchema } from '../../src/core/files/sharing';
import { backupSchema } from '../../src/core/records/files';

const text = (title: string, schema: z.ZodType) =>
  `${JSON.stringify({ title, ...z.toJSONSchema(schema) }, null, 1)}\n`;

/** The JSON Schemas of our files, by file name in docs/. Rules between two fields cannot be said in one; docs/formats.md lists them. */
export const JSON_SCHEMAS: Readonly<Record<string, string>> = {
  'backup.schema.json': text('Velvet Rhythm backup', backupSchema),
  'recipes.schema.json': text('Velvet Rhythm recipes', recipeFileSchema),
};
