import { useEffect, useState } from 'react';
import { mayRing } from './ring';

/** {@link mayRing}, told anew when she touches the page. */
export function useMayRing(): boolean {
  const [may, setMay] = useState(mayRing);
  useEffect(() => {
    if (may) return;
    const touched = () => setMay(mayRing());
    const kinds = ['pointerup', 'keydown'] as const;
    kinds.forEach((kind) => document.addEventListener(kind, touched));
    return () => kinds.forEach((kind) => document.removeEventListener(kind, touched));
  }, [may]);
  return may;
}
