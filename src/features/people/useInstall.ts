import { useState } from 'react';
import { kept } from '../shared/installOffer';

/** @returns null where the browser offers nothing, or was asked already */
export function useInstall(): (() => void) | null {
  const [offer, setOffer] = useState(kept.offer);
  if (!offer) return null;
  return () => {
    kept.offer = null;
    setOffer(null);
    void offer.prompt();
  };
}
