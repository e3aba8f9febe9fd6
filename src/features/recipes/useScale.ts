import { useCallback, useEffect, useRef, useState } from 'react';
import { SCALE_GONE_MS, settledWeight, type ScaleSample } from '@/core/kitchen/making';
import { newStamp } from '../shared/stamp';

export type ScaleStatus = 'off' | 'connecting' | 'live' | 'gone';

export interface Scale {
  readonly status: ScaleStatus;
  readonly grams: number | null;
  /** The weight when it has stopped moving. */
  readonly settled: number | null;
  connect(): void;
  tare(): void;
  /** Only the stand-in can be told what lies on it. */
  put(grams: number): void;
  vanish(): void;
}

/** Samples that are kept: enough for settling. */
const KEPT = 12;
const ADDRESS = '/devices/scale';

function isSample(value: unknown): value is ScaleSample {
  const { grams, atMs } = (value ?? {}) as Partial<ScaleSample>;
  return typeof grams === 'number' && Number.isFinite(grams) && typeof atMs === 'number';
}

/** The kitchen scale, which may be absent, late, wrong, or gone in the middle. */
export function useScale(): Scale {
  const [device] = useState(() => newStamp().id.replaceAll('_', '-'));
  const [status, setStatus] = useState<ScaleStatus>('off');
  const [samples, setSamples] = useState<readonly ScaleSample[]>([]);
  const source = useRef<EventSource | null>(null);
  const watchdog = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);

  const end = useCallback((next: ScaleStatus) => {
    clearTimeout(watchdog.current);
    source.current?.close();
    source.current = null;
    setSamples([]);
    setStatus(next);
  }, []);

  const watch = useCallback(() => {
    clearTimeout(watchdog.current);
    watchdog.current = setTimeout(() => end('gone'), SCALE_GONE_MS);
  }, [end]);

  const connect = useCallback(() => {
    end('connecting');
    watch();
    const stream = new EventSource(`${ADDRESS}?device=${device}`);
    source.current = stream;
    stream.onmessage = (event: MessageEvent<string>) => {
      let sample: unknown;
      try {
        sample = JSON.parse(event.data);
      } catch {
        return;
      }
      if (!isSample(sample)) return;
      const read = sample;
      watch();
      setStatus('live');
      setSamples((before) => [...before, read].slice(-KEPT));
    };
    stream.onerror = () => end('gone');
  }, [device, end, watch]);

  useEffect(() => () => end('off'), [end]);

  const tell = useCallback(
    (what: string, body?: object) => {
      void fetch(`${ADDRESS}/${what}?device=${device}`, {
        method: 'POST',
        ...(body ? { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) } : {}),
      }).catch(() => end('gone'));
    },
    [device, end],
  );
  return {
    status,
    grams: samples.at(-1)?.grams ?? null,
    settled: settledWeight(samples),
    connect,
    tare: () => {
      setSamples([]);
      tell('tare');
    },
    put: (grams) => tell('load', { grams }),
    vanish: () => tell('vanish'),
  };
}
