import { addDays, type Day } from '@skelby/core/vocabulary/day';
import { v7 as uuidv7 } from 'uuid';
import type { SchoolTx } from '../db/in-school';
import { chanceFrom } from './chance';

const SEED = 7;

/** What the demo's season is written with: the school, the day it ends, keys, hours and chance, the same each time. */
export class SeasonBook {
  readonly chance = chanceFrom(SEED);
  made = 0;

  constructor(
    readonly school: SchoolTx,
    readonly today: Day,
  ) {}

  key(): string {
    this.made += 1;
    const random = new Uint8Array(16).map(() => Math.floor(this.chance() * 256));
    return uuidv7({ msecs: Date.parse(`${this.today}T00:00:00Z`) - 1_000_000 + this.made, random });
  }

  ago(days: number): Day {
    return addDays(this.today, -days);
  }

  at(day: Day, minute: number): string {
    return new Date(Date.parse(`${day}T09:00:00Z`) + minute * 60_000).toISOString();
  }
}
