import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { networkInterfaces, tmpdir } from 'node:os';
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
    const response = await fetch(`${address}/hair/check`);
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

  it('says when a file is not there, and what may be done where', async () => {
    const status = async (place: string, method = 'GET') => (await fetch(address + place, { method })).status;
    expect(await status('/robots.txt')).toBe(404);
    expect(await status('/old-bundle.js')).toBe(404);
    expect(await status('/devices/kettle')).toBe(404);
    expect(await status('/hair/check')).toBe(200);
    expect(await status('/week', 'HEAD')).toBe(200);
    for (const method of ['POST', 'PUT', 'DELETE']) expect(await status('/week', method)).toBe(405);
    const refused = await fetch(`${address}/devices/weather`, { method: 'DELETE' });
    expect([refused.status, refused.headers.get('allow')]).toEqual([405, 'GET, HEAD, POST']);
  });

  it('refuses to start without a build', () => {
    expect(() => makeServer({ dist: path.join(dist, 'nowhere'), demo: false })).toThrow('npm run build');
  });
});

describe('starting', () => {
  /** The server as it is started from a terminal. */
  function started(env: Readonly<Record<string, string>>) {
    const child = spawn(process.execPath, ['scripts/ts.mjs', 'server/main.ts'], {
      env: { ...process.env, VELVET_DIST: dist, HOST: '', ...env },
    });
    const said = { out: '', problems: '' };
    child.stdout.on('data', (chunk) => (said.out += chunk));
    child.stderr.on('data', (chunk) => (said.problems += chunk));
    const ended = new Promise<number | null>((resolve) => child.on('close', resolve));
    const running = new Promise<string>((resolve) =>
      child.stdout.on('data', () => {
        const [address] = /http:\S+?(?=[/]\s|[/]$)/m.exec(said.out) ?? [];
        if (address) resolve(address);
      }),
    );
    return { child, said, ended, running };
  }

  it('says plainly when the port is taken, when PORT is no port, and when nothing is built', async () => {
    const other = createServer();
    await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
    const { port } = other.address() as AddressInfo;
    const taken = started({ PORT: String(port) });
    const wrong = ['eighty', '1e3', '0x10', '-1', '70000'].map((PORT) => started({ PORT }));
    const unbuilt = started({ PORT: '0', VELVET_DIST: path.join(dist, 'nowhere') });
    expect([await taken.ended, taken.said.problems]).toEqual([
      1,
      expect.stringContaining(`Port ${port} is taken`),
    ]);
    for (const each of wrong) {
      expect(await each.ended).toBe(2);
      expect(each.said.problems).toContain('it must be a whole number');
    }
    expect(await unbuilt.ended).toBe(1);
    expect(unbuilt.said.problems.trim().split('\n')).toEqual([expect.stringContaining('npm run build')]);
    other.close();
    // Seven servers are started, each with its own compiler.
  }, 120_000);

  it('listens on this machine alone, and stops at once with a stream open', async () => {
    const server = started({ PORT: '0' });
    const address = await server.running;
    const { port } = new URL(address);
    const outside = Object.values(networkInterfaces())
      .flatMap((each) => each ?? [])
      .find(({ internal, family }) => !internal && family === 'IPv4');
    if (outside) await expect(fetch(`http://${outside.address}:${port}/health`)).rejects.toThrow();
    const stream = await fetch(`http://127.0.0.1:${port}/devices/scale?device=one`);
    expect(stream.status).toBe(200);
    server.child.kill('SIGINT');
    expect(await server.ended).toBe(0);
    await stream.body?.cancel().catch(() => undefined);
  }, 120_000);
});
