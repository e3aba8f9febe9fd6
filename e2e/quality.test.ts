import { AxeBuilder } from '@axe-core/webdriverjs';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { servedBuild } from './support/served';

jest.setTimeout(360_000);
const { phone, wide, address } = servedBuild();

const PLACES = [
  '/',
  '/week',
  '/week/days',
  '/week/try',
  '/week/rules',
  '/bench',
  '/bench/silk-glaze',
  '/bench/annealing-cream',
  '/bench/compare?a=silk-glaze&b=cold-kiln-set',
  '/bench/new',
  '/bench/make/furnace-day-cream',
  '/shelf',
  '/pantry',
  '/pantry/linseed',
  '/pantry/new',
  '/strand',
  '/wash',
  '/strand/report',
  '/heads/first',
  '/strand/take',
  '/strand/reading',
  '/strand/stretch',
  '/strand/tally',
  '/strand/porosity',
  '/strand/feel',
  '/strand/length',
  '/strand/photo',
  '/strand/event',
  '/strand/works',
  '/strand/trials',
  '/strand/trials/new',
  '/strand/log',
  '/heads',
  '/heads/maren',
  '/heads/schools',
  '/heads/settings',
  '/heads/keeping',
];

/** The most compressed JavaScript that the first screen may load, kilobytes; see "Weight" in the README. */
const { firstScreenKilobytes } = JSON.parse(readFileSync(path.join(__dirname, 'budget.json'), 'utf8')) as {
  firstScreenKilobytes: number;
};

interface Loaded {
  readonly name: string;
  readonly encodedBodySize: number;
}

describe('every place', () => {
  it.each([
    ['a phone', phone],
    ['a wide screen', wide],
  ])('has no accessibility violation on %s', async (_, open) => {
    const browser = await open();
    await browser.opensDemo();
    for (const place of PLACES) {
      await browser.goto(place);
      await browser.headline();
      await browser.driver.wait(async () => (await browser.headline()) !== 'One moment', 10_000);
      const { violations } = await new AxeBuilder(browser.driver)
        .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
        .analyze();
      const found = violations.map(({ id, nodes }) => `${place} ${id}: ${nodes[0]?.html.slice(0, 160)}`);
      expect(found).toEqual([]);
    }
  });
});

describe('the first screen', () => {
  it('asks nobody else and stays within its weight', async () => {
    const browser = await phone();
    await browser.opensDemo();
    await browser.goto('/');
    await browser.sees('Maren');
    const loaded = await browser.driver.executeScript<Loaded[]>(
      'return performance.getEntriesByType("resource").map(({name, encodedBodySize}) => ({name, encodedBodySize}))',
    );
    expect(loaded.filter(({ name }) => !name.startsWith(address()) && !name.startsWith('blob:'))).toEqual([]);
    const scripts = loaded.filter(
      ({ name }) => name.endsWith('.js') && !/(estimator|planner|scheduler|solver)-/.test(name),
    );
    const kilobytes = scripts.reduce((sum, { encodedBodySize }) => sum + encodedBodySize, 0) / 1024;
    expect(kilobytes).toBeGreaterThan(50);
    expect(kilobytes).toBeLessThanOrEqual(firstScreenKilobytes);
  });
});
