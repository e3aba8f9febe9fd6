import { useEffect } from 'react';

/** Keeps the screen on while a step runs, where the browser can; it lets go by itself when the page is hidden. */
export function useKeptAwake(wanted: boolean): void {
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    let ended = false;
    const ask = () => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock
        .request('screen')
        .then(async (given) => {
          if (ended) await given.release();
          else lock = given;
        })
        // A browser that refuses, to save its battery, is no reason to stop.
        .catch(() => undefined);
    };
    ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      ended = true;
      document.removeEventListener('visibilitychange', ask);
      lock?.release().catch(() => undefined);
    };
  }, [wanted]);
}
