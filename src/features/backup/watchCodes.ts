import { Gatherer, readFrame } from '@/core/files/handover';
import { askCode } from '@/workers';

interface Watcher {
  /** @param share of what is handed over that is known, 0 to 1 */
  readonly onCode: (share: number) => void;
  readonly onDone: (bytes: Uint8Array) => void;
}

/**
 * Looks at one picture of the camera after the other, off the page, until there are enough codes.
 * @returns ends it
 */
export function watchCodes(
  element: HTMLVideoElement,
  stream: MediaStream,
  { onCode, onDone }: Watcher,
): () => void {
  const gatherer = new Gatherer();
  let isOver = false;
  const end = () => {
    isOver = true;
  };
  const look = async () => {
    element.srcObject = stream;
    await element.play();
    while (!isOver) {
      const code = await askCode(await createImageBitmap(element)).catch(() => null);
      const frame = code && readFrame(code);
      if (isOver) return;
      const bytes = frame && gatherer.add(frame);
      if (frame) onCode(gatherer.share);
      if (bytes) onDone(bytes);
      if (bytes) return end();
      await new Promise((next) => requestAnimationFrame(next));
    }
  };
  void look().catch(end);
  return end;
}
