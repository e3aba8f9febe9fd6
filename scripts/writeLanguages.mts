/** Writes data/languages/en.json from the texts of code and data, and tells what the other languages lack. */
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { englishTexts } from './lib/texts';

const root = path.resolve(import.meta.dirname, '..');
const folder = path.join(root, 'data/languages');
const english = englishTexts(root);
writeFileSync(path.join(folder, 'en.json'), `${JSON.stringify(english, null, 2)}\n`);

for (const file of readdirSync(folder).filter((name) => name !== 'en.json')) {
  const texts = JSON.parse(readFileSync(path.join(folder, file), 'utf8')) as Record<string, string>;
  const missing = Object.keys(english).filter((key) => !texts[key]);
  const unused = Object.keys(texts).filter((key) => !(key in english));
  console.log(
    `${file}: ${Object.keys(texts).length} texts, ${missing.length} missing, ${unused.length} unused`,
  );
  for (const key of missing) console.log(`  missing: ${JSON.stringify(key)}`);
  for (const key of unused) console.log(`  unused: ${JSON.stringify(key)}`);
  if (missing.length + unused.length > 0) process.exitCode = 1;
}
