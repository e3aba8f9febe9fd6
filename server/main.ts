import { isIP } from 'node:net';
import path from 'node:path';
import { makeServer, NoBuild } from './app';

const DEFAULT_PORT = 4173;
/** This machine alone, unless somebody says otherwise. */
const DEFAULT_HOST = '127.0.0.1';

function stopWith(message: string, code: number): never {
  console.error(message);
  process.exit(code);
}

function portFrom(text: string | undefined): number {
  if (text === undefined || text === '') return DEFAULT_PORT;
  const port = Number(text);
  // "1e3" and "0x10" are numbers, too, and nobody means them.
  if (!/^\d{1,5}$/.test(text) || port > 65_535)
    stopWith(`PORT is "${text}"; it must be a whole number from 0 to 65535.`, 2);
  return port;
}

function appFor(dist: string, demo: boolean) {
  try {
    return makeServer({ dist, demo });
  } catch (error) {
    if (error instanceof NoBuild) stopWith(error.message, 1);
    throw error;
  }
}

const demo = process.argv.includes('--demo');
const port = portFrom(process.env.PORT);
const host = process.env.HOST || DEFAULT_HOST;
const dist = path.resolve(process.env.VELVET_DIST ?? path.join(import.meta.dirname, '../dist'));

const server = appFor(dist, demo).listen(port, host, (error?: Error) => {
  if (!error) {
    const address = server.address();
    const bound = typeof address === 'object' && address ? address.port : port;
    const name = host === DEFAULT_HOST || host === '0.0.0.0' || host === '::' ? 'localhost' : host;
    const shown = isIP(name) === 6 ? `[${name}]` : name;
    console.log(
      `Velvet Rhythm${demo ? ', with the demo data,' : ''} is at http://${shown}:${bound}${demo ? '/?start=demo' : '/'}`,
    );
    console.log('Stop it with Ctrl+C.');
    return;
  }
  const { code } = error as NodeJS.ErrnoException;
  const words: Readonly<Record<string, string>> = {
    EADDRINUSE: `Port ${port} is taken by another program. Choose another one, for example: PORT=${port + 1} npm run demo`,
    EACCES: `Port ${port} may not be used by this account. Choose one above 1023, for example: PORT=${DEFAULT_PORT} npm run demo`,
    EADDRNOTAVAIL: `HOST is "${host}"; this machine has no such address.`,
    ENOTFOUND: `HOST is "${host}"; this machine has no such address.`,
  };
  stopWith(words[code ?? ''] ?? `The server could not start: ${error.message}`, 1);
});

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    server.close(() => process.exit(0));
    // A stream of the kitchen scale stays open for minutes; nobody waits for it.
    server.closeAllConnections();
  });
}
