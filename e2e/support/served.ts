import { Browser, PHONE, WIDE } from './browser';
import { NO_SERVICE_WORKER, serveBuild, type Served } from './serveBuild';

/** Not reached by any test; several waits of one test may each take long on a machine with other work. */
const TIMEOUT_MS = 360_000;

/**
 * Serves the build for the tests of one file, and hands each test browsers with nothing stored in them. Starting a browser
 * takes longer than most tests, so each is used again by the next test, emptied.
 */
export function servedBuild() {
  jest.setTimeout(TIMEOUT_MS);
  const browsers: Browser[] = [];
  let inUse = 0;
  let served: Served | undefined;
  const address = () => served?.address ?? '';
  beforeAll(async () => {
    // Keeping all files in each emptied browser anew takes 2 s of processor time; tests about that serve the real one.
    served = await serveBuild(NO_SERVICE_WORKER);
  });
  afterEach(async () => {
    const complaints: string[] = [];
    for (const browser of browsers.slice(0, inUse)) complaints.push(...(await browser.complaints()));
    inUse = 0;
    expect(complaints).toEqual([]);
  });
  afterAll(async () => {
    for (const browser of browsers) await browser.close();
    served?.close();
  });
  /** @param at another server than that of the file, closed by the test itself */
  const opened = async (size: typeof PHONE | typeof WIDE, at = address()) => {
    const known = browsers[inUse];
    const browser = known ?? (await Browser.open(at, size));
    if (known) await known.renewed(at, size);
    else browsers.push(browser);
    inUse++;
    return browser;
  };
  return {
    phone: (at?: string) => opened(PHONE, at),
    wide: (at?: string) => opened(WIDE, at),
    address,
  };
}
