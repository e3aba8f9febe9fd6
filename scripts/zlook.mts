import { writeFileSync } from 'node:fs';
import { By } from 'selenium-webdriver';
import { Browser, PHONE, WIDE } from '../e2e/support/browser';
import { snapshotOf, unhurriedMaren } from '../e2e/support/records';
import { serveBuild } from '../e2e/support/serveBuild';
const { address, close } = await serveBuild();
const shot = async (b: Browser, name: string) => writeFileSync(`/tmp/w/look/${name}.png`, Buffer.from(await b.driver.takeScreenshot(), 'base64'));
for (const [size, name, feel] of [[PHONE, 'p', -2], [PHONE, 'q', 2], [WIDE, 'w', -1]] as const) {
  const b = await Browser.open(address, size);
  await b.stores(snapshotOf(unhurriedMaren()));
  await b.goto('/');
  await b.sees('How does a strand feel');
  const found = await b.driver.findElements(By.css('[data-testid="feel-scale"] [role="radio"]'));
  await found[feel + 3]!.click();
  await b.pressId('why-today');
  await b.sees('Why?');
  await b.driver.sleep(2500);
  await shot(b, `free-${name}`);
  console.log((await b.text()).slice(0, 1300));
  await b.goto('/wash');
  await b.sees('Begin');
  await shot(b, `wash-${name}`);
  console.log((await b.text()).slice(0, 300));
  await b.close();
}
close();
