import type { HairState } from '@/core/hair/state';
import type { Forecast, StoredRecord } from '@/core/records/shapes';

/**
 * What was thought of the hair before each of these readings, where it is known: stored with them, so that it can be told later how
 * often it held. A correction, and a reading of another day, were not forecast.
 * @param states by head, as they are before the records
 */
export function forecastsBefore(
  records: readonly StoredRecord[],
  states: Readonly<Record<string, HairState>>,
  stamp: () => { readonly id: string; readonly recordedAt: string },
): Forecast[] {
  return records.flatMap((record): Forecast[] => {
    if (record.kind !== 'reading' || record.corrects !== undefined) return [];
    const state = states[record.headId];
    if (!state || state.asOf !== record.day) return [];
    const { firmness, breakage, porosity } = state.signals;
    const told = ({ mean, sd }: { readonly mean: number; readonly sd: number }) => ({ mean, sd });
    return [
      {
        ...stamp(),
        kind: 'forecast',
        headId: record.headId,
        day: record.day,
        readingId: record.id,
        signals: { firmness: told(firmness), breakage: told(breakage), porosity: told(porosity) },
        widenedBy: state.forecasts.widenedBy,
      },
    ];
  });
}
