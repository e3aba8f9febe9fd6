import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Builder, By, error, Key, logging, until, type WebDriver, type WebElement } from 'selenium-webdriver';
import { Options, ServiceBuilder, type Driver } from 'selenium-webdriver/chrome';

export const PHONE = { width: 390, height: 844 } as const;
export const WIDE = { width: 1280, height: 800 } as const;
type Size = typeof PHONE | typeof WIDE;

const PATIENCE_MS = 15_000;
const PRESSES = 3;

/** Whether anything lies in the browser's store: the demo is written at one go. */
const IS_STORED = `
  const done = arguments[0];
  const open = indexedDB.open('velvet-rhythm');
  open.onerror = () => done(false);
  open.onsuccess = () => {
    const [table] = open.result.objectStoreNames;
    const count = table && open.result.transaction(table).objectStore(table).count();
    if (!count) done(false);
    else count.onsuccess = () => done(count.result > 20);
  };
`;

/** The names of what can be pressed. */
const NAMES = `
  return [...document.querySelectorAll('button, a, [role="button"], [role="radio"], [role="link"]')]
    .map((each) => each.getAttribute('aria-label') ?? each.innerText.trim());
`;

/** A fresh browser with nothing stored, driven as a person would: by what stands on the screen. */
export class Browser {
  private constructor(
    readonly driver: WebDriver,
    private readonly address: string,
    readonly downloads: string,
  ) {}

  static async open(address: string, size: Size): Promise<Browser> {
    const profile = mkdtempSync(path.join(tmpdir(), 'velvet-browser-'));
    const downloads = mkdtempSync(path.join(tmpdir(), 'velvet-downloads-'));
    const options = new Options();
    options.setBinaryPath('/usr/bin/chromium');
    options.addArguments(
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      `--user-data-dir=${profile}`,
    );
    options.setUserPreferences({ 'download.default_directory': downloads });
    const logs = new logging.Preferences();
    logs.setLevel(logging.Type.BROWSER, logging.Level.ALL);
    options.setLoggingPrefs(logs);
    const driver = await new Builder()
      .forBrowser('chrome')
      .setChromeOptions(options)
      .setChromeService(new ServiceBuilder('/usr/bin/chromedriver'))
      .build();
    const browser = new Browser(driver, address, downloads);
    await browser.resize(size);
    return browser;
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
    await this.command('Emulation.setEmulatedMedia', { media: 'print' });
    const text = await this.driver.executeScript<string>(
      'return document.elementFromPoint(arguments[0] * 96 / 25.4, arguments[1] * 96 / 25.4)?.textContent ?? ""',
      x,
      y,
    );
    await this.command('Emulation.setEmulatedMedia', { media: '' });
    return text;
  }

  /** How many sheets this page takes on paper. */
  async printedSheets(): Promise<number> {
    const { data } = (await (this.driver as Driver).sendAndGetDevToolsCommand('Page.printToPDF', {
      preferCSSPageSize: true,
    })) as unknown as { data: string };
    const pdf = Buffer.from(data, 'base64').toString('latin1');
    return [...pdf.matchAll(/\/Type \/Page\b(?!s)/g)].length;
  }

  async goto(place: string): Promise<void> {
    await this.driver.get(this.address + place);
  }

  private waitFor(locator: By): Promise<WebElement> {
    return this.driver.wait(until.elementLocated(locator), PATIENCE_MS, `nothing on the page is ${locator}`);
  }

  byTestId(id: string): Promise<WebElement> {
    return this.waitFor(By.css(`[data-testid="${id}"]`));
  }

  /** Waits until this text, or one like it, stands on the page. */
  async sees(text: string | RegExp, patienceMs = PATIENCE_MS): Promise<void> {
    await this.driver.wait(
      async () =>
        typeof text === 'string' ? (await this.text()).includes(text) : text.test(await this.text()),
      patienceMs,
      `${text} does not appear on the page`,
    );
  }

  async text(): Promise<string> {
    try {
      return (await this.driver.findElement(By.css('body')).getText()).replaceAll('\u00a0', ' ');
    } catch (caught) {
      // The page began anew while it was read.
      if (caught instanceof error.StaleElementReferenceError) return this.text();
      if (caught instanceof error.NoSuchElementError) return '';
      throw caught;
    }
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
    );
    return (text ?? '').replaceAll('\u00a0', ' ');
  }

  /** Presses what is called this: a button, a choice or a link. */
  async press(name: string | RegExp): Promise<void> {
    if (name instanceof RegExp) return this.press(await this.nameLike(name));
    const literal = name.includes("'") ? `"${name}"` : `'${name}'`;
    await this.pressAt(
      By.xpath(
        `//*[self::button or self::a or @role='button' or @role='radio' or @role='link'][@aria-label=${literal} or normalize-space(.)=${literal}]`,
      ),
    );
  }

  /** The whole name of what is called like this. */
  private async nameLike(pattern: RegExp): Promise<string> {
    const name = await this.driver.wait(
      async () => (await this.driver.executeScript<string[]>(NAMES)).find((each) => pattern.test(each)) ?? '',
      PATIENCE_MS,
      `nothing to press is called ${pattern}`,
    );
    return name;
  }

  pressId(testId: string): Promise<void> {
    return this.pressAt(By.css(`[data-testid="${testId}"]`));
  }

  /** Presses what stands there; looked for again when the page redraws it under the finger. */
  async pressAt(locator: By): Promise<void> {
    for (let attempt = 1; ; attempt++) {
      try {
        const element = await this.waitFor(locator);
        await this.driver.executeScript('arguments[0].scrollIntoView({block: "center"})', element);
        return await element.click();
      } catch (caught) {
        if (!(caught instanceof error.StaleElementReferenceError) || attempt === PRESSES) throw caught;
      }
    }
  }

  /** Writes over what a field holds. */
  async write(testId: string, text: string): Promise<void> {
    const field = await this.byTestId(testId);
    await this.driver.executeScript('arguments[0].scrollIntoView({block: "center"})', field);
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), Key.BACK_SPACE, text);
  }

  async valueOf(testId: string): Promise<string> {
    return (await (await this.byTestId(testId)).getAttribute('value')) ?? '';
  }

  async opensDemo(): Promise<void> {
    await this.goto('/?start=demo');
    await this.sees('Maren');
    // Leaving the page before its records are stored makes it ask whether to leave.
    await this.driver.wait(() => this.driver.executeAsyncScript<boolean>(IS_STORED), PATIENCE_MS);
  }

  /** Everything the page complained about: errors, refused requests, broken policies. */
  async complaints(): Promise<string[]> {
    const entries = await this.driver.manage().logs().get(logging.Type.BROWSER);
    return entries
      .filter((entry) => entry.level.value >= logging.Level.WARNING.value)
      .map((entry) => entry.message);
  }

  close(): Promise<void> {
    return this.driver.quit();
  }
}
