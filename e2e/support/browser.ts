import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Builder, By, error, Key, logging, until, type WebDriver, type WebElement } from 'selenium-webdriver';
import { Options, ServiceBuilder, type Driver } from 'selenium-webdriver/chrome';
import { DATABASE } from '../../src/store/database';
import chromium from '../chromium.json';
import { CLOCK_OF_JOURNEYS } from './clock';
import { demoOfToday, snapshotOf, type Snapshot } from './records';

export const PHONE = { width: 390, height: 844 } as const;
export const WIDE = { width: 1280, height: 800 } as const;
type Size = typeof PHONE | typeof WIDE;

/** Far beyond what anything takes on a machine that does much else beside. */
const PATIENCE_MS = 60_000;
const LOOK_EVERY_MS = 80;
/** Of one look from within a page. */
const LOOK_MOST_MS = 10_000;
/** After which a script that went with its page is given up. */
const SCRIPT_MOST_MS = 2 * LOOK_MOST_MS;
const PRESSES = 8;

/** The same database that the application makes, with these entries. */
const STORE = `
  const [name, entries, done] = arguments;
  const open = indexedDB.open(name, 1);
  open.onupgradeneeded = () => open.result.createObjectStore('entries');
  open.onerror = () => done(String(open.error));
  open.onsuccess = () => {
    const write = open.result.transaction('entries', 'readwrite');
    const table = write.objectStore('entries');
    for (const [key, text] of Object.entries(entries)) table.put(text, key);
    write.oncomplete = () => { open.result.close(); done(null); };
    write.onerror = () => done(String(write.error));
  };
`;

/** A page of the same origin on which nothing of the application runs. */
const EMPTY_PAGE = '/icon.svg';

/** Whether the application runs on this page. */
const IS_OPEN = `return location.origin === arguments[0] && Boolean(document.querySelector('[role="main"]'))`;
/** What the router of the application listens to. */
const WALK = `
  history.pushState(null, '', arguments[0]);
  dispatchEvent(new PopStateEvent('popstate', { state: null }));
`;

/** The text of the page as it is seen. */
const TEXT = `return (document.body?.innerText ?? '').replaceAll('\u00a0', ' ')`;

/** Whether the page comes to hold a text, or to lack it, within so many milliseconds. */
const WATCH = `
  const [source, flags, wanted, most, every, done] = arguments;
  const pattern = flags === null ? null : new RegExp(source, flags);
  const until = performance.now() + most;
  const look = () => {
    const text = (document.body?.innerText ?? '').replaceAll('\\u00a0', ' ');
    if ((pattern ? pattern.test(text) : text.includes(source)) === wanted) done(true);
    else if (performance.now() > until) done(false);
    else setTimeout(look, every);
  };
  look();
`;

/** Brings it into view and waits for a press of it. */
const AIM = `
  const [element] = arguments;
  element.scrollIntoView({ block: 'center' });
  const aim = { element, isHit: false };
  window.aim = aim;
  addEventListener('click', ({ target }) => { aim.isHit = element.contains(target); }, { capture: true, once: true });
`;

/** Whether it stands there still and was not pressed; a page that has begun anew knows nothing of it. */
const HAS_MISSED = 'return Boolean(window.aim && !window.aim.isHit && window.aim.element.isConnected)';

/** Takes all of a field's text, so that what is written next takes its place. @returns the kind of field */
const TAKE_ALL = `
  const [field] = arguments;
  field.scrollIntoView({ block: 'center' });
  field.focus();
  if (field.select) field.select();
  return field.type;
`;

/** Whether the page would be left without a question: all that was entered is stored. */
const MAY_LEAVE = `return window.dispatchEvent(new Event('beforeunload', { cancelable: true }))`;

/** The names of what can be pressed. */
const NAMES = `
  return [...document.querySelectorAll('button, a, [role="button"], [role="radio"], [role="link"]')]
    .map((each) => each.getAttribute('aria-label') ?? each.innerText.trim());
`;

/** A fresh browser with nothing stored, driven as a person would: by what stands on the screen. */
export class Browser {
  private constructor(
    readonly driver: WebDriver,
    private address: string,
    readonly downloads: string,
  ) {}

  /** @param more switches of Chromium, such as what its camera sees */
  static async open(address: string, size: Size, more: readonly string[] = []): Promise<Browser> {
    const downloads = mkdtempSync(path.join(tmpdir(), 'velvet-downloads-'));
    const options = new Options();
    // Chromium without the windows it would have; where that could not be installed, the whole of it: see scripts/lib/ensure.mjs.
    options.setBinaryPath(existsSync(chromium.shell) ? chromium.shell : chromium.whole);
    options.addArguments(
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--host-resolver-rules=MAP velvet.test 127.0.0.1',
      '--js-flags=--wasm-lazy-compilation --liftoff-only',
      ...more,
    );
    const logs = new logging.Preferences();
    logs.setLevel(logging.Type.BROWSER, logging.Level.ALL);
    options.setLoggingPrefs(logs);
    const driver = await new Builder()
      .forBrowser('chrome')
      .setChromeOptions(options)
      .setChromeService(new ServiceBuilder(chromium.driver))
      .build();
    const browser = new Browser(driver, address, downloads);
    await driver.manage().setTimeouts({ script: SCRIPT_MOST_MS });
    await browser.readies(size);
    return browser;
  }

  /** As if it had just been opened: another tab, nothing stored, no file taken out. */
  async renewed(address: string, size: Size): Promise<void> {
    const { driver } = this;
    const old = await driver.getAllWindowHandles();
    await driver.switchTo().newWindow('tab');
    const fresh = await driver.getWindowHandle();
    for (const handle of old) {
      await driver.switchTo().window(handle);
      await driver.close();
    }
    await driver.switchTo().window(fresh);
    await this.command('Storage.clearDataForOrigin', { origin: this.address, storageTypes: 'all' });
    this.address = address;
    for (const name of readdirSync(this.downloads)) rmSync(path.join(this.downloads, name));
    await this.readies(size);
  }

  /** One more tab beside those that are open; it is the one that is driven now. */
  async newTab(): Promise<void> {
    await this.driver.switchTo().newWindow('tab');
    await this.command('Page.addScriptToEvaluateOnNewDocument', { source: CLOCK_OF_JOURNEYS });
  }

  /** What each tab is told anew. */
  private async readies(size: Size): Promise<void> {
    await this.command('Page.addScriptToEvaluateOnNewDocument', { source: CLOCK_OF_JOURNEYS });
    await this.command('Page.setDownloadBehavior', { behavior: 'allow', downloadPath: this.downloads });
    await this.resize(size);
  }

  /** Exact size of the page; the size of a window would take its frame off. */
  async resize({ width, height }: Size): Promise<void> {
    await this.command('Emulation.setDeviceMetricsOverride', {
      width,
      height,
      deviceScaleFactor: 1,
      mobile: width < WIDE.width,
    });
  }

  async command(name: string, parameters: object): Promise<void> {
    await (this.driver as Driver).sendDevToolsCommand(name, parameters);
  }

  /** Seconds that the page has spent on scripts since it was opened. */
  async scriptSeconds(): Promise<number> {
    await this.command('Performance.enable', {});
    const { metrics } = (await (this.driver as Driver).sendAndGetDevToolsCommand(
      'Performance.getMetrics',
      {},
    )) as unknown as { metrics: readonly { name: string; value: number }[] };
    return metrics.find(({ name }) => name === 'ScriptDuration')?.value ?? 0;
  }

  /** What is seen at a place of the paper, in millimetres from its corner, when the page is printed. */
  async onPaperAt(x: number, y: number): Promise<string> {
    return this.onPaper(() =>
      this.driver.executeScript<string>(
        'return document.elementFromPoint(arguments[0] * 96 / 25.4, arguments[1] * 96 / 25.4)?.textContent ?? ""',
        x,
        y,
      ),
    );
  }

  /** What is true of the page as it is printed. */
  async onPaper<T>(look: () => Promise<T>): Promise<T> {
    await this.command('Emulation.setEmulatedMedia', { media: 'print' });
    const found = await look();
    await this.command('Emulation.setEmulatedMedia', { media: '' });
    return found;
  }

  /** How many sheets this page takes on paper. */
  async printedSheets(): Promise<number> {
    const { data } = (await (this.driver as Driver).sendAndGetDevToolsCommand('Page.printToPDF', {
      preferCSSPageSize: true,
    })) as unknown as { data: string };
    const pdf = Buffer.from(data, 'base64').toString('latin1');
    return [...pdf.matchAll(/\/Type \/Page\b(?!s)/g)].length;
  }

  /** Goes to a place: as a link does where the application is open already, else by its address. */
  async goto(place: string): Promise<void> {
    const isOpen = await this.driver.executeScript<boolean>(IS_OPEN, this.address);
    if (!isOpen) return this.loads(place);
    await this.driver.executeScript(WALK, place);
  }

  /** Opens an address as a new page. */
  async loads(place: string): Promise<void> {
    await this.isStored();
    await this.driver.get(this.address + place);
  }

  /** Opens the page anew, as a person does: after what she entered is stored. */
  async reloads(): Promise<void> {
    await this.isStored();
    await this.driver.navigate().refresh();
  }

  /** Waits until the page would be left without a question. */
  private async isStored(): Promise<void> {
    await this.waits(() => this.driver.executeScript<boolean>(MAY_LEAVE), 'something stays unstored');
  }

  /** Waits until this holds, or is there. @returns what it is */
  async waits<T>(
    condition: () => T | Promise<T>,
    otherwise = 'what is waited for does not come',
  ): Promise<NonNullable<T>> {
    return (await this.driver.wait(condition, PATIENCE_MS, otherwise, LOOK_EVERY_MS)) as NonNullable<T>;
  }

  /** Puts these entries into the browser's store, as if an earlier visit had left them there. */
  async stores(entries: Snapshot): Promise<void> {
    await this.loads(EMPTY_PAGE);
    const failure = await this.driver.executeAsyncScript<string | null>(STORE, DATABASE, entries);
    if (failure !== null) throw new Error(`The store could not be filled: ${failure}`);
  }

  private waitFor(locator: By): Promise<WebElement> {
    return this.driver.wait(
      until.elementLocated(locator),
      PATIENCE_MS,
      `nothing on the page is ${locator}`,
      LOOK_EVERY_MS,
    );
  }

  byTestId(id: string): Promise<WebElement> {
    return this.waitFor(By.css(`[data-testid="${id}"]`));
  }

  /** Waits until this text, or one like it, stands on the page. */
  async sees(text: string | RegExp, patienceMs = PATIENCE_MS): Promise<void> {
    if (await this.watches(text, true, patienceMs)) return;
    throw new Error(`${text} does not appear on the page, but:\n${(await this.text()).slice(0, 2000)}`);
  }

  /** Waits until this text stands nowhere on the page. */
  async lacks(text: string): Promise<void> {
    if (!(await this.watches(text, false, PATIENCE_MS))) throw new Error(`“${text}” stays on the page`);
  }

  /** Looks from within the page, so that waiting costs next to nothing; a page that begins anew is looked at again. */
  private async watches(text: string | RegExp, wanted: boolean, patienceMs: number): Promise<boolean> {
    const [source, flags] = typeof text === 'string' ? [text, null] : [text.source, text.flags];
    const until = performance.now() + patienceMs;
    for (let left = patienceMs; left > 0; left = until - performance.now()) {
      try {
        const span = Math.min(left, LOOK_MOST_MS);
        if (await this.driver.executeAsyncScript<boolean>(WATCH, source, flags, wanted, span, LOOK_EVERY_MS))
          return true;
      } catch (caught) {
        if (
          !(caught instanceof error.WebDriverError) ||
          !/unload|context|document|script timeout/i.test(caught.message)
        )
          throw caught;
      }
    }
    return false;
  }

  async text(): Promise<string> {
    return (await this.driver.executeScript<string | null>(TEXT)) ?? '';
  }

  /** The answer in words at the top; read in one step, so that a redraw cannot come between. */
  async headline(): Promise<string> {
    const text = await this.driver.wait(
      () =>
        this.driver.executeScript<string | null>(
          `return document.querySelector('[role="heading"][aria-level="1"], h1')?.textContent ?? null`,
        ),
      PATIENCE_MS,
      'there is no headline on the page',
      LOOK_EVERY_MS,
    );
    return (text ?? '').replaceAll('\u00a0', ' ');
  }

  /** Waits until the answer at the top is like this: a newer one may still be on its way. */
  async headlineBecomes(pattern: RegExp): Promise<void> {
    let seen = '';
    const isSo = async () => pattern.test((seen = await this.headline()));
    await this.driver.wait(isSo, PATIENCE_MS, undefined, LOOK_EVERY_MS).catch((caught: unknown) => {
      throw caught instanceof error.TimeoutError
        ? new Error(`The headline stays “${seen}”, not ${pattern}.`)
        : caught;
    });
  }

  /** Presses what is called this: a button, a choice or a link. */
  async press(name: string | RegExp): Promise<void> {
    if (name instanceof RegExp) return this.press(await this.nameLike(name));
    const literal = name.includes("'") ? `"${name}"` : `'${name}'`;
    await this.pressAt(
      By.xpath(
        `//*[self::button or self::a or @role='button' or @role='radio' or @role='link'][@aria-label=${literal} or contains(@aria-label, concat(': ', ${literal})) or normalize-space(.)=${literal}]`,
      ),
    );
  }

  /** The whole name of what is called like this. */
  private async nameLike(pattern: RegExp): Promise<string> {
    const name = await this.driver.wait(
      async () => (await this.driver.executeScript<string[]>(NAMES)).find((each) => pattern.test(each)) ?? '',
      PATIENCE_MS,
      `nothing to press is called ${pattern}`,
      LOOK_EVERY_MS,
    );
    return name;
  }

  pressId(testId: string): Promise<void> {
    return this.pressAt(By.css(`[data-testid="${testId}"]`));
  }

  /** Presses the line of a list that holds a text. @param testId how its name begins */
  pressRow(testId: string, text: string): Promise<void> {
    return this.pressAt(By.xpath(`//*[starts-with(@data-testid, '${testId}')][contains(., '${text}')]`));
  }

  /** Presses what stands there; again where the page redraws or moves it under the finger. */
  async pressAt(locator: By): Promise<void> {
    for (let attempt = 1; ; attempt++) {
      try {
        const element = await this.waitFor(locator);
        await this.driver.executeScript(AIM, element);
        await element.click();
        if (!(await this.driver.executeScript<boolean>(HAS_MISSED))) return;
        if (attempt === PRESSES) throw new Error(`${locator} was pressed and never reached`);
      } catch (caught) {
        // The page redraws it, or something lies over it for a moment: the offer to undo goes by itself.
        const mayPass =
          caught instanceof error.StaleElementReferenceError ||
          caught instanceof error.ElementClickInterceptedError;
        if (!mayPass || attempt === PRESSES) throw caught;
        if (caught instanceof error.ElementClickInterceptedError) await this.closesOffer();
      }
      // A better plan may still be on its way, and move the page again.
      await this.driver.sleep(LOOK_EVERY_MS);
    }
  }

  /** Puts away the offer to undo, which lies over the foot of a phone's page for some seconds. */
  private async closesOffer(): Promise<void> {
    const close = await this.driver.findElements(By.css('[data-testid="offer-close"]'));
    await close[0]?.click();
  }

  /** Writes over what a field holds, at one go as by pasting. */
  async write(testId: string, text: string): Promise<void> {
    const field = await this.byTestId(testId);
    const kind = await this.driver.executeScript<string>(TAKE_ALL, field);
    // A date is put together by its own field: month, day, year, as the browser of the tests writes them.
    if (kind === 'date' && text !== '')
      await field.sendKeys(Key.BACK_SPACE, text.replace(/^(\d+)-(\d\d)-(\d\d)$/, '$2$3$1'));
    else if (kind === 'date' || kind === 'time' || text === '') await field.sendKeys(Key.BACK_SPACE, text);
    else await this.command('Input.insertText', { text });
  }

  /** Waits until a field holds this. */
  async valueBecomes(testId: string, wanted: string | RegExp): Promise<void> {
    let seen = '';
    const isSo = async () => {
      seen = (await (await this.byTestId(testId)).getAttribute('value')) ?? '';
      return typeof wanted === 'string' ? seen === wanted : wanted.test(seen);
    };
    await this.driver.wait(isSo, PATIENCE_MS, undefined, LOOK_EVERY_MS).catch((caught: unknown) => {
      throw caught instanceof error.TimeoutError
        ? new Error(`${testId} holds “${seen}”, not ${wanted}.`)
        : caught;
    });
  }

  /** Opens a place of the application in a browser that has the demo of today. @param prefs that differ from the usual */
  async opensDemo(place = '/', prefs: object = {}): Promise<void> {
    await this.stores(snapshotOf(demoOfToday(), prefs));
    await this.loads(place);
    if (place === '/') await this.sees('Maren');
    else await this.headline();
  }

  /** Everything the page complained about: errors, refused requests, broken policies. */
  async complaints(): Promise<string[]> {
    const entries = await this.driver.manage().logs().get(logging.Type.BROWSER);
    return entries
      .filter((entry) => entry.level.value >= logging.Level.WARNING.value)
      .map((entry) => entry.message);
  }

  /** Told to end itself: the driver leaves Chromium's headless shell running, and each that runs on slows the next tests. */
  async close(): Promise<void> {
    await this.command('Browser.close', {}).catch(() => undefined);
    await this.driver.quit().catch(() => undefined);
    rmSync(this.downloads, { recursive: true, force: true });
  }
}
