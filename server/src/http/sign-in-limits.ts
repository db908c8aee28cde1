import { createHash } from 'node:crypto';
import type { Knex } from 'knex';
import type { RateLimiterPostgres } from 'rate-limiter-flexible';
import { Problem } from '../problem/problem';
import { consumed, limiterIn } from './limiter';

/** Wrong sign-ins that are taken within so long: of one address from unknown devices, of one device, of one source. */
const TAKEN = { address: 10, device: 10, source: 60 } as const;
const SECONDS = 900;
type Kind = keyof typeof TAKEN;

/** Who signs in, as far as it is known before the password is looked at. */
export interface Trying {
  readonly email: string;
  readonly source: string;
  /** A device on which this address has signed in before; null: not known here. */
  readonly device: string | null;
}

/** Nobody's address stands in the table. */
const keyOf = (text: string): string => createHash('sha256').update(text).digest('hex');

/** Limits of wrong sign-ins, counted in the database: every server sees the same. */
export class SignInLimits {
  private readonly limiters: Readonly<Record<Kind, RateLimiterPostgres>>;

  constructor(private readonly db: Knex) {
    const limiter = (kind: Kind) => limiterIn(db, kind, TAKEN[kind], SECONDS);
    this.limiters = { address: limiter('address'), device: limiter('device'), source: limiter('source') };
  }

  /** A device that is known is counted by itself: guesses from elsewhere do not lock it out. */
  private countedBy({ email, source, device }: Trying): readonly (readonly [Kind, string])[] {
    return device === null
      ? [
          ['source', keyOf(source)],
          ['address', keyOf(email)],
        ]
      : [['device', keyOf(`${device} ${email}`)]];
  }

  /** Counts a try before anything is verified. @throws Problem 429 with how long to wait */
  async count(trying: Trying, retryAfter: (seconds: number) => void): Promise<void> {
    for (const [kind, key] of this.countedBy(trying)) {
      const waitMs = await consumed(this.limiters[kind], key);
      if (waitMs === null) continue;
      retryAfter(Math.ceil(waitMs / 1000));
      throw new Problem(
        429,
        'Too many tries',
        `Too many wrong sign-ins. Wait ${Math.ceil(waitMs / 60_000)} min, then try again.`,
      );
    }
  }

  /** It was right: what was counted against it counts no more, and a shared source is given its try back. */
  async wasRight(trying: Trying): Promise<void> {
    for (const [kind, key] of this.countedBy(trying))
      await (kind === 'source' ? this.limiters.source.reward(key) : this.limiters[kind].delete(key));
    await this.db('sign_in_limits').where('expire', '<', Date.now()).delete();
  }
}
