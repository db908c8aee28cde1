import { addDays, type Day } from '@skelby/core/vocabulary/day';
import { v7 as uuidv7 } from 'uuid';
import type { AnyCommand } from '@skelby/core/commands/command';
import { carryOut } from '../commands/carry-out';
import type { GivenCommand } from '../commands/handler';
import type { SchoolTx } from '../db/in-school';
import { refreshDeferred } from '../facts/refresh-weakness';
import { chanceFrom } from './chance';

const SEED = 7;

/** What the demo's season is written with: the school, the day it ends, keys, hours and chance, the same each time. */
export class SeasonBook {
  readonly chance = chanceFrom(SEED);
  made = 0;
  private readonly putOff: SchoolTx;
  private series = '';

  /** @param keys the same each time, or of its own */
  constructor(
    readonly school: SchoolTx,
    readonly today: Day,
    private readonly keys: 'same' | 'own' = 'same',
  ) {
    this.putOff = { ...school, deferred: { weaknesses: new Set(), drills: new Map() } };
  }

  /** Does what a trainer asked for then; what lists keep is worked out once a series of reps, as for a batch. */
  async carryOut<C extends AnyCommand>(
    command: C,
    keys: GivenCommand<C>['keys'],
    body: unknown,
    series = '',
  ): Promise<unknown> {
    if (series === '' || series !== this.series) await this.catchUp();
    this.series = series;
    return carryOut(series === '' ? this.school : this.putOff, command, keys, body);
  }

  catchUp(): Promise<void> {
    return refreshDeferred(this.putOff);
  }

  key(): string {
    this.made += 1;
    const random = new Uint8Array(16).map(() => Math.floor(this.chance() * 256));
    if (this.keys === 'own') return uuidv7();
    return uuidv7({ msecs: Date.parse(`${this.today}T00:00:00Z`) - 1_000_000 + this.made, random });
  }

  ago(days: number): Day {
    return addDays(this.today, -days);
  }

  at(day: Day, minute: number): string {
    return new Date(Date.parse(`${day}T09:00:00Z`) + minute * 60_000).toISOString();
  }
}
