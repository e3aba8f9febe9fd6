import { useEffect, useState } from 'react';

/** The clock, looked at again every so often while `running`; milliseconds since the epoch. */
export function useNow(everyMs: number, running: boolean): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!running) return;
    const look = () => setNow(Date.now());
    look();
    const timer = setInterval(look, everyMs);
    // A sleeping phone misses its ticks: look again as soon as the page is seen.
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, [everyMs, running]);
  return now;
}
