import { useEffect } from 'react';
import { selectUnsaved, useAppSelector } from '@/store';

/** Asks before the page is left while something is not stored yet. */
export function useLeaveWarning(): void {
  const unsaved = useAppSelector(selectUnsaved).length;
  useEffect(() => {
    if (unsaved === 0) return;
    const warn = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [unsaved]);
}
