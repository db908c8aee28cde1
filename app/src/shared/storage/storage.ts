/** What this phone keeps for itself. Written at once, so that a refresh a moment later finds it. */

const PREFIX = 'skelby.';

export function keep(name: string, value: unknown): void {
  localStorage.setItem(PREFIX + name, JSON.stringify(value));
}

export function kept<T>(name: string): T | null {
  const text = localStorage.getItem(PREFIX + name);
  if (text === null) return null;
  try {
    return JSON.parse(text) as T;
  } catch {
    // Half-written by a browser that was killed: as good as not there.
    localStorage.removeItem(PREFIX + name);
    return null;
  }
}

/** Names of everything that is kept under a beginning. */
export const namesUnder = (start: string): readonly string[] =>
  Object.keys(localStorage)
    .filter((name) => name.startsWith(PREFIX + start))
    .map((name) => name.slice(PREFIX.length));

export const forget = (name: string): void => localStorage.removeItem(PREFIX + name);

/** Tells when another tab forgets what is kept under a name. @returns stops telling */
export function whenForgottenElsewhere(name: string, tell: () => void): () => void {
  const look = ({ key, newValue }: StorageEvent) => {
    if (key === null || (key === PREFIX + name && newValue === null)) tell();
  };
  window.addEventListener('storage', look);
  return () => window.removeEventListener('storage', look);
}

/** Leaves nothing behind. */
export function forgetAll(): void {
  for (const name of Object.keys(localStorage).filter((each) => each.startsWith(PREFIX)))
    localStorage.removeItem(name);
}
