import type { Browser } from './browser';

/** A clock that can be put forward; it stays put forward over a reload. */
const SHIFTED_CLOCK = `
  const Real = Date;
  const shift = () => Number(sessionStorage.getItem('shift') ?? 0);
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
    `sessionStorage.setItem('shift', Number(sessionStorage.getItem('shift') ?? 0) + 60000 * arguments[0])`,
    minutes,
  );
}
