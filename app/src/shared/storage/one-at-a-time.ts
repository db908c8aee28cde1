/**
 * Work of which one run goes on at a time, in one tab where the browser can see to it. Whoever asks while it runs, or just
 * as it ends, gets another run.
 */
export class OneAtATime {
  private isAsked = false;
  private running: Promise<void> | null = null;

  /** @param lock what no two tabs hold */
  constructor(
    private readonly lock: string,
    private readonly work: () => Promise<void>,
  ) {}

  /** @returns when what was asked for is done */
  run(): Promise<void> {
    this.isAsked = true;
    this.running ??= this.alone().finally(() => {
      this.running = null;
      return this.isAsked ? this.run() : undefined;
    });
    return this.running;
  }

  private async alone(): Promise<void> {
    const whileAsked = async () => {
      while (this.isAsked) {
        this.isAsked = false;
        await this.work();
      }
    };
    if (globalThis.navigator?.locks) await navigator.locks.request(this.lock, whileAsked);
    else await whileAsked();
  }
}
