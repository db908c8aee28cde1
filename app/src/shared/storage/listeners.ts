/** Whoever wants to be told that something has changed. */
export class Listeners {
  private readonly all = new Set<() => void>();

  /** @returns takes the listener away again */
  readonly subscribe = (listener: () => void): (() => void) => {
    this.all.add(listener);
    return () => {
      this.all.delete(listener);
    };
  };

  tell(): void {
    for (const listener of this.all) listener();
  }
}
