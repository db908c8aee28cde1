import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';

/** Whether the page is on its way to paper: what only paper shows is drawn then, and not before. */
export function useIsPrinting(): boolean {
  const [isPrinting, set] = useState(false);
  useEffect(() => {
    // The browser takes the page as it is when this returns.
    const before = () => flushSync(() => set(true));
    const after = () => set(false);
    window.addEventListener('beforeprint', before);
    window.addEventListener('afterprint', after);
    return () => {
      window.removeEventListener('beforeprint', before);
      window.removeEventListener('afterprint', after);
    };
  }, []);
  return isPrinting;
}
