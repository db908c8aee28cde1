import { useSyncExternalStore } from 'react';

/** Whether the last request got through to the server. */
class Reach {
  private readonly listeners = new Set<() => void>();
  private isLost = false;

  lost(): void {
    this.set(true);
  }
  found(): void {
    this.set(false);
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => {
      this.listeners.delete(listener);
    };
  };

  readonly now = (): boolean => this.isLost;

  private set(isLost: boolean): void {
    if (isLost === this.isLost) return;
    this.isLost = isLost;
    for (const listener of this.listeners) listener();
  }
}

export const reach = new Reach();

export const useOutOfReach = (): boolean => useSyncExternalStore(reach.subscribe, reach.now);
