import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import express from 'express';
import { settledWeight, type ScaleSample } from '../src/core/kitchen/making';
import { scaleRoutes } from './scaleRoutes';
import { KITCHEN_SCALE, SimulatedScale } from './simulatedScale';

/** What the scale shows, five times a second from a moment on. */
function samples(scale: SimulatedScale, fromMs: number, count = 10): ScaleSample[] {
  return Array.from({ length: count }, (_, index) => {
    const atMs = fromMs + index * 200;
    return { grams: scale.read(atMs), atMs };
  });
}

describe('the simulated scale', () => {
  it('moves toward the load, settles there, and the weigh-in knows when', () => {
    const scale = new SimulatedScale(0, 7);
    scale.add(150, 1000);
    expect(scale.read(1050)).toBeLessThan(60);
    expect(settledWeight(samples(scale, 1000, 5))).toBeNull();
    expect(settledWeight(samples(scale, 4000))).toBeCloseTo(150, 0);
  });

  it('counts from what was tared, and adds up what is put on', () => {
    const scale = new SimulatedScale(0, 7);
    scale.add(400, 0);
    scale.tare(5000);
    scale.add(21.3, 6000);
    expect(settledWeight(samples(scale, 9000))).toBeCloseTo(21.3, 0);
    scale.add(-500, 12_000);
    expect(settledWeight(samples(scale, 16_000))).toBeCloseTo(-400, 0);
  });

  it('drifts by its traits, and trembles within them', () => {
    const scale = new SimulatedScale(0, 7);
    const late = samples(scale, 10 * 60_000, 50).map(({ grams }) => grams);
    const drifted = 10 * KITCHEN_SCALE.driftGramsPerMinute;
    for (const grams of late)
      expect(Math.abs(grams - drifted)).toBeLessThanOrEqual(KITCHEN_SCALE.trembleGrams + 0.15);
    expect(new Set(late).size).toBeGreaterThan(1);
  });

  it('holds no more than it can, and the same seed trembles the same way', () => {
    const heavy = new SimulatedScale(0, 7);
    heavy.add(90_000, 0);
    expect(heavy.read(60_000)).toBeLessThan(KITCHEN_SCALE.mostGrams + 2);
    expect(samples(new SimulatedScale(0, 3), 0)).toEqual(samples(new SimulatedScale(0, 3), 0));
  });
});

describe('the scale over the network', () => {
  const app = express();
  app.use(
    '/scale',
    scaleRoutes(() => Date.now(), { scales: 2, streams: 2, streamMs: 60_000, everyMs: 5 }),
  );
  const server = createServer(app);
  let address = '';
  beforeAll(async () => {
    await new Promise<void>((resolve) => server.listen(0, resolve));
    address = `http://localhost:${(server.address() as AddressInfo).port}/scale`;
  });
  afterAll(() => {
    server.closeAllConnections();
    server.close();
  });
  const post = (what: string, device: string, body?: object) =>
    fetch(`${address}/${what}?device=${device}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });

  /** Opens a stream; reads until it ends or `enough` is seen. */
  async function stream(device: string) {
    const stop = new AbortController();
    const response = await fetch(`${address}?device=${device}`, { signal: stop.signal });
    const reader = response.body?.getReader();
    const next = async () => {
      const chunk = await reader?.read();
      return chunk?.done ? null : new TextDecoder().decode(chunk?.value);
    };
    return { status: response.status, next, close: () => stop.abort() };
  }

  it('streams weights that a page can read', async () => {
    const open = await stream('ada');
    const text = (await open.next()) ?? '';
    const sample = JSON.parse(/data: (.*)/.exec(text)?.[1] ?? 'null') as ScaleSample;
    expect([typeof sample.grams, typeof sample.atMs]).toEqual(['number', 'number']);
    open.close();
  });

  it('ends its stream when it is unplugged', async () => {
    const open = await stream('bo');
    expect(await open.next()).toContain('data');
    await post('vanish', 'bo');
    let text: string | null = '';
    while (text !== null) text = await open.next();
    expect(text).toBeNull();
  });

  it('has only so many streams at once, and frees them when they close', async () => {
    const [one, two] = [await stream('c'), await stream('d')];
    expect((await stream('e')).status).toBe(503);
    one.close();
    two.close();
    let status = 503;
    while (status === 503) status = (await stream('e')).status;
    expect(status).toBe(200);
  });

  it.each([
    ['load', 'ada', { grams: 'much' }],
    ['load', 'ada', { grams: 1e9 }],
    ['load', 'ada', { grams: 10, more: 1 }],
    ['load', '../etc', { grams: 10 }],
    ['tare', '', undefined],
    ['vanish', 'x'.repeat(80), undefined],
  ])('refuses %s on %j with %j', async (what, device, body) => {
    expect((await post(what, encodeURIComponent(device), body)).status).toBe(400);
  });

  it('refuses a body that is too long', async () => {
    const response = await post('load', 'ada', { grams: 10, text: 'x'.repeat(5000) });
    expect(response.status).toBe(413);
  });
});
