import { randomUUID } from 'node:crypto';
import type { Middleware } from 'koa';
import type { Logger } from 'pino';
import type { Who } from './session';

/** Requests whose handlers still run, also those whose reader has hung up. */
export class InFlight {
  private running = 0;
  private waiting: (() => void)[] = [];

  begin(): void {
    this.running += 1;
  }

  end(): void {
    this.running -= 1;
    if (this.running > 0) return;
    for (const tell of this.waiting) tell();
    this.waiting = [];
  }

  /** Settles when nothing runs. */
  none(): Promise<void> {
    return this.running === 0
      ? Promise.resolve()
      : new Promise((resolve) => {
          this.waiting.push(resolve);
        });
  }
}

/** Gives each request a number and writes one line about it: what was asked, by which account, from where. */
export const requests =
  (log: Logger, inFlight: InFlight): Middleware =>
  async (ctx, next) => {
    const started = performance.now();
    const requestId = randomUUID();
    ctx.state['requestId'] = requestId;
    ctx.set('X-Request-Id', requestId);
    inFlight.begin();
    try {
      await next();
    } finally {
      inFlight.end();
    }
    log.info(
      {
        requestId,
        method: ctx.method,
        // A calendar's address is its key.
        path: ctx.path.replace(/(?<=^\/api\/calendar\/).*/, '…'),
        status: ctx.status,
        from: ctx.ip,
        accountId: (ctx.state['who'] as Pick<Who, 'accountId'> | undefined)?.accountId ?? null,
        ms: Math.round(performance.now() - started),
      },
      'request',
    );
  };
