import path from 'node:path';
import { transformSync } from '@swc/core';
import { createJiti } from 'jiti';
import compiled from './lib/compiled.cjs';

const root = path.resolve(import.meta.dirname, '..');
const jiti = createJiti(import.meta.url, {
  alias: { '@/': path.join(root, 'src/') },
  fsCache: path.join(root, '.cache/jiti'),
  transform: ({ source, filename }) => ({ code: transformSync(source, { ...compiled, filename }).code }),
});
process.argv.splice(1, 1);
await jiti.import(path.resolve(process.argv[1]));
