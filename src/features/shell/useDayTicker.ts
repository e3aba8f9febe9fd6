import { useEffect } from 'react';
import { dayOfDate } from '@/core/base/measures';
import { dayBegan, selectToday, useAppStore } from '@/store';

const CHECK_EVERY_MS = 60_000;

/** Tells the store when a new day begins, while the page is open and when it comes back. */
export function useDayTicker(): void {
  const store = useAppStore();
  useEffect(() => {
    const check = () => {
      const today = dayOfDate(new Date());
      if (today !== selectToday(store.getState())) store.dispatch(dayBegan(today));
    };
    const timer = setInterval(check, CHECK_EVERY_MS);
    document.addEventListener('visibilitychange', check);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', check);
    };
  }, [store]);
}
