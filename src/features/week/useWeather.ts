import { useEffect, useState } from 'react';
import type { CalendarDay } from '@/core/base/measures';
import { forecastSchema, type AirDay } from '@/core/hair/state';

export interface Weather {
  readonly days: readonly AirDay[];
  /** The day on which it was told. */
  readonly of: CalendarDay;
}

/** The last forecast of this visit: a screen that is opened again does not ask again. */
let known: Weather | null = null;

/** Long enough for a slow line; the plan never waits for it. */
const PATIENCE_MS = 8000;

/** The forecast from the server, if there is one: it may be absent, late or broken, and then nothing is said of the air. */
export function useWeather(today: CalendarDay): Weather | null {
  const [weather, setWeather] = useState<Weather | null>(known);
  useEffect(() => {
    if (known?.of === today) return;
    const ended = new AbortController();
    const timer = setTimeout(() => ended.abort(), PATIENCE_MS);
    fetch(`/devices/weather?from=${today}`, { signal: ended.signal })
      .then(async (response) => {
        const told = forecastSchema.safeParse(response.ok ? await response.json() : null);
        if (!told.success) return;
        known = { days: told.data.daily, of: today };
        setWeather(known);
      })
      // Without a server there is no forecast; one of an earlier day still stands, and says of which day it is.
      .catch(() => undefined)
      .finally(() => clearTimeout(timer));
    return () => ended.abort();
  }, [today]);
  return weather;
}
