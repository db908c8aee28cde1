import type { Day } from '../vocabulary/day';
import type { Rep } from './facts';

/** What of a test shows the coverage and the days. */
export type ShownRep = Pick<Rep, 'drillId' | 'flownOn' | 'met' | 'side' | 'band' | 'day'>;

/** How many of the last tests of a cell are looked at. */
export const LAST_LOOKED_AT = 3;

export interface KeptShown {
  readonly counted: readonly ShownRep[];
  readonly asFlown: readonly ShownRep[];
}

const shownOf = ({ drillId, flownOn, met, side, band, day }: ShownRep): ShownRep => ({
  drillId,
  flownOn,
  met,
  side,
  band,
  day,
});

/** Those among the last few of whatever they are told apart by; null: it belongs nowhere. */
function lastOf(tests: readonly ShownRep[], groupsOf: (rep: ShownRep) => readonly string[]): Set<ShownRep> {
  const seen = new Map<string, number>();
  const kept = new Set<ShownRep>();
  for (const rep of [...tests].reverse())
    for (const group of groupsOf(rep)) {
      const number = (seen.get(group) ?? 0) + 1;
      seen.set(group, number);
      if (number <= LAST_LOOKED_AT) kept.add(rep);
    }
  return kept;
}

/** The tests of one opening that show what was shown, oldest first. */
export class ShownTests {
  /** Those that move a chart. */
  private counted: ShownRep[] = [];
  /** Tests flown in the usual mode of a drill that has two forms; they move no chart. */
  private asFlown: ShownRep[] = [];

  add(rep: ShownRep): void {
    this.counted.push(rep);
  }

  /** @param most tests of a drill that count on one day */
  addAsFlown(rep: ShownRep, most: number): void {
    const today = this.asFlown.filter(({ drillId, day }) => drillId === rep.drillId && day === rep.day);
    if (today.length < most) this.asFlown.push(rep);
  }

  forget(): void {
    [this.counted, this.asFlown] = [[], []];
  }

  get all(): KeptShown {
    const { counted, asFlown } = this;
    return { counted, asFlown };
  }

  /**
   * As few of them as show the same: the last of every cell, and of every drill one that was met on each of the first
   * days. @param passDays so many days are asked for
   */
  kept(passDays: number): KeptShown {
    const { counted, asFlown } = this;
    const last = lastOf(counted, ({ drillId, flownOn, side, band }) =>
      flownOn === 'craft' ? [drillId, `${drillId}/${side}`, `${drillId} ${band}`] : [],
    );
    const days = new Map<string, Set<Day>>();
    for (const rep of counted) {
      if (!rep.met) continue;
      const ofDrill = days.get(rep.drillId) ?? new Set<Day>();
      if (ofDrill.has(rep.day) || ofDrill.size >= passDays) continue;
      days.set(rep.drillId, ofDrill.add(rep.day));
      last.add(rep);
    }
    const usual = lastOf(asFlown, ({ drillId, flownOn }) => (flownOn === 'craft' ? [drillId] : []));
    const lastDay = asFlown.at(-1)?.day;
    return {
      counted: counted.filter((rep) => last.has(rep)).map(shownOf),
      asFlown: asFlown.filter((rep) => usual.has(rep) || rep.day === lastDay).map(shownOf),
    };
  }

  static from({ counted, asFlown }: KeptShown): ShownTests {
    const shown = new ShownTests();
    [shown.counted, shown.asFlown] = [[...counted], [...asFlown]];
    return shown;
  }
}
