import { t } from '@lingui/core/macro';
import { z } from 'zod';
import { calendarDaySchema } from '../../base/measures';

/** A day of a forecast; only the dew point is asked. */
const airDaySchema = z.object({ time: calendarDaySchema, dewPointC: z.number().min(-60).max(40) });
export const forecastSchema = z.object({ daily: z.array(airDaySchema).max(31) });
export type AirDay = z.infer<typeof airDaySchema>;

/**
 * Dew points, °C, below which air draws water out of hair through humectants, and above which it swells it through them
 * (working assumptions; makers name figures from 2 to 5 and from 15 to 18).
 */
export const AIR = { dryBelowC: 4, humidFromC: 17 } as const;

/** What the air of a day means for a treatment with much humectant; null where it means nothing. */
export function airAdvice({ dewPointC }: Pick<AirDay, 'dewPointC'>): string | null {
  if (dewPointC < AIR.dryBelowC)
    return t`Dry air that day (dew point ${{ dewPointC: Math.round(dewPointC) }} °C): humectants can draw water out. Seal with an oil, or take less honey, glycerin or aloe.`;
  if (dewPointC >= AIR.humidFromC)
    return t`Humid air that day (dew point ${{ dewPointC: Math.round(dewPointC) }} °C): humectants draw water in and can swell the hair. A thin film or gel over it holds it.`;
  return null;
}
