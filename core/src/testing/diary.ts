import type { CauseId } from '../causes/causes';
import { clearanceOf } from '../clearance/clearance';
import { type ClearingRule, DEFAULT_RULE } from '../clearance/clearing-rule';
import type { Move, Rep, WeaknessFacts } from '../clearance/facts';
import type { DrillId } from '../drills/drills';
import { addDays, type Day } from '../vocabulary/day';

export const FIRST_DAY: Day = '2026-03-02';

/**
 * The life of a weakness, told in days at the field. Unless said otherwise it is over-control with one deciding
 * drill, the tail-in hover, which has no sides and is shown in calm and light wind.
 */
export class Diary {
  readonly reps: Rep[] = [];
  readonly moves: Move[] = [];
  more: Partial<WeaknessFacts> = {};
  private minute = 0;

  constructor(
    readonly pilot: WeaknessFacts['pilot'] = { mode: 'position-hold', windLimitMps: 6.7 },
    readonly keyDrills: readonly DrillId[] = ['tail-in-hover'],
    readonly causeId: CauseId = 'overcontrol',
    readonly rule: ClearingRule = DEFAULT_RULE,
  ) {
    this.move('opened', FIRST_DAY);
  }

  instant(day: Day): string {
    this.minute += 1;
    const two = (value: number) => String(value).padStart(2, '0');
    return `${day}T${two(Math.floor(this.minute / 60))}:${two(this.minute % 60)}:00.000Z`;
  }

  move(kind: Move['kind'], day: Day, more: Partial<Move> = {}): Move {
    const at = this.instant(day);
    const move: Move = { id: `m${this.moves.length}`, kind, at, reason: null, undoes: null, ...more };
    this.moves.push(move);
    return move;
  }

  rep(day: Day, met: boolean, more: Partial<Rep> = {}): this {
    this.reps.push({
      id: `r${String(this.reps.length).padStart(4, '0')}`,
      drillId: this.keyDrills[0]!,
      purpose: 'test',
      met,
      side: null,
      band: 'calm',
      flownOn: 'craft',
      mode: this.pilot.mode,
      pilotRelative: false,
      day,
      flownAt: this.instant(day),
      takenBack: false,
      ...more,
    });
    return this;
  }

  met(day: Day, times: number, more: Partial<Rep> = {}): this {
    for (let i = 0; i < times; i += 1) this.rep(day, true, more);
    return this;
  }

  missed(day: Day, times: number, more: Partial<Rep> = {}): this {
    for (let i = 0; i < times; i += 1) this.rep(day, false, more);
    return this;
  }

  /** Four met in calm air and, a day later, four in light wind: the shortest way. */
  ready(from: Day = FIRST_DAY): this {
    return this.met(addDays(from, 1), 4).met(addDays(from, 2), 4, { band: 'light' });
  }

  facts(): WeaknessFacts {
    const { causeId, keyDrills, pilot, rule, moves, reps } = this;
    return { causeId, keyDrills, pilot, rule, moves, reps, ...this.more };
  }

  now() {
    return clearanceOf(this.facts());
  }

  rung(id: string) {
    return this.now().rungs.find((rung) => rung.id === id)!;
  }
}
