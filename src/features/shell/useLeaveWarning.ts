import { useEffect } from 'react';
import { selectUnkept, selectUnsaved, useAppStore } from '@/store';

const warn = (event: BeforeUnloadEvent) => event.preventDefault();

/** Asks before the page is left while something is not stored yet, be it for a moment only. */
export function useLeaveWarning(): void {
  const store = useAppStore();
  useEffect(() => {
    // Not by a selector: the shell would be drawn anew twice with every letter of a draft.
    const follow = () => {
      const state = store.getState();
      if (selectUnsaved(state).length + selectUnkept(state).length > 0)
        window.addEventListener('beforeunload', warn);
      else window.removeEventListener('beforeunload', warn);
    };
    follow();
    const end = store.subscribe(follow);
    return () => {
      end();
      window.removeEventListener('beforeunload', warn);
    };
  }, [store]);
}
