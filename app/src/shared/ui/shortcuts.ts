import type { Href } from 'expo-router';

/** Keys that lead somewhere, each with Alt and Shift held: none is typed by itself, so that none is hit by chance. */
export const SHORTCUTS: readonly { readonly key: string; readonly leads: string; readonly href: Href }[] = [
  { key: 'T', leads: 'Today', href: '/' },
  { key: 'P', leads: 'Pilots', href: '/pilots' },
  { key: 'D', leads: 'Drills', href: '/drills' },
  { key: 'F', leads: 'Figures', href: '/sums' },
  { key: 'M', leads: 'More', href: '/kit' },
  { key: 'L', leads: 'Log a crash or near-miss', href: '/log/pilot' },
  { key: 'S', leads: 'Plan a session', href: '/session' },
  { key: 'Q', leads: 'Find', href: '/search' },
  { key: 'H', leads: 'Help', href: '/help' },
];

/** @returns stops listening */
export function listenForShortcuts(page: Window, go: (href: Href) => void): () => void {
  const look = (event: KeyboardEvent) => {
    if (!event.altKey || !event.shiftKey || event.ctrlKey || event.metaKey) return;
    const found = SHORTCUTS.find(({ key }) => event.code === `Key${key}`);
    if (!found) return;
    event.preventDefault();
    go(found.href);
  };
  page.addEventListener('keydown', look);
  return () => page.removeEventListener('keydown', look);
}
