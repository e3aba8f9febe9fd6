import { useEffect } from 'react';
import { selectUnkept, selectUnsaved, useAppSelector } from '@/store';

/** Asks before the page is left while something is not stored yet. */
export function useLeaveWarning(): void {
  const records = useAppSelector(selectUnsaved).length;
  const unsaved = records + useAppSelector(selectUnkept).length;
  useEffect(() => {
    if (unsaved === 0) return;
    const warn = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [unsaved]);
}
