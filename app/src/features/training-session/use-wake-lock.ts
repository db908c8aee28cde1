import { useEffect, useState } from 'react';

/** Keeps the screen awake while it is mounted. @returns whether it does */
export function useWakeLock(): boolean {
  const [awake, setAwake] = useState(false);
  useEffect(() => {
    if (!('wakeLock' in navigator)) return undefined;
    let lock: WakeLockSentinel | null = null;
    let over = false;
    const take = () => {
      if (over || document.visibilityState !== 'visible') return;
      // Refused on a low battery, say: the screen then goes dark as ever, and the page says so.
      navigator.wakeLock.request('screen').then(
        (given) => {
          if (over) {
            void given.release();
            return;
          }
          lock = given;
          setAwake(true);
          given.addEventListener('release', () => setAwake(false));
        },
        () => setAwake(false),
      );
    };
    take();
    document.addEventListener('visibilitychange', take);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, []);
  return awake;
}
