import { Router } from 'express';
import { z } from 'zod';
import { simulatedWeather } from './simulatedWeather';

const FORECAST_DAYS = 14;

/** A day that the calendar has. */
function isCalendarDay(day: string): boolean {
  const moment = new Date(`${day}T00:00:00Z`);
  return !Number.isNaN(moment.getTime()) && moment.toISOString().startsWith(day);
}

const querySchema = z.object({
  from: z
    .string()
    .regex(/^\d{4}-\d{2}-\d{2}$/)
    // 2026-02-31 would be read as the third of March.
    .refine((day) => isCalendarDay(day)),
});

/** The stand-in for a weather service: a forecast of fourteen days from the day that is asked for. */
export function weatherRoutes(): Router {
  const router = Router();
  router.get('/', (request, response) => {
    const query = querySchema.safeParse(request.query);
    if (!query.success) {
      response.status(400).json({ error: 'Ask for ?from=YYYY-MM-DD.' });
      return;
    }
    response.set('Cache-Control', 'no-store').json({
      units: { dewPoint: '°C', temperature: '°C' },
      daily: simulatedWeather(query.data.from, FORECAST_DAYS),
    });
  });
  return router;
}
