import { randomLcg, randomNormal } from 'd3-random';
import { scattered } from '../src/core/base/measures';

/** One day as a forecast tells it. */
export interface WeatherDay {
  readonly time: string;
  readonly dewPointC: number;
  readonly temperatureC: number;
}

const MS_PER_DAY = 86_400_000;
/** Days that a spell of weather carries on with: what is left of yesterday’s departure from the season. */
const CARRIED = 0.72;
/** Days before the first from which its spell is built up; 0.72 to this power is nothing. */
const BEFORE = 30;
/** Degrees by which a day’s dew point departs from the one before. */
const STEP_C = 2.6;

/** A seaside year in the northern half: mean dew point and how far summer is from winter, °C (made up). */
const SEASON = { mean: 8, swing: 8, warmestDay: 205, spread: 7 } as const;

/** Fourteen days of weather that nobody will have: the same day is always the same. */
export function simulatedWeather(from: string, days: number): WeatherDay[] {
  const first = Date.parse(`${from}T00:00:00Z`) / MS_PER_DAY;
  let spell = 0;
  const found: WeatherDay[] = [];
  for (let number = first - BEFORE; number < first + days; number++) {
    spell = CARRIED * spell + STEP_C * randomNormal.source(randomLcg(scattered(number)))(0, 1)();
    if (number < first) continue;
    const date = new Date(number * MS_PER_DAY);
    const dayOfYear = number - Date.UTC(date.getUTCFullYear(), 0, 1) / MS_PER_DAY;
    const season = Math.cos((2 * Math.PI * (dayOfYear - SEASON.warmestDay)) / 365.25);
    const dewPointC = SEASON.mean + SEASON.swing * season + spell;
    found.push({
      time: date.toISOString().slice(0, 10),
      dewPointC: rounded(dewPointC),
      temperatureC: rounded(dewPointC + SEASON.spread + 2 * season),
    });
  }
  return found;
}

const rounded = (value: number) => Math.round(10 * value) / 10;
