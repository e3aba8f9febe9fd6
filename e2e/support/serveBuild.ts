import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { makeServer } from '../../server/app';

/** For tests in which no file has to be kept. */
export const NO_SERVICE_WORKER = { '/sw.js': [200, '// keeps nothing'] } as const;

export interface Served {
  readonly address: string;
  readonly close: () => void;
}

/**
 * Serves dist/ of the project root, where npm starts every script, on a free port.
 * @param answers in the place of what the server would say: a status, with a text where there is one
 */
export async function serveBuild(
  answers: Readonly<Record<string, readonly [status: number, script?: string]>> = {},
  dist = path.resolve('dist'),
): Promise<Served> {
  const app = makeServer({ dist, demo: false });
  const server = createServer((request, response) => {
    const at = Object.keys(answers).find((place) => request.url?.startsWith(place));
    if (at === undefined) return app(request, response);
    const [status, script] = answers[at] ?? [404];
    response.writeHead(status, { 'content-type': 'text/javascript' }).end(script);
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
