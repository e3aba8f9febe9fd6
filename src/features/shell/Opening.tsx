import { t } from '@lingui/core/macro';
import { useEffect, useState } from 'react';
import { Screen } from '@/ui';

/** Most stores are read before anybody could read this; then a flash of words would only disturb. */
const PATIENCE_MS = 400;

/** While what is kept is read from the browser. */
export function Opening() {
  const [isLong, setIsLong] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setIsLong(true), PATIENCE_MS);
    return () => clearTimeout(timer);
  }, []);
  return isLong ? (
    <Screen headline={t`One moment`} reason={t`Reading what is kept in this browser.`}>
      {null}
    </Screen>
  ) : null;
}
