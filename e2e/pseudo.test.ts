import { ofKind } from '../src/core/records/shapes';
import { arrives, PLACES, SAID } from './support/places';
import { pseudoCatalogue } from './support/pseudo';
import { demoOfToday, snapshotOf } from './support/records';
import { NO_SERVICE_WORKER, serveBuild } from './support/serveBuild';
import { servedBuild } from './support/served';

const { phone } = servedBuild();

/** As much longer as sentences get in other languages. */
const LONGER = 0.3;

/** Two words in a row without a sign: no word of a catalogue has none. */
const UNSAID = /(?<![\w-])[A-Za-z]{3,} [a-z]{3,}(?![\w-])/;
/** What is said as it was written: rows of her recipes, and the names under which an ingredient is read. */
const WRITTEN = [/^[\d.]+\s?(?:%|g|ml|tsp|tbsp)/, /^Àĺśō ŕēàď àś/];

/** Rows of her recipes, as steps that were added to her own name them. */
const ROWS = ofKind(demoOfToday(), 'recipe')
  .flatMap((recipe) => recipe.text.split('\n'))
  // Some say how an ingredient is prepared, behind a comma; steps say it in their own words.
  .flatMap((row) => [row, row.split(',')[0] ?? ''])
  .filter((row) => row.trim() !== '');
const withoutRows = (text: string) =>
  ROWS.reduce((rest, row) => rest.replaceAll(row, ' · '), text.replaceAll('\u00a0', ' '));

/** Steps that she told stay in her words, with the amounts of the batch behind them. */
function isTold(text: string): boolean {
  const own = text
    .replace(/\s*\(.*$/s, '')
    .replace(/\.$/, '')
    .trim()
    .toLowerCase();
  return ofKind(demoOfToday(), 'recipe').some((recipe) => recipe.text.toLowerCase().includes(own));
}

/** What does not fit into the page or into what holds it. */
const CUT_OFF = `
  const wrong = [];
  if (document.documentElement.scrollWidth > innerWidth) wrong.push('the page is wider than the screen');
  for (const each of document.querySelectorAll('[role="main"] *, nav *')) {
    const own = [...each.childNodes].some((node) => node.nodeType === 3 && node.textContent.trim());
    const at = each.getBoundingClientRect();
    if (!own || at.width < 2 || each.closest('svg')) continue;
    // A line of a list that opens says the rest when it is opened.
    if (each.closest('[aria-expanded="false"]')) continue;
    const isHidden = /hidden|clip/.test(getComputedStyle(each).overflowX);
    let scrolls = false;
    for (let up = each; up; up = up.parentElement) scrolls ||= /auto|scroll/.test(getComputedStyle(up).overflowX);
    if ((isHidden && each.scrollWidth > each.clientWidth + 1) || (!scrolls && (at.right > innerWidth + 1 || at.left < -1)))
      wrong.push('cut off: ' + each.textContent.slice(0, 80));
  }
  return wrong;
`;

it.each([390, 320])(
  'at %i px every text comes from the catalogue, and none is cut off where it is longer',
  async (width) => {
    const [place, script] = pseudoCatalogue(LONGER);
    const served = await serveBuild({ ...NO_SERVICE_WORKER, [place]: [200, script] });
    const browser = await phone(served.address);
    await browser.resize({ width, height: 844 } as never);
    await browser.stores(snapshotOf([], { language: 'pt' }));
    await browser.loads('/?start=demo');
    await browser.sees('Maren');
    const wrong: string[] = [];
    let before = '';
    for (const where of PLACES) {
      await browser.goto(where);
      await arrives(browser, where, before, /[Ŵŵ]ōŕķĩńĝ ōũţ|ţĥĩńķĩńĝ/);
      before = await browser.text();
      const said = await browser.driver.executeScript<string[]>(SAID);
      const cut = await browser.driver.executeScript<string[]>(CUT_OFF);
      wrong.push(
        ...said
          .filter(
            (text) =>
              UNSAID.test(withoutRows(text)) && !WRITTEN.some((way) => way.test(text)) && !isTold(text),
          )
          .map((text) => `${where} not said: ${text}`),
        ...cut.map((each) => `${where} ${each}`),
      );
    }
    served.close();
    expect([...new Set(wrong)]).toEqual([]);
  },
);
