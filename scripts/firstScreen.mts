/** Measures, in headless Chromium, how long the demo takes from opening its address to its first screen, and what it weighs. */
import { Browser, PHONE } from '../e2e/support/browser';
import { serveBuild } from '../e2e/support/serveBuild';

const RUNS = 7;

interface Measured {
  readonly firstScreenMs: number;
  readonly scriptKilobytes: number;
}

/** Asked for by the page itself, so that the test driver's own delays do not count. */
const WHEN_SEEN = `
  const done = arguments[0];
  const look = () => {
    const headline = document.querySelector('[role="heading"][aria-level="1"], h1');
    if (headline && document.body.innerText.includes('Maren') && headline.textContent !== 'One moment') {
      const scripts = performance.getEntriesByType('resource').filter(({ name }) => name.endsWith('.js') && !/(estimator|planner|backup)-/.test(name));
      done({ firstScreenMs: performance.now(), scriptKilobytes: scripts.reduce((sum, { encodedBodySize }) => sum + encodedBodySize, 0) / 1024 });
    } else requestAnimationFrame(look);
  };
  look();
`;

const { address, close } = await serveBuild();

const measured: { what: string; runs: Measured[] }[] = [];
for (const [what, place] of [
  ['first visit, demo filled in', '/?start=demo'],
  ['return visit', '/'],
] as const) {
  const runs: Measured[] = [];
  for (let run = 0; run < RUNS; run++) {
    const browser = await Browser.open(address, PHONE);
    if (place === '/') {
      await browser.goto('/?start=demo');
      await browser.sees('Maren');
    }
    await browser.goto(place);
    runs.push(await browser.driver.executeAsyncScript<Measured>(WHEN_SEEN));
    await browser.close();
  }
  measured.push({ what, runs });
}
close();

for (const { what, runs } of measured) {
  const times = runs.map(({ firstScreenMs }) => Math.round(firstScreenMs)).sort((a, b) => a - b);
  console.log(
    `${what}: median ${times[Math.floor(RUNS / 2)]} ms (${times[0]} to ${times.at(-1)}) over ${RUNS} runs, ${Math.round(runs[0]?.scriptKilobytes ?? 0)} KB of compressed JavaScript`,
  );
}
