import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { makeServer } from '../../server/app';

export interface Served {
  readonly address: string;
  readonly close: () => void;
}

/** Serves dist/ of the project root, where npm starts every script, on a free port. */
export async function serveBuild(): Promise<Served> {
  const server = createServer(makeServer({ dist: path.resolve('dist'), demo: false }));
  await new Promise<void>((resolve) => server.listen(0, resolve));
  return {
    address: `http://localhost:${(server.address() as AddressInfo).port}`,
    close: () => {
      server.closeAllConnections();
      server.close();
    },
  };
}
