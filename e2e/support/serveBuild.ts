import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { makeServer } from '../../server/app';

export interface Served {
  readonly address: string;
  readonly close: () => void;
}

/**
 * Serves dist/ of the project root, where npm starts every script, on a free port.
 * @param without addresses that begin like this are not there
 */
export async function serveBuild(without?: string, dist = path.resolve('dist')): Promise<Served> {
  const app = makeServer({ dist, demo: false });
  const server = createServer((request, response) => {
    if (without !== undefined && request.url?.startsWith(without)) response.writeHead(404).end();
    else app(request, response);
  });
  await new Promise<void>((resolve) => server.listen(0, resolve));
  return {
    address: `http://localhost:${(server.address() as AddressInfo).port}`,
    close: () => {
      server.closeAllConnections();
      server.close();
    },
  };
}
