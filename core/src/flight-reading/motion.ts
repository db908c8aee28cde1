import { type Sample, turned } from '../flight-log/flight-log';
import { distanceTo } from '../simulator/world';
import { bearing, type Path } from '../geometry/path';
import { headingOf, rotationOf } from '../geometry/rotation';
import { G_MPS2 } from '../reconstruct/constants';
import { speedOver } from '../assessment/referee';
import { at, cannot, type CannotTell, type Finding, type Reader } from './finding';
import { mean, pushedAlong } from './lines';
import { IN_WASH, type Trouble } from './trouble';

const SLOW_MPS = 0.6;
const SINKS_MPS = 0.8;
const TURNING_DEG_PER_S = 25;
const NEAR_GATE_M = 3;
/** A turn that is one, degrees; fast enough to need a bank, m/s. */
const TURN_DEG = 35;
const NEEDS_BANK_MPS = 1.5;
/** Less than this share of the bank that the turn needs is none. */
const UNBANKED_SHARE = 0.35;
const LEAST_BANK_DEG = 5;
/** Sticks that push it that way, mean of the last seconds. */
const MEANT_PUSH = 0.08;
const DEG = 180 / Math.PI;

/** Turn of the nose lately, degrees a second, without its sign. */
function turnRate(trouble: Trouble): number {
  const lines = trouble.lately(1.5);
  const [first, last] = [lines[0]!, trouble.last];
  if (last.t - first.t < 0.3) return 0;
  return Math.abs(turned(headingOf(first), headingOf(last))) / (last.t - first.t);
}

/** How it moved: where it was deepest in its own wash, else at the end. */
function travelOf(trouble: Trouble): { readonly value: string; readonly s: Sample } {
  const wash = trouble.lines.hasAttitude ? trouble.deepest : { s: trouble.last, depth: 0 };
  const s = wash.depth > IN_WASH && trouble.from.cuts.length === 0 ? wash.s : trouble.last;
  const lines = trouble.window.filter(({ t }) => t > s.t - 0.5 && t <= s.t);
  const [vx, vy] = [mean(lines.map((each) => each.vx)), mean(lines.map((each) => each.vy))];
  const speed = s === trouble.last ? trouble.speed : Math.hypot(vx, vy);
  const sink = s === trouble.last ? trouble.sink : -mean(lines.map(({ vz }) => vz));
  const turn = swungIn(trouble);
  const vertical = verticalTravel(speed, sink, turn !== null || isTurning(trouble));
  if (vertical) return { value: vertical, s };
  if (!trouble.lines.hasAttitude) return { value: '', s };
  // A nose that is swung out of the way makes no other way of it.
  if (turn) return { value: wayOf(turn.from, turn.from.vx, turn.from.vy), s: turn.from };
  const value = wayOf(s, vx, vy);
  return { value: value === 'forward' || isMeant(trouble, vx, vy) ? value : '', s };
}

/** Up, down or not at all; null where it goes along. */
function verticalTravel(speed: number, sink: number, turning: boolean): string | null {
  if (sink < -0.7 && speed < 2) return 'climbing';
  if (sink > SINKS_MPS && speed < 0.6 * sink) return 'straight-down';
  if (sink > SINKS_MPS) return turning ? 'descending-turn' : 'slant-down';
  return speed < SLOW_MPS ? 'stationary' : null;
}

/** The turn of the nose in it, outside a drill, where there was one. */
function swungIn(trouble: Trouble): Turned | null {
  if (!trouble.lines.hasAttitude || trouble.from.cuts.length > 0) return null;
  const turn = turnIn(trouble);
  return Math.abs(turn.deg) > TURN_DEG ? turn : null;
}

const isTurning = (trouble: Trouble): boolean =>
  trouble.lines.hasAttitude && turnRate(trouble) > TURNING_DEG_PER_S;

function wayOf(s: Sample, vx: number, vy: number): string {
  const angle = Math.abs(turned(headingOf(s), bearing(vx, vy)));
  return angle < 50 ? 'forward' : angle > 130 ? 'backward' : 'sideways';
}

/**
 * Whether it was flown that way: a slide is no way. Where sticks were not recorded only what it met tells; a drill says
 * itself where it goes.
 */
function isMeant(trouble: Trouble, vx: number, vy: number): boolean {
  const { lines, from } = trouble;
  if (from.cuts.length > 0) return true;
  if (!lines.hasSticks) return from.ended?.how === 'solid';
  return pushedAlong(trouble.lately(3), () => [vx, vy]) > MEANT_PUSH;
}

export const travelReader: Reader = (trouble) => {
  const { value, s } = travelOf(trouble);
  if (value !== '') return [at('travel', value, s)];
  return trouble.lines.hasAttitude ? [] : cannot('no-attitude', 'travel');
};

/** Numbers at the moment it went wrong. */
export const figuresReader: Reader = (trouble) => {
  const { last, speed, pilot, lines, from } = trouble;
  const sinks = lines.hasAttitude && trouble.from.cuts.length === 0 ? trouble.deepest : { s: last, depth: 0 };
  const sink = sinks.depth > IN_WASH ? Math.max(trouble.sink, -sinks.s.vz) : trouble.sink;
  return [
    at('speed_mps', Math.min(60, speed), last),
    ...(sink > 0.3 ? [at('descent_mps', Math.min(30, sink), sinks.s)] : []),
    ...(from.notKnown?.includes('ground')
      ? cannot('no-take-off', 'height_m')
      : [at('height_m', Math.max(0, last.z), last)]),
    ...(pilot
      ? [at('distance_m', Math.hypot(last.x - pilot.x, last.y - pilot.y), last)]
      : cannot('no-take-off', 'distance_m')),
  ];
};

function phaseInDrill(trouble: Trouble): string | null {
  const { cut, last, from, sink } = trouble;
  const begin = cut?.course.stages[0]?.path;
  if (last.z < 1 && begin?.is === 'segment' && begin.from[2] === 0) return 'takeoff';
  if (cut?.stage.until.is === 'landed') return 'landing';
  if (from.track.events.some((each) => each.is === 'return')) return 'return';
  return isAtGate(trouble) ? 'gap' : phaseOnPath(cut?.stage.path, sink);
}

function phaseOnPath(path: Path | undefined, sink: number): string | null {
  if (path?.is === 'arc') return 'turn';
  if (sink > SINKS_MPS && path?.is === 'segment' && path.to[2] < path.from[2] - 1) return 'descent';
  return path?.is === 'point' ? 'hover' : null;
}

const isAtGate = ({ from, last }: Trouble): boolean =>
  from.solids.some(
    (solid) =>
      solid.solid === 'wire' &&
      distanceTo(solid, last.x, last.y, last.z) < NEAR_GATE_M &&
      Math.abs(solid.from[0] - solid.to[0]) < 4,
  );

function phaseOf(trouble: Trouble): string {
  const { speed, from, before } = trouble;
  const known = phaseInDrill(trouble);
  if (known) return known;
  if (isTurning(trouble) && speed > 1) return 'turn';
  if (from.cuts.length === 0) {
    if (travelOf(trouble).value === 'straight-down') return 'descent';
    return before.hovered ? 'hover' : 'cruise';
  }
  return speed < SLOW_MPS ? 'hover' : 'cruise';
}

export const phaseReader: Reader = (trouble) => {
  const found = [at('phase', phaseOf(trouble), trouble.last, 0.7)];
  const wide = trouble.cut
    ? trouble.from.solids.flatMap((solid) =>
        solid.solid === 'wire' &&
        distanceTo(solid, trouble.last.x, trouble.last.y, trouble.last.z) < NEAR_GATE_M
          ? [Math.hypot(solid.to[0] - solid.from[0], solid.to[1] - solid.from[1])]
          : [],
      )
    : [];
  const width = Math.max(0, ...wide);
  return found[0]!.value === 'gap' && width > 0
    ? [...found, at('gap_ratio', Math.max(1, width / trouble.from.facts.spanM), trouble.last)]
    : found;
};

/** Bank to the right, degrees: right side down. */
function bankOf(s: Sample): number {
  const r = rotationOf(s);
  return Math.atan2(r[7]!, r[8]!) * DEG;
}

interface Turned {
  readonly deg: number;
  readonly from: Sample;
  readonly lines: readonly Sample[];
}
/** Slower than this the nose only sways, degrees a second. */
const SWAYS_DEG_PER_S = 6;

/** The turn of the nose in the trouble, from where it began to swing, with the lines of it. */
function turnIn({ window }: Trouble): Turned {
  let [deg, from] = [0, 0];
  let best = { deg: 0, from: 0, to: 0 };
  for (let i = 1; i < window.length; i += 1) {
    const swung = turned(headingOf(window[i - 1]!), headingOf(window[i]!));
    const swings = Math.abs(swung) / (window[i]!.t - window[i - 1]!.t) > SWAYS_DEG_PER_S;
    if (swings && Math.sign(swung) !== Math.sign(deg)) [deg, from] = [0, i - 1];
    deg += swung;
    if (Math.abs(deg) > Math.abs(best.deg)) best = { deg, from, to: i };
  }
  return { deg: best.deg, from: window[best.from]!, lines: window.slice(best.from, best.to + 1) };
}

/** Whether the turn had no bank: by the roll stick where it was recorded, else by the lean that it needed. */
function unbanked({ lines: recorded }: Trouble, { deg, lines }: Turned): boolean | null {
  const fast = lines.filter((s) => speedOver(s) > NEEDS_BANK_MPS);
  if (fast.length < 3) return null;
  const way = Math.sign(deg);
  if (recorded.hasSticks) {
    const yawed = mean(fast.map(({ yaw }) => way * yaw));
    const rolled = mean(fast.map(({ roll }) => way * roll));
    return yawed > 0.15 && rolled < 0.05;
  }
  const lasted = fast.at(-1)!.t - fast[0]!.t;
  if (lasted <= 0) return null;
  const rate = Math.abs(deg) / DEG / lasted;
  const needed = Math.atan((mean(fast.map(speedOver)) * rate) / G_MPS2) * DEG;
  return needed < LEAST_BANK_DEG ? null : mean(fast.map((s) => way * bankOf(s))) < UNBANKED_SHARE * needed;
}

function folded({ window }: Trouble): boolean | null {
  const [first, last] = [window[0]!, window.at(-1)!];
  if (speedOver(first) < 1) return null;
  const back = window.some(
    (s) => speedOver(s) > 0.8 && Math.abs(turned(bearing(s.vx, s.vy), bearing(first.vx, first.vy))) > 120,
  );
  return back && Math.hypot(last.x - first.x, last.y - first.y) < 6;
}

export const turnReader: Reader = (trouble) => {
  const { lines } = trouble;
  const ids = ['path_folded', 'power_in_turn', 'yaw_without_roll'] as const;
  if (!lines.isFast) return cannot('too-few-lines', ...ids);
  if (!lines.hasAttitude) return cannot('no-attitude', ...ids);
  const turn = turnIn(trouble);
  const isTurn =
    trouble.from.cuts.length > 0
      ? phaseOf(trouble) === 'turn' || turnRate(trouble) > TURNING_DEG_PER_S
      : Math.abs(turn.deg) > TURN_DEG;
  if (!isTurn) return [];
  const fold = folded(trouble);
  const bank = unbanked(
    trouble,
    Math.abs(turn.deg) > TURN_DEG ? turn : { ...turn, lines: trouble.lately(2) },
  );
  const found: (Finding | CannotTell)[] = [];
  if (fold !== null) found.push(at('path_folded', fold ? 'yes' : 'no', trouble.last, 0.7));
  if (bank !== null) found.push(at('yaw_without_roll', bank ? 'yes' : 'no', turn.from));
  if (!lines.hasSticks) return [...found, ...cannot('no-sticks', 'power_in_turn')];
  const throttle = mean(trouble.lately(1.5).map((s) => s.throttle));
  const power = throttle < -0.15 ? 'low' : throttle > 0.2 ? 'rising' : 'steady';
  return [...found, at('power_in_turn', power, trouble.last, 0.7)];
};

export const heightReader: Reader = (trouble) => {
  const { cut, from } = trouble;
  if (from.cuts.length > 0 && !cut?.offsets.length) return [];
  const lines = trouble.lately(2);
  const change = (lines.at(-1)?.z ?? 0) - (lines[0]?.z ?? 0);
  const path = cut?.stage.path;
  const meant = path?.is === 'segment' ? (path.to[2] - path.from[2]) * 0.2 : meantClimb(trouble);
  if (change - Math.min(0, meant) < -0.6) return [at('height_trend', 'falling', trouble.last, 0.7)];
  return [at('height_trend', change - Math.max(0, meant) > 0.6 ? 'rising' : 'steady', trouble.last, 0.7)];
};

/** Climb that the throttle asks for over two seconds where height is held, m, roughly. */
function meantClimb({ lines, last }: Trouble): number {
  if (!lines.hasSticks || !(last.mode >= 2)) return 0;
  return 4 * mean(lines.between(last.t - 2, last.t).map(({ throttle }) => throttle));
}
