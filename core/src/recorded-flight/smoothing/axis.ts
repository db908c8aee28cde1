/**
 * Forward–backward smoothing of one axis (Kalman 1960; Rauch, Tung and Striebel 1965): place, velocity and acceleration
 * driven by white jerk, and, where places come from satellites, a slow error of theirs (first-order Gauss–Markov). Small
 * matrices in flat arrays, since there is a step for every line.
 */

import { isSame, multiply, SAME_SPREAD, solveFromRight } from './small-matrices';

export interface AxisModel {
  /** Spectral density of the jerk, m²/s⁵. */
  readonly jerk: number;
  /** Spread and time of the slow error of told places, m and s; null: there is none. */
  readonly wander: { readonly m: number; readonly s: number } | null;
}

/** One moment: what was told then, each with its spread; NaN: nothing. */
export interface AxisLines {
  readonly t: Float64Array;
  readonly place: Float64Array;
  readonly placeSd: number;
  readonly speed: Float64Array | null;
  readonly speedSd: number;
}

export interface SmoothAxis {
  readonly place: Float64Array;
  readonly speed: Float64Array;
  readonly push: Float64Array;
  /** Spreads of place and speed, m and m/s. */
  readonly placeSd: Float64Array;
  readonly speedSd: Float64Array;
}

const PLACE = 0;
const SPEED = 1;
const PUSH = 2;
const WANDER = 3;
/** Nobody knows how it moved at first. */
const [FIRST_SPEED, FIRST_PUSH] = [20, 5];

/** Steps that differ by less are the same one, s. */
const SAME_S = 1e-9;

/** What is kept of the forward way, for the way back. */
interface Kept {
  readonly x: Float64Array;
  readonly p: Float64Array;
  /** The moment whose spread each has: settled spreads are kept once. */
  readonly spreadAt: Int32Array;
}

/** What was told at a moment: bits of place and speed. */
const [TOLD_PLACE, TOLD_SPEED] = [1, 2];

export class AxisSmoother {
  private readonly n: number;
  private readonly x: Float64Array;
  private readonly p: Float64Array;
  private readonly f: Float64Array;
  private readonly q: Float64Array;
  private readonly work: Float64Array;
  // There is a step for every line: what it needs is made once.
  private readonly was: Float64Array;
  private readonly ph: Float64Array;
  private readonly thought: Float64Array;
  private readonly gain: Float64Array;
  private readonly factor: Float64Array;
  private readonly offX: Float64Array;
  private readonly offP: Float64Array;
  /** The step that `f` and `q` are of, s. */
  private of = NaN;
  /** The spread that `thought` and `gain` were worked out of, the moment that it is kept at, and its step, s. */
  private readonly gainOf: Float64Array;
  private gainAt = -1;
  private gainStep = NaN;
  /** How much a told place and a told speed move each part of the state. */
  private readonly weights: readonly [place: Float64Array, speed: Float64Array];
  /** The step and what was told, from which on spreads stay as they are; NaN: they do not. */
  private settledStep = NaN;
  private settledTold = 0;
  /** On the way back spreads stay as they are while the gain does. */
  private isBackSettled = false;

  constructor(private readonly model: AxisModel) {
    this.n = model.wander ? 4 : 3;
    const vector = () => new Float64Array(this.n);
    const square = () => new Float64Array(this.n * this.n);
    [this.x, this.was, this.ph, this.offX] = [vector(), vector(), vector(), vector()];
    [this.p, this.f, this.q, this.work] = [square(), square(), square(), square()];
    [this.thought, this.gain, this.factor, this.offP] = [square(), square(), square(), square()];
    this.gainOf = square();
    this.weights = [vector(), vector()];
  }

  /** @returns the axis at the same moments, each by all that was told before and after it */
  smooth(lines: AxisLines): SmoothAxis {
    const count = lines.t.length;
    const kept: Kept = {
      x: new Float64Array(count * this.n),
      p: new Float64Array(count * this.n * this.n),
      spreadAt: new Int32Array(count),
    };
    this.begin(lines);
    for (let i = 0; i < count; i += 1) {
      this.forward(lines, i, kept);
      kept.x.set(this.x, i * this.n);
    }
    return this.back(lines, kept);
  }

  /** One moment on: where lines come evenly and tell the same, spreads settle within seconds and are not worked out anew. */
  private forward(lines: AxisLines, i: number, { p, spreadAt }: Kept): void {
    const size = this.n * this.n;
    const step = i > 0 ? lines.t[i]! - lines.t[i - 1]! : NaN;
    const told = toldAt(lines, i);
    if (told === this.settledTold && Math.abs(step - this.settledStep) < SAME_S) {
      this.moveOn(step);
      if (told & TOLD_PLACE) this.weighIn(PLACE, lines.place[i]!);
      if (told & TOLD_SPEED) this.weighIn(SPEED, lines.speed![i]!);
      spreadAt[i] = spreadAt[i - 1]!;
      return;
    }
    const wasEven = i > 1 && this.of === step && toldAt(lines, i - 1) === told;
    if (i > 0) this.predict(step);
    this.told(lines, i);
    p.set(this.p, i * size);
    spreadAt[i] = i;
    const settles = wasEven && isSame(p, spreadAt[i - 1]! * size, this.p);
    [this.settledStep, this.settledTold] = settles ? [step, told] : [NaN, 0];
  }

  private begin({ place, placeSd }: AxisLines): void {
    const { n, model } = this;
    this.x.fill(0);
    this.p.fill(0);
    this.x[PLACE] = place.find(Number.isFinite) ?? 0;
    const wander = model.wander?.m ?? 0;
    this.p[0] = 100 * (placeSd * placeSd + wander * wander) + 1;
    this.p[SPEED * n + SPEED] = FIRST_SPEED ** 2;
    this.p[PUSH * n + PUSH] = FIRST_PUSH ** 2;
    if (model.wander) this.p[WANDER * n + WANDER] = wander * wander;
  }

  /** How a state goes on over a time, and what jerk adds to its spread: white jerk integrated (Bar-Shalom et al. 2001, 6.2.3). */
  private transition(dt: number): void {
    const { n, f, q, model } = this;
    if (Math.abs(dt - this.of) < SAME_S) return;
    this.of = dt;
    f.fill(0);
    q.fill(0);
    f[0] = 1;
    f[1] = dt;
    f[2] = (dt * dt) / 2;
    f[n + 1] = 1;
    f[n + 2] = dt;
    f[2 * n + 2] = 1;
    const [d, d2, d3, d4, d5] = [model.jerk, dt ** 2, dt ** 3, dt ** 4, dt ** 5];
    q[0] = (d * d5) / 20;
    q[1] = q[n] = (d * d4) / 8;
    q[2] = q[2 * n] = (d * d3) / 6;
    q[n + 1] = (d * d3) / 3;
    q[n + 2] = q[2 * n + 1] = (d * d2) / 2;
    q[2 * n + 2] = d * dt;
    if (!model.wander) return;
    const keeps = Math.exp(-dt / model.wander.s);
    f[3 * n + 3] = keeps;
    q[3 * n + 3] = model.wander.m ** 2 * (1 - keeps * keeps);
  }

  private predict(dt: number): void {
    this.moveOn(dt);
    this.spread(this.p, 0, this.p);
  }

  /** The state alone. */
  private moveOn(dt: number): void {
    const { n, x, f, was } = this;
    this.transition(dt);
    was.set(x);
    for (let r = 0; r < n; r += 1) {
      let sum = 0;
      for (let c = 0; c < n; c += 1) sum += f[r * n + c]! * was[c]!;
      x[r] = sum;
    }
  }

  /** F P: a row goes on by those under it. F is mostly zeros, and there is a product for every line. */
  private ahead(p: Float64Array, from: number, into: Float64Array): void {
    const { n, f } = this;
    const [dt, half] = [f[1]!, f[2]!];
    for (let c = 0; c < n; c += 1) {
      const [place, speed, push] = [p[from + c]!, p[from + n + c]!, p[from + 2 * n + c]!];
      into[c] = place + dt * speed + half * push;
      into[n + c] = speed + dt * push;
      into[2 * n + c] = push;
      if (n === 4) into[3 * n + c] = f[15]! * p[from + 3 * n + c]!;
    }
  }

  /** P Fᵀ: the same along each row. */
  private along(p: Float64Array, from: number, into: Float64Array): void {
    const { n, f } = this;
    const [dt, half] = [f[1]!, f[2]!];
    for (let r = 0; r < n * n; r += n) {
      const [place, speed, push] = [p[from + r]!, p[from + r + 1]!, p[from + r + 2]!];
      into[r] = place + dt * speed + half * push;
      into[r + 1] = speed + dt * push;
      into[r + 2] = push;
      if (n === 4) into[r + 3] = f[15]! * p[from + r + 3]!;
    }
  }

  /** F P Fᵀ and what jerk adds. */
  private spread(p: Float64Array, from: number, into: Float64Array): void {
    const { n, q, work } = this;
    this.ahead(p, from, work);
    this.along(work, 0, into);
    for (let k = 0; k < n * n; k += 1) into[k]! += q[k]!;
  }

  private told({ place, placeSd, speed, speedSd }: AxisLines, i: number): void {
    if (Number.isFinite(place[i]!)) this.update(PLACE, place[i]!, placeSd * placeSd);
    const now = speed?.[i];
    if (now !== undefined && Number.isFinite(now)) this.update(SPEED, now, speedSd * speedSd);
  }

  /** Takes one figure in: of the place as told, which has the slow error in it, or of the speed. */
  private update(what: typeof PLACE | typeof SPEED, told: number, variance: number): void {
    const { n, p, ph, model } = this;
    const weights = this.weights[what];
    const withWander = what === PLACE && model.wander !== null;
    for (let r = 0; r < n; r += 1) ph[r] = p[r * n + what]! + (withWander ? p[r * n + WANDER]! : 0);
    const s = ph[what]! + (withWander ? ph[WANDER]! : 0) + variance;
    for (let r = 0; r < n; r += 1) weights[r] = ph[r]! / s;
    this.weighIn(what, told);
    for (let r = 0; r < n; r += 1) for (let c = 0; c < n; c += 1) p[r * n + c]! -= (ph[r]! * ph[c]!) / s;
  }

  private weighIn(what: typeof PLACE | typeof SPEED, told: number): void {
    const { n, x, model } = this;
    const weights = this.weights[what];
    const off = told - x[what]! - (what === PLACE && model.wander !== null ? x[WANDER]! : 0);
    for (let r = 0; r < n; r += 1) x[r]! += weights[r]! * off;
  }

  private back({ t }: AxisLines, kept: Kept): SmoothAxis {
    const { n } = this;
    const count = t.length;
    const size = n * n;
    const out: SmoothAxis = {
      ...{ place: new Float64Array(count), speed: new Float64Array(count), push: new Float64Array(count) },
      ...{ placeSd: new Float64Array(count), speedSd: new Float64Array(count) },
    };
    const { x, p } = this;
    const put = (i: number) => {
      out.place[i] = x[PLACE]!;
      out.speed[i] = x[SPEED]!;
      out.push[i] = x[PUSH]!;
      out.placeSd[i] = Math.sqrt(Math.max(0, p[0]!));
      out.speedSd[i] = Math.sqrt(Math.max(0, p[SPEED * n + SPEED]!));
    };
    if (count > 0) {
      x.set(kept.x.subarray((count - 1) * n));
      const at = kept.spreadAt[count - 1]! * size;
      p.set(kept.p.subarray(at, at + size));
      put(count - 1);
    }
    for (let i = count - 2; i >= 0; i -= 1) {
      this.transition(t[i + 1]! - t[i]!);
      this.stepBack(kept, i);
      put(i);
    }
    return out;
  }

  /**
   * What was thought of the next moment, and how much what comes after it counts here. Where lines come evenly spreads settle
   * within seconds, and nothing is to be worked out anew.
   */
  private weigh(p: Float64Array, at: number): void {
    const { n, thought, gain, factor, gainOf } = this;
    const from = at * n * n;
    if (this.gainStep === this.of && (this.gainAt === at || isSame(p, from, gainOf))) return;
    this.gainStep = this.of;
    this.gainAt = at;
    this.isBackSettled = false;
    for (let k = 0; k < n * n; k += 1) gainOf[k] = p[from + k]!;
    this.spread(p, from, thought);
    // P Fᵀ, then from the right by the inverse of what was thought.
    this.along(p, from, gain);
    solveFromRight(gain, thought, factor, n);
  }

  /** Rauch, Tung and Striebel: what comes after (in `x` and `p`), weighed against what was thought of it. */
  private stepBack(kept: Kept, i: number): void {
    const { n, f, thought, gain, offX, offP, work, x: nextX, p: nextP } = this;
    const { x, p, spreadAt } = kept;
    const [atX, atP] = [i * n, spreadAt[i]! * n * n];
    this.weigh(p, spreadAt[i]!);
    for (let r = 0; r < n; r += 1) {
      let sum = 0;
      for (let c = 0; c < n; c += 1) sum += f[r * n + c]! * x[atX + c]!;
      offX[r] = nextX[r]! - sum;
    }
    for (let r = 0; r < n; r += 1) {
      let sum = x[atX + r]!;
      for (let c = 0; c < n; c += 1) sum += gain[r * n + c]! * offX[c]!;
      nextX[r] = sum;
    }
    if (this.isBackSettled) return;
    for (let k = 0; k < n * n; k += 1) offP[k] = nextP[k]! - thought[k]!;
    multiply(gain, offP, work, n);
    let isSettled = true;
    for (let r = 0; r < n; r += 1)
      for (let c = 0; c < n; c += 1) {
        let sum = p[atP + r * n + c]!;
        for (let k = 0; k < n; k += 1) sum += work[r * n + k]! * gain[c * n + k]!;
        if (Math.abs(sum - nextP[r * n + c]!) > SAME_SPREAD * Math.abs(sum)) isSettled = false;
        nextP[r * n + c] = sum;
      }
    this.isBackSettled = isSettled;
  }
}

const toldAt = ({ place, speed }: AxisLines, i: number): number =>
  (Number.isFinite(place[i]!) ? TOLD_PLACE : 0) | (speed && Number.isFinite(speed[i]!) ? TOLD_SPEED : 0);
