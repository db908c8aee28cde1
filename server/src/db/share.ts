/** Nobody is to wait longer: what was asked is tried again by itself. */
export class Busy extends Error {
  constructor() {
    super('All connections are taken.');
  }
}

interface Waiting {
  readonly go: () => void;
  readonly giveUp: NodeJS.Timeout;
}

/** How many transactions of one school run at once; what is over waits in the school's own line. */
export class Share {
  private readonly running = new Map<string, number>();
  private readonly lines = new Map<string, Waiting[]>();

  /** @param waitMs longest wait in the line */
  constructor(
    private readonly most: number,
    private readonly waitMs: number,
  ) {}

  /** @returns what gives the place back. @throws Busy after too long a wait */
  async take(schoolId: string): Promise<() => void> {
    const running = this.running.get(schoolId) ?? 0;
    if (running < this.most) this.running.set(schoolId, running + 1);
    else await this.wait(schoolId);
    return () => this.giveBack(schoolId);
  }

  private wait(schoolId: string): Promise<void> {
    const line = this.lines.get(schoolId) ?? [];
    this.lines.set(schoolId, line);
    return new Promise((resolve, reject) => {
      const waiting: Waiting = {
        go: resolve,
        giveUp: setTimeout(() => {
          line.splice(line.indexOf(waiting), 1);
          if (line.length === 0) this.lines.delete(schoolId);
          reject(new Busy());
        }, this.waitMs),
      };
      line.push(waiting);
    });
  }

  /** The place goes to the next in line; where nobody waits it is free. */
  private giveBack(schoolId: string): void {
    const line = this.lines.get(schoolId);
    const next = line?.shift();
    if (line?.length === 0) this.lines.delete(schoolId);
    if (next) {
      clearTimeout(next.giveUp);
      next.go();
      return;
    }
    const running = (this.running.get(schoolId) ?? 1) - 1;
    if (running === 0) this.running.delete(schoolId);
    else this.running.set(schoolId, running);
  }
}
