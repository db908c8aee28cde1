import type { Evidence } from '../evidence/evidence';
import type { CraftFacts } from '../vocabulary/craft-facts';
import type { Failsafe } from '../reconstruct/return-height';
import type { Ended } from '../simulator/simulated-flight';
import type { Solid } from '../simulator/world';
import { distanceTo } from '../simulator/world';
import { modeAt, type Sample, settingAt, type FlightLog, turned } from '../flight-log/flight-log';
import { headingOf, leanOf } from '../geometry/rotation';
import { type Segment, deflection, handsOff, pushOf } from '../assessment/segment';
import { type FirstMove, firstMovesIn } from '../assessment/first-moves';
import { reversals } from '../assessment/measures/reversals';
import type { ControlAids } from '../assessment/exercise';
import { bearing } from '../geometry/path';
import { pilotAt, speedOver, washTrouble } from '../assessment/referee';

/** What a flight tells of how it went wrong, and from where. */
export interface ReadFrom {
  readonly track: FlightLog;
  readonly cuts: readonly Segment[];
  /** The moment it went wrong, s. */
  readonly atS: number;
  readonly ended: Ended;
  readonly facts: CraftFacts;
  readonly solids: readonly Solid[];
  readonly returnHeightM?: number;
  readonly onLinkLoss?: Failsafe;
}

const LOOKS_BACK_S = 5;
const SLOW_MPS = 0.6;
/** Under this, busy hands are what moved it, m/s. */
const BUSY_WIND_MPS = 5;
/** About a second. */
const BURST_S = 1.3;
const TURNING_DEG_PER_S = 25;
const NEAR_GATE_M = 3;
const SNAP_DEG = 40;
const SNAP_S = 0.4;

const mean = (values: readonly number[]): number =>
  values.length === 0 ? 0 : values.reduce((sum, each) => sum + each, 0) / values.length;
const angleBetween = (ax: number, ay: number, bx: number, by: number): number =>
  Math.abs(turned(bearing(ax, ay), bearing(bx, by)));

/** Everything the lines before the moment are asked for. */
class Look {
  readonly window: readonly Sample[];
  readonly last: Sample;
  readonly cut: Segment | null;
  constructor(readonly from: ReadFrom) {
    const { cuts, atS } = from;
    const all = cuts.flatMap((cut) => cut.samples);
    const before = all.filter((s) => s.t <= atS + 1e-6 && s.t > atS - LOOKS_BACK_S);
    this.window = before.length > 0 ? before : all.slice(-1);
    this.last = this.window.at(-1)!;
    this.cut =
      cuts.find(
        (cut) =>
          (cut.samples[0]?.t ?? Infinity) <= this.last.t &&
          (cut.samples.at(-1)?.t ?? -Infinity) >= this.last.t,
      ) ?? null;
  }
  /** Lines of the last so many seconds. */
  within(seconds: number): readonly Sample[] {
    return this.window.filter((s) => s.t > this.last.t - seconds);
  }
  get speed(): number {
    return mean(this.within(0.3).map(speedOver));
  }
  get sink(): number {
    return mean(this.within(0.3).map((s) => -s.vz));
  }
  get windX(): number {
    return mean(this.window.map((s) => s.windX || 0));
  }
  get windY(): number {
    return mean(this.window.map((s) => s.windY || 0));
  }
}

/** Hands that do what the part asks for, wherever that takes it. */
const WITHOUT_A_WAY: ReadonlySet<ControlAids> = new Set<ControlAids>([
  'off',
  'stop',
  'sink',
  'lean',
  'answer',
  'take-over',
  'recover',
]);

/** The first plain push of a part, and how it went against what was wanted there. */
function firstMoveIn(cut: Segment, untilS: number): FirstMove | null {
  // Only where the path says where to go.
  if (cut.stage.path.is === 'arc' || WITHOUT_A_WAY.has(cut.stage.hands)) return null;
  return firstMovesIn(cut).find(({ s }) => s.t <= untilS) ?? null;
}

/** The first that did not go as meant; else that of the part that went wrong. */
function firstMove({ from, last, cut }: Look): FirstMove | null {
  const moves = from.cuts
    .filter((each) => (each.samples[0]?.t ?? Infinity) <= last.t)
    .map((each) => firstMoveIn(each, last.t));
  return (
    moves.find((each) => each !== null && each.went !== 'as-meant') ?? (cut ? firstMoveIn(cut, last.t) : null)
  );
}

function correctionEffect(look: Look): string | null {
  const { cut, window } = look;
  if (!cut) return null;
  if (window.every((s) => deflection(s) < 0.08)) return 'none';
  if (reversals({ samples: window }) > 45 && window.some((s) => deflection(s) > 0.3)) return 'oscillated';
  const off = (s: Sample) => {
    const { path } = cut.stage;
    return path.is === 'point'
      ? Math.hypot(s.x - path.at[0], s.y - path.at[1])
      : (cut.offsets[cut.samples.indexOf(s)]?.crossTrackM ?? 0);
  };
  const inCut = window.filter((s) => s.t >= cut.samples[0]!.t);
  if (inCut.length < 10) return null;
  const [early, late] = [mean(inCut.slice(0, 20).map(off)), mean(inCut.slice(-20).map(off))];
  if (late > early + 0.7) return 'grew';
  return late < early - 0.5 ? 'shrank' : null;
}

function turnRate(look: Look): number {
  const lines = look.within(1.5);
  const [first, last] = [lines[0]!, look.last];
  if (last.t - first.t < 0.3) return 0;
  return Math.abs(turned(headingOf(first), headingOf(last))) / (last.t - first.t);
}

function travelOf(look: Look): string {
  const { speed, sink, last } = look;
  if (sink < -0.7 && speed < 2) return 'climbing';
  if (sink > 0.8 && speed < 0.6 * sink) return 'straight-down';
  if (sink > 0.8 && turnRate(look) > TURNING_DEG_PER_S) return 'descending-turn';
  if (sink > 0.8) return 'slant-down';
  if (speed < SLOW_MPS) return 'stationary';
  const lines = look.within(0.5);
  const angle = Math.abs(
    turned(headingOf(last), bearing(mean(lines.map((s) => s.vx)), mean(lines.map((s) => s.vy)))),
  );
  return angle < 50 ? 'forward' : angle > 130 ? 'backward' : 'sideways';
}

function phaseOf(look: Look): string {
  const { cut, last, from, speed, sink } = look;
  const gate = from.solids.some(
    (solid) =>
      solid.solid === 'wire' &&
      distanceTo(solid, last.x, last.y, last.z) < NEAR_GATE_M &&
      Math.abs(solid.from[0] - solid.to[0]) < 4,
  );
  const begin = cut?.course.stages[0]?.path;
  if (last.z < 1 && begin?.is === 'segment' && begin.from[2] === 0) return 'takeoff';
  if (cut?.stage.until.is === 'landed') return 'landing';
  if (from.track.events.some((each) => each.is === 'return')) return 'return';
  if (gate) return 'gap';
  if (cut?.stage.path.is === 'arc' || (turnRate(look) > TURNING_DEG_PER_S && speed > 1)) return 'turn';
  if (sink > 0.8 && cut?.stage.path.is === 'segment' && cut.stage.path.to[2] < cut.stage.path.from[2] - 1)
    return 'descent';
  return cut?.stage.path.is === 'point' || speed < SLOW_MPS ? 'hover' : 'cruise';
}

/**
 * Where eyes and mind were, as far as the drill itself saw to it: it spoke to the pilot, or made them look
 * away.
 */
function attentionOf({ from: { cuts }, cut }: Look): string | null {
  if (!cut) return null;
  if (cut.stage.hands === 'answer') return 'talked-to';
  return cut.stage.blind || cuts[cuts.indexOf(cut) - 1]?.stage.blind ? 'looked-away' : null;
}

/** How far the attitude was thrown within a moment, and how it ended. */
function snapOf(look: Look): string {
  const lines = look.window;
  let thrown = 0;
  for (let i = 0; i < lines.length; i += 1) {
    for (let j = i + 1; j < lines.length && lines[j]!.t - lines[i]!.t < SNAP_S; j += 8)
      thrown = Math.max(thrown, leanOf(lines[j]!) - leanOf(lines[i]!));
  }
  if (lines.some((s) => leanOf(s) > 100)) return 'flip';
  if (thrown > SNAP_DEG) return 'one-side';
  return look.cut && lines.some((s) => washTrouble(look.cut!.craft, s) > 0.5) ? 'wobble' : 'none';
}

function yawBurst(look: Look): string {
  let most = 0;
  const lines = look.window;
  for (let i = 0; i < lines.length; i += 5) {
    let swung = 0;
    for (let j = i + 5; j < lines.length && lines[j]!.t - lines[i]!.t <= BURST_S; j += 5)
      swung += turned(headingOf(lines[j - 5]!), headingOf(lines[j]!));
    most = Math.max(most, Math.abs(swung));
  }
  return most > 80 ? 'half-or-more' : most > 45 ? 'quarter' : 'none';
}

/** What was met, from where it lies and what it is. */
function obstacleOf(look: Look): Readonly<Record<string, string>> {
  const { ended, facts } = look.from;
  const { last } = look;
  if (!ended) return { obstacle_side: 'none' };
  if (ended.how === 'ground' || !ended.solid) return { obstacle_side: 'below', obstacle_kind: 'ground' };
  const { solid } = ended;
  const toward = ([dx, dy, dz]: readonly [number, number, number]) =>
    distanceTo(solid, last.x + dx, last.y + dy, last.z + dz);
  const heading = (headingOf(last) * Math.PI) / 180;
  const [sx, cx] = [Math.sin(heading), Math.cos(heading)];
  const step = 0.12;
  const sides = {
    ahead: toward([step * sx, step * cx, 0]),
    behind: toward([-step * sx, -step * cx, 0]),
    right: toward([step * cx, -step * sx, 0]),
    left: toward([-step * cx, step * sx, 0]),
    above: toward([0, 0, step]),
    below: toward([0, 0, -step]),
  };
  const nearest = (Object.entries(sides) as [keyof typeof sides, number][]).reduce((best, each) =>
    each[1] < best[1] ? each : best,
  )[0];
  const side = nearest === 'left' || nearest === 'right' ? 'side' : nearest;
  const flat = solid.solid === 'box' && solid.highM < 1;
  const thin = solid.solid === 'wire' || (solid.solid === 'pole' && solid.radiusM < 0.1);
  const wire =
    solid.solid === 'wire' && Math.hypot(solid.to[0] - solid.from[0], solid.to[1] - solid.from[1]) > 10;
  const gate = solid.solid === 'wire' && !wire && solid.radiusM >= 0.03;
  const braked = look.within(2.5).find((s) => {
    const [px, py] = pushOf(s);
    return px * s.vx + py * s.vy < -0.15 * speedOver(s) && deflection(s) > 0.15;
  });
  const looks = facts.sensorSides.includes(side as never);
  return {
    obstacle_side: side,
    obstacle_kind: flat && side === 'above' ? 'roof' : wire ? 'wire' : thin && !gate ? 'thin' : 'solid',
    ...(braked ? { noticed: 'late' } : {}),
    sensors: !looks
      ? 'none'
      : settingAt(last) === 'fast' || modeAt(last) !== 'position-hold' || !last.hold
        ? 'off'
        : 'on',
  };
}

/** What of a way over the ground is not along the line being flown; all of it where there is none. */
function acrossTheLine({ cut }: Look, x: number, y: number): readonly [number, number] {
  if (cut?.stage.path.is !== 'segment') return [x, y];
  const { from, to } = cut.stage.path;
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dy);
  if (length < 1) return [x, y];
  const along = (x * dx + y * dy) / length;
  return [x - (along * dx) / length, y - (along * dy) / length];
}

function driftOf(look: Look): string | null {
  const { last, speed, windX, windY } = look;
  if (speed < SLOW_MPS) return null;
  const lines = look.within(1);
  const wind = Math.hypot(windX, windY);
  if (wind < BUSY_WIND_MPS && mean(lines.map(deflection)) > 0.35) return 'neither';
  // It goes where the air goes, and nobody pushed it there. Along a line only what leaves the line counts.
  const [vx, vy] = acrossTheLine(look, last.vx, last.vy);
  const [ax, ay] = acrossTheLine(look, windX, windY);
  const across = Math.hypot(ax, ay);
  const pushed =
    across > 0
      ? mean(
          lines.map((s) => {
            const [px, py] = pushOf(s);
            return (px * ax + py * ay) / across;
          }),
        )
      : 0;
  if (
    across > 1 &&
    Math.hypot(vx, vy) > SLOW_MPS &&
    angleBetween(vx, vy, ax, ay) < 50 &&
    speed < 1.6 * wind &&
    pushed < 0.12
  )
    return 'downwind';
  return lines.every((s) => deflection(s) < 0.08) ? 'own-momentum' : 'neither';
}

function sticksBefore(look: Look): string {
  const lines = look.within(2);
  const axis = look.cut?.stage.axis;
  if (
    axis &&
    look.window.some((s) =>
      (['throttle', 'yaw', 'pitch', 'roll'] as const).some(
        (each) => each !== axis && Math.abs(s[each]) > 0.2,
      ),
    )
  )
    return 'wrong-stick';
  if (lines.every(handsOff)) return 'released';
  return Math.max(...lines.map((s) => Math.max(deflection(s), Math.abs(s.yaw)))) > 0.5 ? 'large' : 'small';
}

function windSide({ windX, windY, last, speed, cut }: Look): string | null {
  const wind = Math.hypot(windX, windY);
  if (wind < 1.5) return 'calm';
  const meant =
    cut?.stage.path.is === 'segment'
      ? ([
          cut.stage.path.to[0] - cut.stage.path.from[0],
          cut.stage.path.to[1] - cut.stage.path.from[1],
        ] as const)
      : null;
  if (!meant && speed < SLOW_MPS) return null;
  const [dx, dy] = meant && Math.hypot(...meant) > 1 ? meant : [last.vx, last.vy];
  const angle = angleBetween(dx, dy, windX, windY);
  return angle < 45 ? 'tail' : angle > 135 ? 'head' : 'cross';
}

function folded({ window }: Look): string | null {
  const [first, last] = [window[0]!, window.at(-1)!];
  if (speedOver(first) < 1) return null;
  const back = window.some((s) => speedOver(s) > 0.8 && angleBetween(s.vx, s.vy, first.vx, first.vy) > 120);
  return back && Math.hypot(last.x - first.x, last.y - first.y) < 6 ? 'yes' : 'no';
}

function heightTrend(look: Look): string | null {
  const lines = look.within(2);
  const at = look.cut?.offsets.at(-1)?.nearest[2];
  const change = (lines.at(-1)?.z ?? 0) - (lines[0]?.z ?? 0);
  const meant =
    look.cut && look.cut.stage.path.is === 'segment'
      ? (look.cut.stage.path.to[2] - look.cut.stage.path.from[2]) * 0.2
      : 0;
  if (at === undefined) return null;
  return change - Math.min(0, meant) < -0.6
    ? 'falling'
    : change - Math.max(0, meant) > 0.6
      ? 'rising'
      : 'steady';
}

/**
 * Turns a flight into the answers a debrief would get, as far as a flight can tell: what was seen, felt or
 * believed stays open. The craft of a simulator has no defects, and nobody walks
 * unless the drill says so.
 */
export function evidenceFrom(from: ReadFrom): Evidence {
  const look = new Look(from);
  const { last, speed, sink, windX, windY } = look;
  const pilot = look.cut ? pilotAt(look.cut.course, last.t - look.cut.startS) : { x: 0, y: 0 };
  const distance = Math.hypot(last.x - pilot.x, last.y - pilot.y);
  const mode = modeAt(last);
  const phase = phaseOf(look);
  const turning = phase === 'turn' || turnRate(look) > TURNING_DEG_PER_S;
  const throttle = mean(look.within(1.5).map((s) => s.throttle));
  const toggled = look.from.track.columns.relative.some((value, i, all) => i > 0 && value !== all[i - 1]);
  const lost = from.track.events.some((each) => each.is === 'hold-lost' && each.t <= last.t);
  const returned = from.track.events.some((each) => each.is === 'return' && each.t <= last.t);
  const cutOff = from.track.events.some((each) => each.is === 'link-lost' && each.t <= last.t);
  const takenOver = from.track.events.some((each) => each.is === 'take-over' && each.t <= last.t);
  const wide = look.cut
    ? from.solids.filter(
        (solid) => solid.solid === 'wire' && distanceTo(solid, last.x, last.y, last.z) < NEAR_GATE_M,
      )
    : [];
  const gateWidth = Math.max(
    0,
    ...wide.map((solid) =>
      solid.solid === 'wire' ? Math.hypot(solid.to[0] - solid.from[0], solid.to[1] - solid.from[1]) : 0,
    ),
  );
  const first = firstMove(look);
  const seenAt = first?.s ?? last;
  const attention = attentionOf(look);
  const bears =
    Math.hypot(seenAt.x - pilot.x, seenAt.y - pilot.y) > 2
      ? (((headingOf(seenAt) - bearing(seenAt.x - pilot.x, seenAt.y - pilot.y)) % 360) + 360) % 360
      : null;
  const promised = from.track.columns.mode[0] === 3 && from.track.columns.hold[0] === 1;
  const answers: Record<string, string | number | null> = {
    phase,
    attention,
    nose: attention === 'looked-away' ? 'unknown' : bears,
    first_move: first?.went ?? (look.window.every(handsOff) ? 'nothing' : null),
    correction_effect: correctionEffect(look),
    travel: travelOf(look),
    path_folded: turning ? folded(look) : null,
    height_trend: heightTrend(look),
    power_in_turn: turning ? (throttle < -0.15 ? 'low' : throttle > 0.2 ? 'rising' : 'steady') : null,
    speed_mps: Math.min(60, speed),
    descent_mps: sink > 0.3 ? Math.min(30, sink) : null,
    height_m: Math.max(0, last.z),
    distance_m: distance,
    yaw_burst: yawBurst(look),
    snap: snapOf(look),
    yaw_without_roll: turning
      ? look.within(2).some((s) => Math.abs(s.yaw) > 0.15 && Math.abs(s.roll) < 0.05) &&
        !look.within(2).some((s) => Math.abs(s.roll) > 0.1)
        ? 'yes'
        : 'no'
      : null,
    flight_mode: mode,
    hold_expected: promised ? 'yes' : 'no',
    pilot_relative: last.relative ? 'on' : 'off',
    mode_toggled: toggled ? 'pilot-relative' : lost ? null : 'none',
    position_hold:
      mode !== 'position-hold' ? 'off' : lost && !last.hold ? 'dropped' : lost ? 'dropped' : 'on',
    height_hold: mode === 'position-hold' || mode === 'height-hold' ? 'on' : 'off',
    drift_direction: driftOf(look),
    speed_setting: settingAt(last),
    ...obstacleOf(look),
    wind_mps: Math.hypot(windX, windY),
    wind_side: windSide(look),
    battery_pct: Math.round(last.battery * 100),
    auto_return: returned ? 'commanded' : cutOff && from.onLinkLoss !== 'hover' ? 'link-loss' : 'none',
    auto_phase: returned ? (takenOver ? 'cancelled' : 'on-the-way') : null,
    return_height_m: returned || cutOff ? (from.returnHeightM ?? null) : null,
    sticks_before: sticksBefore(look),
    motors_cut: 'no',
    gap_ratio: phase === 'gap' && gateWidth > 0 ? Math.max(1, gateWidth / from.facts.spanM) : null,
    link: cutOff ? 'control-lost' : 'steady',
    wildlife: 'none',
    precipitation: 'none',
    craft_check: 'passed',
    after_inspection: 'sound',
    calibration: 'done',
    view: 'direct-sight',
  };
  return Object.fromEntries(
    Object.entries(answers).filter(
      ([, value]) => value !== null && !(typeof value === 'number' && Number.isNaN(value)),
    ),
  ) as Evidence;
}
