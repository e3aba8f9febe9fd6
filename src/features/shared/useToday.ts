import { useEffect, useState } from 'react';
import { dayOfDate, type CalendarDay } from '@/core/measures';

const CHECK_EVERY_MS = 60_000;

/** Today in the person's zone; changes at midnight and when the page comes back. */
export function useToday(): CalendarDay {
  const [today, setToday] = useState(() => dayOfDate(new Date()));
  useEffect(() => {
    const check = () => setToday(dayOfDate(new Date()));
    const timer = setInterval(check, CHECK_EVERY_MS);
    document.addEventListener('visibilitychange', check);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', check);
    };
  }, []);
  return today;
}
