/** Writes the JSON Schemas in docs/ from the schemas of the core. A test holds the files against what this would write. */
import { writeFileSync } from 'node:fs';
import { JSON_SCHEMAS } from './lib/jsonSchemas';

for (const [name, text] of Object.entries(JSON_SCHEMAS)) {
  writeFileSync(new URL(`../docs/${name}`, import.meta.url), text);
  console.log(`docs/${name} is written`);
}
