/** Lays a Brotli and a gzip twin beside every text file of the build, so that the server never compresses on request. */
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

const LEAST_BYTES = 1024;
/** Beyond this the best packing takes longer than it saves. */
const LARGE_BYTES = 2e6;
const TEXT = /\.(js|css|html|svg|json|webmanifest|wasm)$/;

for (const entry of readdirSync('dist', { recursive: true })) {
  const file = path.join('dist', entry);
  if (!TEXT.test(file) || !statSync(file).isFile() || statSync(file).size < LEAST_BYTES) continue;
  const content = readFileSync(file);
  writeFileSync(
    `${file}.br`,
    brotliCompressSync(content, {
      params: { [constants.BROTLI_PARAM_QUALITY]: content.length > LARGE_BYTES ? 6 : 10 },
    }),
  );
  writeFileSync(`${file}.gz`, gzipSync(content, { level: 9 }));
}
