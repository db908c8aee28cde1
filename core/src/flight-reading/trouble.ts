import type { Sample } from '../flight-log/flight-log';
import type { Segment } from '../assessment/segment';
import { speedOver, washTrouble } from '../assessment/referee';
import { pilotAt } from '../assessment/walk';
import { craftModel } from '../simulator/craft-model';
import { Lines, mean, median, type ReadFrom } from './lines';
import { type Onset, onsetOf } from './onset';

/** In a drill so much before the end belongs to it at least, s. */
const OF_A_DRILL_S = 5;
/** What leads to a change begins a little before it shows, s. */
const LEADS_S = 0.4;
const FEWEST_S = 1.5;
/** So slow before it began, it hovered, m/s. */
const HOVERS_MPS = 0.9;

/** Hovering at a place, or on its way at a speed. */
interface FlownBefore {
  readonly hovered: boolean;
  readonly place: readonly [number, number];
  readonly velocity: readonly [number, number];
}
/** From this depth on it was in its own wash. */
export const IN_WASH = 0.4;

/** A flight around the moment it began to go wrong, up to its end. */
export class Trouble {
  readonly lines: Lines;
  readonly window: readonly Sample[];
  readonly last: Sample;
  readonly cut: Segment | null;
  // Asked for again and again: worked out once.
  private beforeKept: FlownBefore | null = null;
  private deepestKept: { readonly s: Sample; readonly depth: number } | null = null;

  private constructor(
    readonly from: ReadFrom,
    lines: Lines,
    readonly onset: Onset,
  ) {
    this.lines = lines;
    this.last = lines.last;
    this.cut = lines.cutAt(this.last.t);
    const { t } = this.last;
    const begins =
      from.cuts.length > 0
        ? Math.min(onset.atS, t - OF_A_DRILL_S)
        : Math.min(onset.atS - LEADS_S, t - FEWEST_S);
    const window = lines.between(begins, t);
    this.window = window.length > 0 ? window : [this.last];
  }

  /** @returns null for a flight in which nothing went wrong */
  static in(from: ReadFrom): Trouble | null {
    const lines = new Lines(from);
    const onset = onsetOf(lines);
    return onset && new Trouble(from, lines, onset);
  }

  /** Lines of the last so many seconds of it. */
  lately(seconds: number): readonly Sample[] {
    const lately = this.window.filter(({ t }) => t > this.last.t - seconds);
    return lately.length > 0 ? lately : [this.last];
  }

  /** Speed over the ground and sink at its end, m/s. */
  get speed(): number {
    return mean(this.lately(0.3).map(speedOver));
  }
  get sink(): number {
    return mean(this.lately(0.3).map(({ vz }) => -vz));
  }

  /** Mean wind in it, east and north, m/s; null where nobody measured it. */
  get wind(): readonly [number, number] | null {
    if (!this.lines.hasWind) return null;
    const known = this.window.filter(({ windX, windY }) => Number.isFinite(windX) && Number.isFinite(windY));
    return known.length === 0
      ? null
      : [mean(known.map(({ windX }) => windX)), mean(known.map(({ windY }) => windY))];
  }

  /** Where the pilot stands; null where nobody knows. */
  get pilot(): { readonly x: number; readonly y: number } | null {
    if (this.from.notKnown?.includes('pilot')) return null;
    return this.cut ? pilotAt(this.cut.course, this.last.t - this.cut.startS) : { x: 0, y: 0 };
  }

  /** The line at which it was deepest in its own wash; the last where it never was. */
  get deepest(): { readonly s: Sample; readonly depth: number } {
    return (this.deepestKept ??= this.findDeepest());
  }

  private findDeepest() {
    const craft = this.cut?.craft ?? craftModel(this.from.facts);
    return this.window.reduce(
      (best, s) => {
        const depth = washTrouble(craft, s);
        return depth > best.depth ? { s, depth } : best;
      },
      { s: this.last, depth: 0 },
    );
  }

  /** How it flew before. */
  get before(): FlownBefore {
    return (this.beforeKept ??= this.lookBefore());
  }

  private lookBefore(): FlownBefore {
    const lines = this.onset.before.length > 0 ? this.onset.before : this.window.slice(0, 1);
    const lately = lines.filter(({ t }) => t > lines.at(-1)!.t - 4);
    return {
      hovered: median(lately.map(speedOver)) < HOVERS_MPS,
      place: [mean(lately.map(({ x }) => x)), mean(lately.map(({ y }) => y))],
      velocity: [median(lately.map(({ vx }) => vx)), median(lately.map(({ vy }) => vy))],
    };
  }
}
