/** Writes docs/backup.schema.json from the schemas of the core. A test holds the file against what this would write. */
import { writeFileSync } from 'node:fs';
import { backupJsonSchema } from './lib/backupJsonSchema';

writeFileSync(new URL('../docs/backup.schema.json', import.meta.url), backupJsonSchema());
console.log('docs/backup.schema.json is written');
