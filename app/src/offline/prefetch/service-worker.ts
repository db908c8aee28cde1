import { useCallback, useEffect, useState } from 'react';

const CHECK_EVERY_MS = 3_600_000;
/** A page that nobody has looked at for so long takes the newer version by itself: what was begun on it is kept. */
const UNSEEN_MS = 300_000;

/**
 * Has the browser keep the app itself, so that it opens without signal.
 * @returns loads the newer version that has arrived meanwhile; null while there is none
 */
export function useServiceWorker(): (() => void) | null {
  const [newer, setNewer] = useState<ServiceWorker | null>(null);
  useEffect(() => {
    if (process.env['NODE_ENV'] !== 'production' || !('serviceWorker' in navigator)) return undefined;
    let timer: ReturnType<typeof setInterval> | undefined;
    void navigator.serviceWorker.register('/service-worker.js').then(
      (registration) => {
        const look = () => {
          if (registration.waiting && navigator.serviceWorker.controller) setNewer(registration.waiting);
        };
        look();
        registration.addEventListener('updatefound', () =>
          registration.installing?.addEventListener('statechange', look),
        );
        // Out of reach, it looks again an hour later.
        timer = setInterval(() => void registration.update().catch(() => undefined), CHECK_EVERY_MS);
      },
      () => {
        // A browser that keeps nothing for a page, a private window say: the app works, and needs signal to
        // open.
      },
    );
    return () => {
      if (timer) clearInterval(timer);
    };
  }, []);
  const load = useCallback(() => {
    navigator.serviceWorker.addEventListener('controllerchange', () => window.location.reload(), {
      once: true,
    });
    newer?.postMessage({ type: 'SKIP_WAITING' });
  }, [newer]);
  useEffect(() => {
    if (!newer) return undefined;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = () => {
      clearTimeout(timer);
      if (document.hidden) timer = setTimeout(load, UNSEEN_MS);
    };
    look();
    document.addEventListener('visibilitychange', look);
    return () => {
      clearTimeout(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, [newer, load]);
  return newer && load;
}
