import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { makeServer } from './app';

const dist = mkdtempSync(path.join(tmpdir(), 'velvet-dist-'));
writeFileSync(path.join(dist, 'index.html'), '<!doctype html><title>Velvet</title>');
mkdirSync(path.join(dist, '_expo'));
const script = `/* ${'velvet '.repeat(2000)} */`;
writeFileSync(path.join(dist, '_expo/entry-abc.js'), script);
writeFileSync(path.join(dist, '_expo/entry-abc.js.gz'), gzipSync(script));
writeFileSync(path.join(path.dirname(dist), 'velvet-secret.txt'), 'secret');

function listen(server: Server): Promise<string> {
  return new Promise((resolve) =>
    server.listen(0, () => resolve(`http://localhost:${(server.address() as AddressInfo).port}`)),
  );
}

describe('the server', () => {
  const server = createServer(makeServer({ dist, demo: true }));
  let address = '';
  beforeAll(async () => {
    address = await listen(server);
  });
  afterAll(() => {
    server.closeAllConnections();
    server.close();
  });

  it('answers health', async () => {
    const response = await fetch(`${address}/health`);
    expect(await response.json()).toEqual({ status: 'ok' });
  });

  it('allows no script, style or request from anywhere else, and no inline script', async () => {
    const policy = (await fetch(`${address}/week`)).headers.get('content-security-policy') ?? '';
    expect(policy).toContain("default-src 'none'");
    expect(policy).toContain("script-src 'self'");
    expect(policy).not.toContain("'unsafe-inline'");
    expect(policy).not.toContain("'unsafe-eval'");
    expect(policy).not.toContain('http');
  });

  it('serves the page for every place, never from an old copy', async () => {
    const response = await fetch(`${address}/strand/reading`);
    expect([response.status, response.headers.get('cache-control')]).toEqual([200, 'no-cache']);
    expect(await response.text()).toContain('Velvet');
  });

  it('serves hashed files compressed and for a year, and says when one is missing', async () => {
    const response = await fetch(`${address}/_expo/entry-abc.js`, { headers: { 'accept-encoding': 'gzip' } });
    expect(response.headers.get('cache-control')).toContain('immutable');
    expect(response.headers.get('content-encoding')).toBe('gzip');
    expect(await response.text()).toBe(script);
    expect((await fetch(`${address}/_expo/entry-gone.js`)).status).toBe(404);
  });

  it('sends a first visitor of the demo to the demo', async () => {
    const response = await fetch(`${address}/`, { redirect: 'manual' });
    expect([response.status, response.headers.get('location')]).toEqual([302, '/?start=demo']);
    expect((await fetch(`${address}/?start=demo`)).status).toBe(200);
  });

  it.each(['/..%2fvelvet-secret.txt', '/_expo/..%2f..%2fvelvet-secret.txt', '/%2e%2e/velvet-secret.txt'])(
    'gives nothing away at %s',
    async (place) => {
      expect(await (await fetch(address + place)).text()).not.toContain('secret');
    },
  );

  it('answers an address only so often in a minute where devices are concerned, and pages as often as asked', async () => {
    const bounded = createServer(makeServer({ dist, demo: false, devicesAMinute: 3 }));
    const here = await listen(bounded);
    const status = async (place: string) => (await fetch(here + place)).status;
    const weather = [];
    for (let request = 0; request < 5; request++)
      weather.push(await status('/devices/weather?from=2026-05-01'));
    expect(weather.slice(3)).toEqual([429, 429]);
    expect(weather.slice(0, 3)).not.toContain(429);
    expect(await status('/week')).toBe(200);
    bounded.closeAllConnections();
    bounded.close();
  });

  it('refuses to start without a build', () => {
    expect(() => makeServer({ dist: path.join(dist, 'nowhere'), demo: false })).toThrow('npm run build');
  });
});

describe('starting', () => {
  it('says plainly when the port is taken, and when PORT is no port', async () => {
    const other = createServer();
    const address = await listen(other);
    const port = new URL(address).port;
    const run = (PORT: string) =>
      new Promise<{ code: number | null; text: string }>((resolve) => {
        const child = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
          env: { ...process.env, PORT, VELVET_DIST: dist },
        });
        let text = '';
        child.stderr.on('data', (chunk) => (text += chunk));
        child.on('close', (code) => resolve({ code, text }));
      });
    const taken = await run(port);
    expect([taken.code, taken.text.includes(`Port ${port} is taken`)]).toEqual([1, true]);
    const wrong = await run('eighty');
    expect([wrong.code, wrong.text.includes('PORT is "eighty"')]).toEqual([2, true]);
    other.close();
    // Two servers are started, each with its own compiler.
  }, 60_000);
});
