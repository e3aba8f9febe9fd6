import { useEffect, useState } from 'react';

export interface Room {
  readonly usedBytes: number;
  /** What the browser would give; it may be less when the device is full. */
  readonly mostBytes: number;
  /** The browser will not clear it by itself to make room for others. */
  readonly isLasting: boolean;
}

/** How much room this page takes and has; null where the browser does not tell. */
export function useRoom(changes: unknown): readonly [Room | null, ask: () => Promise<void>] {
  const [room, setRoom] = useState<Room | null>(null);
  useEffect(() => {
    let stands = true;
    void roomNow().then((found) => {
      if (stands) setRoom(found);
    });
    return () => {
      stands = false;
    };
  }, [changes]);
  const ask = async () => {
    await navigator.storage?.persist?.();
    setRoom(await roomNow());
  };
  return [room, ask];
}

async function roomNow(): Promise<Room | null> {
  try {
    const { usage, quota } = await navigator.storage.estimate();
    if (usage === undefined || quota === undefined || quota === 0) return null;
    return {
      usedBytes: usage,
      mostBytes: quota,
      isLasting: (await navigator.storage.persisted?.()) ?? false,
    };
  } catch {
    return null;
  }
}
