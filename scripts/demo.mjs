/** Installs and builds if needed, then serves the application with the demo data. */
import { spawn } from 'node:child_process';
import { ensureBuilt, ensureInstalled } from './lib/ensure.mjs';
import { say } from './lib/run.mjs';

await ensureInstalled();
await ensureBuilt();
say('Serving');
const server = spawn(process.execPath, ['scripts/ts.mjs', 'server/main.ts', '--demo'], { stdio: 'inherit' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('close', (code) => process.exit(code ?? 0));
