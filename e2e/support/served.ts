import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { makeServer } from '../../server/app';
import { Browser, PHONE, WIDE } from './browser';

const dist = path.resolve(__dirname, '../../dist');

/** Serves the build for the tests of one file. */
export function servedBuild() {
  const server = createServer(makeServer({ dist, demo: false }));
  const open: Browser[] = [];
  let address = '';
  beforeAll(
    () =>
      new Promise<void>((resolve) => {
        server.listen(0, () => {
          address = `http://localhost:${(server.address() as AddressInfo).port}`;
          resolve();
        });
      }),
  );
  afterEach(async () => {
    const complaints: string[] = [];
    for (const browser of open.splice(0)) {
      complaints.push(...(await browser.complaints()));
      await browser.close();
    }
    expect(complaints).toEqual([]);
  });
  afterAll(() => {
    server.closeAllConnections();
    server.close();
  });
  const opened = async (size: typeof PHONE | typeof WIDE) => {
    const browser = await Browser.open(address, size);
    open.push(browser);
    return browser;
  };
  return { phone: () => opened(PHONE), wide: () => opened(WIDE), address: () => address };
}
