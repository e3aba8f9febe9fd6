import { Browser, PHONE, WIDE } from './browser';
import { serveBuild, type Served } from './serveBuild';

/** Serves the build for the tests of one file. */
export function servedBuild() {
  const open: Browser[] = [];
  let served: Served | undefined;
  const address = () => served?.address ?? '';
  beforeAll(async () => {
    served = await serveBuild();
  });
  afterEach(async () => {
    const complaints: string[] = [];
    for (const browser of open.splice(0)) {
      complaints.push(...(await browser.complaints()));
      await browser.close();
    }
    expect(complaints).toEqual([]);
  });
  afterAll(() => served?.close());
  const opened = async (size: typeof PHONE | typeof WIDE) => {
    const browser = await Browser.open(address(), size);
    open.push(browser);
    return browser;
  };
  return { phone: () => opened(PHONE), wide: () => opened(WIDE), address };
}
