import type { Browser } from './browser';

/**
 * A clock that begins at nine in the morning, so that no wash day of a test runs over midnight, and that can be put
 * forward; it stays put forward over a reload.
 */
const SHIFTED_CLOCK = `
  const Real = Date;
  const untilNine = () => new Real().setHours(9, 0, 0, 0) - Real.now();
  const shift = () => {
    if (sessionStorage.getItem('shift') === null) sessionStorage.setItem('shift', untilNine());
    return Number(sessionStorage.getItem('shift'));
  };
  class Shifted extends Real {
    constructor(...parts) {
      if (parts.length === 0) super(Real.now() + shift());
      else super(...parts);
    }
    static now() { return Real.now() + shift(); }
  }
  globalThis.Date = Shifted;
`;

export async function withClock(browser: Browser): Promise<void> {
  await browser.command('Page.addScriptToEvaluateOnNewDocument', { source: SHIFTED_CLOCK });
}

export async function passes(browser: Browser, minutes: number): Promise<void> {
  await browser.driver.executeScript(
    `Date.now(); sessionStorage.setItem('shift', Number(sessionStorage.getItem('shift')) + 60000 * arguments[0])`,
    minutes,
  );
}
