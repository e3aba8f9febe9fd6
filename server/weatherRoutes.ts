import { Router } from 'express';
import { z } from 'zod';
import { simulatedWeather } from './simulatedWeather';

const FORECAST_DAYS = 14;

const querySchema = z.object({
  from: z
    .string()
    .regex(/^\d{4}-\d{2}-\d{2}$/)
    .refine((day) => !Number.isNaN(Date.parse(`${day}T00:00:00Z`))),
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
