import { useState } from 'react';

/** Passes an address on: by the phone's own sheet where there is one, else onto the clipboard. */
export function usePassOn(title: string): {
  readonly copied: boolean;
  readonly pass: (address: string) => Promise<void>;
} {
  const [copied, setCopied] = useState(false);
  const pass = async (address: string) => {
    try {
      if ('share' in navigator) await navigator.share({ title, url: address });
      else {
        await window.navigator.clipboard.writeText(address);
        setCopied(true);
      }
    } catch (error) {
      // Nobody was picked after all.
      if (!(error instanceof DOMException && error.name === 'AbortError')) throw error;
    }
  };
  return { copied, pass };
}
