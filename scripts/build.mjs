import { ensureBuilt } from './lib/ensure.mjs';

await ensureBuilt();
