import { Listeners } from '../storage/listeners';
import { useSyncExternalStore } from 'react';

/** Whether the last request got through to the server. */
class Reach {
  private readonly listeners = new Listeners();
  private isLost = false;

  lost(): void {
    this.set(true);
  }
  found(): void {
    this.set(false);
  }

  /** The browser itself says when the line goes and comes back. @returns stops listening */
  listen(page: Window): () => void {
    const [gone, back] = [() => this.lost(), () => this.found()];
    if (page.navigator.onLine === false) gone();
    page.addEventListener('offline', gone);
    page.addEventListener('online', back);
    return () => {
      page.removeEventListener('offline', gone);
      page.removeEventListener('online', back);
    };
  }

  readonly subscribe = this.listeners.subscribe;

  readonly now = (): boolean => this.isLost;

  private set(isLost: boolean): void {
    if (isLost === this.isLost) return;
    this.isLost = isLost;
    this.listeners.tell();
  }
}

export const reach = new Reach();

export const useOutOfReach = (): boolean => useSyncExternalStore(reach.subscribe, reach.now);
