import type { WebDriver } from 'selenium-webdriver';
import { dayOfDate, type CalendarDay } from '../../src/core/base/measures';

/**
 * Journeys are made on one Saturday, from nine in the morning on, whatever day it is: the demo has another week on each
 * weekday, and a wash day that runs over midnight is another wash day.
 */
const JOURNEYS_BEGIN = '2026-11-28T09:00:00';
const AHEAD = Date.parse(JOURNEYS_BEGIN) - Date.now();

/** Now, as the pages of a journey have it. */
export const testNow = (): Date => new Date(Date.now() + AHEAD);
export const testToday = (): CalendarDay => dayOfDate(testNow());

/** The clock of a page: that of the journeys, put forward as far as {@link passes} says, over a reload too. */
export const CLOCK_OF_JOURNEYS = `
  const Real = Date;
  const passed = () => {
    try { return Number(sessionStorage.getItem('passed') ?? 0); } catch { return 0; }
  };
  const now = () => Real.now() + ${AHEAD} + passed();
  globalThis.Date = class extends Real {
    constructor(...parts) {
      super(...(parts.length === 0 ? [now()] : parts));
    }
    static now() { return now(); }
  };
`;

export async function passes({ driver }: { readonly driver: WebDriver }, minutes: number): Promise<void> {
  await driver.executeScript(
    `sessionStorage.setItem('passed', Number(sessionStorage.getItem('passed') ?? 0) + 60000 * arguments[0])`,
    minutes,
  );
}
