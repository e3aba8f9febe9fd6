import { joinedByPrecision, sum, Z90 } from '../../base/measures';
import { SIGNAL_IDS, type Forecast, type Head, type Reading } from '../../records/shapes';
import { measurementsOf } from '../checks';
import { hairMassGrams, type ForecastsHeld, type HeldForecast } from '../state';

/** So many forecasts are told of and judged by. */
const LATEST = 20;
/** Fewer say nothing of how often they hold. */
const FEWEST = 10;
/** So improbably few that forecasts which hold nine times in ten would not do it. */
const TOO_FEW = 0.05;
/** More than this is no matter of width. */
const MOST_WIDENED = 3;
const HOLDS = 0.9;

/** How the stored forecasts of a head held, from its own readings. */
export function forecastsHeld(
  forecasts: readonly Forecast[],
  readings: readonly Reading[],
  head: Head,
): ForecastsHeld {
  const byId = new Map(readings.map((reading) => [reading.id, reading]));
  const hair = { hairGrams: hairMassGrams(head) };
  const points = [...forecasts]
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
    .flatMap(({ readingId, day, signals, widenedBy: by }): (HeldForecast & { unwidened: number })[] => {
      const reading = byId.get(readingId);
      if (!reading) return [];
      const measured = measurementsOf(reading, hair);
      return SIGNAL_IDS.flatMap((signal) => {
        const parts = measured.filter((measurement) => measurement.signal === signal);
        const forecast = signals[signal];
        if (parts.length === 0 || !forecast) return [];
        const found = joinedByPrecision(parts);
        const away = found.mean - forecast.mean;
        const off = away / Math.hypot(found.sd, forecast.sd);
        const unwidened = away / Math.hypot(found.sd, forecast.sd / by);
        return [{ day, signal, off, unwidened, held: Math.abs(off) <= Z90 }];
      });
    })
    .slice(-LATEST);
  return {
    points: points.map(({ unwidened: _, ...point }) => point),
    held: points.filter((point) => point.held).length,
    // By what was not widened yet: that they hold since is no reason to make them narrow again.
    widenedBy: widenedBy(points.map(({ unwidened }) => Math.abs(unwidened))),
  };
}

/** As wide as would have held nine times in ten. @param off in errors, without what was widened */
function widenedBy(off: readonly number[]): number {
  const held = off.filter((size) => size <= Z90).length;
  if (off.length < FEWEST || atMost(held, off.length) >= TOO_FEW) return 1;
  const sizes = [...off].sort((a, b) => a - b);
  const wanted = sizes[Math.min(sizes.length - 1, Math.ceil(HOLDS * sizes.length) - 1)] ?? Z90;
  return Math.min(MOST_WIDENED, Math.max(1, wanted / Z90));
}

/** The chance of so few or fewer of `of` where each holds nine times in ten. */
function atMost(count: number, of: number): number {
  let choose = 1;
  const terms = Array.from({ length: count + 1 }, (_, hits) => {
    if (hits > 0) choose = (choose * (of - hits + 1)) / hits;
    return choose * HOLDS ** hits * (1 - HOLDS) ** (of - hits);
  });
  return sum(terms);
}
