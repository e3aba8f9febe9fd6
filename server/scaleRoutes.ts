import express, { Router, type Request, type Response } from 'express';
import { z } from 'zod';
import { SimulatedScale } from './simulatedScale';

export interface ScaleLimits {
  /** Scales that are remembered at once; the one unused the longest is forgotten. */
  readonly scales: number;
  /** Streams that are open at once. */
  readonly streams: number;
  /** A stream ends by itself after so long; the page opens it again if it still listens. */
  readonly streamMs: number;
  readonly everyMs: number;
}

const LIMITS: ScaleLimits = { scales: 16, streams: 8, streamMs: 10 * 60_000, everyMs: 200 };

const deviceSchema = z.string().regex(/^[a-z0-9-]{1,40}$/i);
const loadSchema = z.strictObject({ grams: z.number().min(-5000).max(5000) });

/**
 * The stand-in for a kitchen scale: a stream of weights, and what a hand would do to it. Each page has a scale of its
 * own, named by `device`; nothing is kept but in memory.
 */
export function scaleRoutes(now: () => number, limits: ScaleLimits = LIMITS): Router {
  const scales = new Map<string, SimulatedScale>();
  const streams = new Map<string, Set<Response>>();
  const openStreams = () => [...streams.values()].reduce((total, set) => total + set.size, 0);

  const scaleOf = (request: Request): SimulatedScale | undefined => {
    const device = deviceSchema.safeParse(request.query.device);
    if (!device.success) return undefined;
    const known = scales.get(device.data) ?? new SimulatedScale(now(), device.data.length * 7919 + 17);
    scales.delete(device.data);
    scales.set(device.data, known);
    for (const oldest of [...scales.keys()].slice(0, Math.max(0, scales.size - limits.scales)))
      scales.delete(oldest);
    return known;
  };
  const refuse = (response: Response, status: number, message: string) =>
    response.status(status).json({ error: message });

  const router = Router();
  router.get('/', (request, response) => {
    const scale = scaleOf(request);
    if (!scale) return refuse(response, 400, 'device is 1 to 40 letters, digits or "-"');
    if (openStreams() >= limits.streams) return refuse(response, 503, 'Too many scales are being read.');
    const device = String(request.query.device);
    response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store' });
    response.flushHeaders();
    const mine = streams.get(device) ?? new Set<Response>();
    streams.set(device, mine.add(response));
    const started = now();
    const timer = setInterval(() => {
      const atMs = now();
      if (atMs - started > limits.streamMs) response.end();
      else response.write(`data: ${JSON.stringify({ grams: scale.read(atMs), atMs })}\n\n`);
    }, limits.everyMs);
    response.on('close', () => {
      clearInterval(timer);
      mine.delete(response);
      if (mine.size === 0) streams.delete(device);
    });
    return undefined;
  });

  router.post('/load', express.json({ limit: '1kb' }), (request, response) => {
    const scale = scaleOf(request);
    const body = loadSchema.safeParse(request.body);
    if (!scale || !body.success) return refuse(response, 400, 'grams is a number from -5000 to 5000');
    scale.add(body.data.grams, now());
    return response.json({ status: 'ok' });
  });

  router.post('/tare', (request, response) => {
    const scale = scaleOf(request);
    if (!scale) return refuse(response, 400, 'device is 1 to 40 letters, digits or "-"');
    scale.tare(now());
    return response.json({ status: 'ok' });
  });

  /** Pulls the plug: streams of this device end and nothing more comes from it until it is read anew. */
  router.post('/vanish', (request, response) => {
    const device = deviceSchema.safeParse(request.query.device);
    if (!device.success) return refuse(response, 400, 'device is 1 to 40 letters, digits or "-"');
    scales.delete(device.data);
    for (const stream of streams.get(device.data) ?? []) stream.end();
    return response.json({ status: 'ok' });
  });
  return router;
}
