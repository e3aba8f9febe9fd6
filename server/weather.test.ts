import { mkdtempSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { makeServer } from './app';
import { simulatedWeather } from './simulatedWeather';

describe('the weather stand-in', () => {
  it('is the same for the same day, whenever it is asked', () => {
    const week = simulatedWeather('2026-11-25', 14);
    expect(simulatedWeather('2026-11-25', 14)).toEqual(week);
    expect(simulatedWeather('2026-11-26', 1)[0]).toMatchObject({ time: '2026-11-26' });
    // A spell is built up from far enough back that where it is asked from hardly matters.
    expect(simulatedWeather('2026-11-28', 1)[0]?.dewPointC).toBeCloseTo(week[3]?.dewPointC ?? NaN, 1);
  });

  it('has a winter and a summer, dry days and humid ones, and no dew point above the temperature', () => {
    const year = simulatedWeather('2026-01-01', 365);
    const months = (from: number, to: number) => year.slice(from, to).map(({ dewPointC }) => dewPointC);
    const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
    expect(mean(months(180, 240))).toBeGreaterThan(mean(months(0, 60)) + 8);
    expect(year.some(({ dewPointC }) => dewPointC < 2) && year.some(({ dewPointC }) => dewPointC > 16)).toBe(
      true,
    );
    expect(year.every(({ dewPointC, temperatureC }) => dewPointC <= temperatureC)).toBe(true);
  });

  describe('over the wire', () => {
    let server: Server;
    let address: string;
    beforeAll(async () => {
      const dist = mkdtempSync(path.join(tmpdir(), 'velvet-dist-'));
      writeFileSync(path.join(dist, 'index.html'), '<!doctype html><title>Velvet</title>');
      server = createServer(makeServer({ dist, demo: false }));
      await new Promise<void>((resolve) => server.listen(0, resolve));
      address = `http://localhost:${(server.address() as AddressInfo).port}/devices/weather`;
    });
    afterAll(() => server.close());

    it('tells fourteen days from the one that is asked for', async () => {
      const answer = (await (await fetch(`${address}?from=2026-12-28`)).json()) as {
        daily: { time: string }[];
      };
      expect(answer.daily.map(({ time }) => time).slice(0, 5)).toEqual([
        '2026-12-28',
        '2026-12-29',
        '2026-12-30',
        '2026-12-31',
        '2027-01-01',
      ]);
      expect(answer.daily).toHaveLength(14);
    });

    it.each(['', '?from=soon', '?from=2026-13-45', '?from=2026-02-31', '?from=../../etc'])(
      'refuses “%s” with a word',
      async (query) => {
        const response = await fetch(address + query);
        expect(response.status).toBe(400);
        expect(((await response.json()) as { error: string }).error).toContain('YYYY-MM-DD');
      },
    );
  });
});
