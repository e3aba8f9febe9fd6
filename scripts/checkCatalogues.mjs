/** Whether the catalogues hold the texts of the code as it is, and every text in every language; they are left as they were. */
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { bin, node, run } from './lib/run.mjs';

const folder = 'data/languages';
const catalogues = readdirSync(folder).filter((name) => name.endsWith('.po'));
const read = () => catalogues.map((name) => readFileSync(path.join(folder, name), 'utf8'));
/** Written whenever a catalogue is. */
const DATE = /^"POT-Creation-Date: .*$/m;

const before = read();
const extracted = await run(...node([bin('lingui'), 'extract', '--clean']), { quiet: true });
const after = read();
catalogues.forEach((name, index) => writeFileSync(path.join(folder, name), before[index]));
const stale = catalogues.filter(
  (_, index) => before[index].replace(DATE, '') !== after[index].replace(DATE, ''),
);
for (const name of stale)
  console.error(`${path.join(folder, name)} is not what the code says: npm run languages`);
const complete = await run(...node([bin('lingui'), 'compile', '--strict']), { quiet: true });
process.exit(extracted + stale.length + complete === 0 ? 0 : 1);
