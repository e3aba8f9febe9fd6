import path from 'node:path';
import { makeServer } from './app';

const DEFAULT_PORT = 4173;

function portFrom(text: string | undefined): number {
  if (text === undefined || text === '') return DEFAULT_PORT;
  const port = Number(text);
  if (!Number.isInteger(port) || port < 0 || port > 65_535) {
    console.error(`PORT is "${text}"; it must be a whole number from 0 to 65535.`);
    process.exit(2);
  }
  return port;
}

const demo = process.argv.includes('--demo');
const port = portFrom(process.env.PORT);
const dist = path.resolve(process.env.VELVET_DIST ?? path.join(import.meta.dirname, '../dist'));

const server = makeServer({ dist, demo }).listen(port, (error?: Error) => {
  if (!error) {
    const address = server.address();
    const bound = typeof address === 'object' && address ? address.port : port;
    console.log(
      `Velvet Rhythm${demo ? ', with the demo data,' : ''} is at http://localhost:${bound}${demo ? '/?start=demo' : '/'}`,
    );
    console.log('Stop it with Ctrl+C.');
    return;
  }
  const taken = (error as NodeJS.ErrnoException).code === 'EADDRINUSE';
  console.error(
    taken
      ? `Port ${port} is taken by another program. Choose another one, for example: PORT=${port + 1} npm run demo`
      : `The server could not start: ${error.message}`,
  );
  process.exit(1);
});

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => server.close(() => process.exit(0)));
}
