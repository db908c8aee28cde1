import { useState } from 'react';
import { copyText } from './copy-text';

/** What became of it: in words for the button that did it. */
const COPIED_WORDS = { yes: 'Copied', no: 'This browser does not copy: select it above' } as const;
type Copied = keyof typeof COPIED_WORDS;

/** Copies a text. @returns what the button says afterwards; null before */
export function useCopy(): { readonly said: string | null; readonly copy: (text: string) => Promise<void> } {
  const [copied, setCopied] = useState<Copied | null>(null);
  const copy = async (text: string) => setCopied((await copyText(text)) ? 'yes' : 'no');
  return { said: copied && COPIED_WORDS[copied], copy };
}

/** Passes an address on: by the phone's own sheet where there is one, else onto the clipboard. */
export function usePassOn(title: string): {
  readonly said: string | null;
  readonly pass: (address: string) => Promise<void>;
} {
  const { said, copy } = useCopy();
  const pass = async (address: string) => {
    if (!('share' in navigator)) {
      await copy(address);
      return;
    }
    try {
      await navigator.share({ title, url: address });
    } catch (error) {
      // Nobody was picked after all.
      if (!(error instanceof DOMException && error.name === 'AbortError')) throw error;
    }
  };
  return { said, pass };
}
