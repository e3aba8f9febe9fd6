import { writeFileSync } from 'node:fs';
import path from 'node:path';
import sharp from 'sharp';
import { Browser, PHONE } from './support/browser';
import { servedBuild } from './support/served';

const { phone, address } = servedBuild();

/** Pictures of one screen for the other's camera; it begins anew after the last. */
const PICTURES = 50;
/** A made-up camera gives this many pictures a second: each stays for a while, as a screen's does. */
const HELD = 4;

describe('two devices', () => {
  it('hand everything over by codes on a screen, with a camera that begins anywhere', async () => {
    const sender = await phone();
    await sender.opensDemo('/people/backup');
    await sender.sees(/\d+ records/);
    const records = /(\d+) records/.exec(await sender.text())?.[1];
    await sender.pressId('show-codes');
    const code = await sender.byTestId('moving-code');
    const pictures: Buffer[] = [];
    let last = '';
    while (pictures.length < PICTURES) {
      const shot = await code.takeScreenshot();
      if (shot === last) continue;
      last = shot;
      pictures.push(
        await sharp(Buffer.from(shot, 'base64'))
          .resize(640, 480, { fit: 'contain', background: '#777' })
          .jpeg({ quality: 80 })
          .toBuffer(),
      );
    }
    const film = path.join(sender.downloads, 'camera.mjpeg');
    writeFileSync(
      film,
      Buffer.concat(pictures.slice(7).flatMap((each) => Array.from({ length: HELD }, () => each))),
    );
    const receiver = await Browser.open(address(), PHONE, [
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ]);
    try {
      await receiver.goto('/people/backup');
      const began = Date.now();
      await receiver.pressId('read-codes');
      await receiver.sees('already here', 60_000);
      const seconds = (Date.now() - began) / 1000;
      await receiver.pressId('take-backup');
      expect(seconds).toBeLessThan(30);
      await receiver.sees(new RegExp(`${records} records, all stored`));
      expect(await receiver.complaints()).toEqual([]);
    } finally {
      await receiver.close();
    }
  });

  it('without a camera say so, and nothing is changed', async () => {
    const browser = await phone();
    await browser.goto('/people/backup');
    await browser.pressId('read-codes');
    await browser.sees("The camera can't be used here");
    await browser.sees('Save a file');
  });
});
