import { useEffect } from 'react';
import { useUnsent } from './use-outbox';

/** How much waits on this phone, on the icon of the installed app (W3C, Badging API). */
export function useBadge(): void {
  const unsent = useUnsent() ?? 0;
  useEffect(() => {
    // Not installed, or not allowed to: the page itself says what waits.
    void navigator.setAppBadge?.(unsent).catch(() => undefined);
  }, [unsent]);
}
