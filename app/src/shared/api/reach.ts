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
