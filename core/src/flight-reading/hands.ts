import { turned, type Sample } from '../flight-log/flight-log';
import { bearing } from '../geometry/path';
import { headingOf } from '../geometry/rotation';
import { firstMovesIn, type FirstMove } from '../assessment/first-moves';
import { reversals } from '../assessment/measures/reversals';
import { deflection, handsOff, pushOf, type Segment } from '../assessment/segment';
import type { ControlAids } from '../assessment/exercise';
import { cannot, type Finding, type Reader } from './finding';
import { mean, median, placeIsHeld } from './lines';
import type { Trouble } from './trouble';

type Vector = readonly [number, number];

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

/** A push of the sticks that is plain, and a way wanted that is plain, m/s. */
const PLAIN_PUSH = 0.12;
const PLAIN_MPS = 0.5;
/** What is held against the wind is taken from so long before, s. */
const HELD_S = 6;
/** Angles to the way wanted, degrees: up to here as meant, from there on the opposite way. */
const AS_MEANT_DEG = 60;
const OPPOSITE_DEG = 120;
/** Reversals a minute from which hands are busy, and how far they go then. */
const BUSY_A_MINUTE = 45;
const BUSY_STICK = 0.3;
/** Outside a drill a hand that answers gusts is not busy yet. */
const BUSY_TRAVEL = 0.2;
/** A nose that is swung so far, degrees, is meant to go another way: no former way is wanted any more. */
const SWUNG_DEG = 25;
/** So many pushes, spread so far round against the way wanted, answer nothing: orientation was guessed at. */
const FEWEST_PUSHES = 3;
const NO_RELATION = 0.55;
const FAR_M = 40;

/** The way that would have put it right at a line, m/s: back to where it hovered, or to the speed it had. */
export function wantedAt({ before }: Trouble, { x, y, vx, vy }: Sample): Vector {
  const { hovered, place, velocity } = before;
  return hovered
    ? [0.7 * (place[0] - x) - 1.1 * vx, 0.7 * (place[1] - y) - 1.1 * vy]
    : [velocity[0] - vx, velocity[1] - vy];
}

/** The first plain push of a part, and how it went against what was wanted there. */
function firstMoveIn(cut: Segment, untilS: number): FirstMove | null {
  // Only where the path says where to go.
  if (cut.stage.path.is === 'arc' || WITHOUT_A_WAY.has(cut.stage.hands)) return null;
  return firstMovesIn(cut).find(({ s }) => s.t <= untilS) ?? null;
}

/** In a drill: the first that did not go as meant; else that of the part that went wrong. */
function firstMoveOfDrill({ from, last, cut }: Trouble): FirstMove | null {
  const moves = from.cuts
    .filter((each) => (each.samples[0]?.t ?? Infinity) <= last.t)
    .map((each) => firstMoveIn(each, last.t));
  return (
    moves.find((each) => each !== null && each.went !== 'as-meant') ?? (cut ? firstMoveIn(cut, last.t) : null)
  );
}

/** Pushes of the sticks after trouble began, less what was held against the wind before. */
function pushesAfter(trouble: Trouble): readonly { readonly s: Sample; readonly push: Vector }[] {
  const { onset, lines } = trouble;
  const since = Math.max(onset.atS - HELD_S, onset.before[0]?.t ?? -Infinity);
  const held = lines.between(since, onset.atS - 0.1).map(pushOf);
  const [hx, hy] = held.length > 0 ? [median(held.map(([x]) => x)), median(held.map(([, y]) => y))] : [0, 0];
  return lines
    .between(onset.atS, trouble.last.t)
    .map((s) => {
      const [px, py] = pushOf(s);
      return { s, push: [px - hx, py - hy] as const };
    })
    .filter(({ push }) => Math.hypot(...push) > PLAIN_PUSH);
}

/** From this speed on it goes somewhere, m/s. */
const GOES_MPS = 1;

/**
 * A push of who flies along: to stop is always meant, whether it answers something or not, and place held a push the way
 * it goes is flying and answers nothing.
 * @returns degrees off what was meant; null: no answer; undefined: it does not go along or against its way
 */
function alongItsWay({ before, from }: Trouble, s: Sample, push: Vector): number | null | undefined {
  if (before.hovered || Math.hypot(s.vx, s.vy) < GOES_MPS) return undefined;
  const off = Math.abs(turned(bearing(s.vx, s.vy), bearing(...push)));
  if (off > OPPOSITE_DEG) return from.ended?.how === 'solid' ? 0 : null;
  return off < AS_MEANT_DEG && placeIsHeld(s) ? null : undefined;
}

/** How hands answered, over all of the trouble: the angle between push and way wanted, line by line. */
function answersGiven(trouble: Trouble) {
  return pushesAfter(trouble).flatMap(({ s, push }) => {
    const along = alongItsWay(trouble, s, push);
    if (along !== undefined) return along === null ? [] : [{ s, deg: along }];
    const wanted = wantedAt(trouble, s);
    return Math.hypot(...wanted) > PLAIN_MPS
      ? [{ s, deg: turned(bearing(...wanted), bearing(...push)) }]
      : [];
  });
}

/** Mean direction of the answers, and how much they agree, 0 (none) to 1. */
function agreement(degs: readonly number[]): { readonly meanDeg: number; readonly length: number } {
  const rad = degs.map((deg) => (deg * Math.PI) / 180);
  const [c, s] = [mean(rad.map(Math.cos)), mean(rad.map(Math.sin))];
  return { meanDeg: (Math.atan2(s, c) * 180) / Math.PI, length: Math.hypot(c, s) };
}

/** Whether the nose was swung to somewhere else after trouble began. */
function isSwung({ window, onset }: Trouble): boolean {
  const after = window.filter(({ t }) => t >= onset.atS);
  const from = after[0];
  return from !== undefined && after.some((s) => Math.abs(turned(headingOf(from), headingOf(s))) > SWUNG_DEG);
}

/**
 * The first correction after trouble began. Where the sticks went is read over the first second of it: one line is
 * noise.
 */
function correctionOf(trouble: Trouble): (FirstMove & { readonly sure: number }) | null {
  if (trouble.from.cuts.length > 0) {
    const move = firstMoveOfDrill(trouble);
    return move && { ...move, sure: 0.9 };
  }
  if (!trouble.before.hovered && isSwung(trouble)) return null;
  const given = answersGiven(trouble);
  const first = given[0];
  if (!first) return null;
  const { meanDeg, length } = agreement(given.filter(({ s }) => s.t - first.s.t < 1).map(({ deg }) => deg));
  const off = Math.abs(meanDeg);
  const went = off < AS_MEANT_DEG ? 'as-meant' : off > OPPOSITE_DEG ? 'opposite' : 'sideways';
  return { s: first.s, went, sure: length };
}

/** Bearing of the nose seen from the pilot, degrees; null right over the pilot, or where nobody knows where that is. */
function noseSeen({ pilot }: Trouble, s: Sample): number | null {
  if (!pilot) return null;
  const [dx, dy] = [s.x - pilot.x, s.y - pilot.y];
  return Math.hypot(dx, dy) > 2 ? (((headingOf(s) - bearing(dx, dy)) % 360) + 360) % 360 : null;
}

/** Where eyes and mind were, as far as the drill itself saw to it. */
function attentionOf({ from: { cuts }, cut }: Trouble): string | null {
  if (!cut) return null;
  if (cut.stage.hands === 'answer') return 'talked-to';
  return cut.stage.blind || cuts[cuts.indexOf(cut) - 1]?.stage.blind ? 'looked-away' : null;
}

/** Pushes that answer nothing, one this way, one that: whoever gives them does not know where the nose points. */
export function guesses(trouble: Trouble): number | null {
  const { pilot, last, from } = trouble;
  if (!pilot || from.cuts.length > 0 || Math.hypot(last.x - pilot.x, last.y - pilot.y) < FAR_M) return null;
  const pulses: { readonly way: number; readonly answer: number }[] = [];
  let lastS = -Infinity;
  for (const { s, push } of pushesAfter(trouble)) {
    const way = bearing(...push);
    const isNew = s.t - lastS > 0.3 || Math.abs(turned(pulses.at(-1)?.way ?? way + 180, way)) > 50;
    if (isNew) pulses.push({ way, answer: turned(bearing(...wantedAt(trouble, s)), way) });
    lastS = s.t;
  }
  if (pulses.length < FEWEST_PUSHES) return null;
  const least = Math.min(
    agreement(pulses.map(({ way }) => way)).length,
    agreement(pulses.map(({ answer }) => answer)).length,
  );
  return least < NO_RELATION ? 1 - least / 2 : null;
}

export const correctionReader: Reader = (trouble) => {
  const { lines, last } = trouble;
  if (!lines.isFast) return cannot('too-few-lines', 'first_move', 'nose');
  if (!lines.hasAttitude) return cannot('no-attitude', 'first_move', 'nose');
  const attention = attentionOf(trouble);
  const found: Finding[] = attention ? [{ id: 'attention', value: attention, atS: last.t, sure: 1 }] : [];
  const first = lines.hasSticks ? correctionOf(trouble) : null;
  const seenAt = first?.s ?? lines.between(trouble.onset.atS, last.t)[0] ?? last;
  const guessed = lines.hasSticks ? guesses(trouble) : null;
  const nose = attention === 'looked-away' || guessed !== null ? 'unknown' : noseSeen(trouble, seenAt);
  if (nose !== null) found.push({ id: 'nose', value: nose, atS: seenAt.t, sure: 0.9 });
  if (!lines.hasSticks) return [...found, ...cannot('no-sticks', 'first_move', 'sticks_before')];
  return [...found, ...moveRead(trouble, first, guessed)];
};

/** What the first move says: that it was a guess, or which way it went. */
function moveRead(
  { onset, window, last }: Trouble,
  first: ReturnType<typeof correctionOf>,
  guessed: number | null,
): readonly Finding[] {
  if (guessed !== null) return [{ id: 'nose_believed', value: 'unsure', atS: onset.atS, sure: guessed }];
  if (first) return [{ id: 'first_move', value: first.went, atS: first.s.t, sure: first.sure }];
  return window.every(handsOff) ? [{ id: 'first_move', value: 'nothing', atS: last.t, sure: 0.8 }] : [];
}

/** How far it is from where it should be, m: off its path in a drill, off its place or its way else. */
function offAt(trouble: Trouble, s: Sample): number {
  const cut = trouble.cut;
  if (cut) {
    const { path } = cut.stage;
    return path.is === 'point'
      ? Math.hypot(s.x - path.at[0], s.y - path.at[1])
      : (cut.offsets[cut.samples.findIndex(({ t }) => t === s.t)]?.crossTrackM ?? 0);
  }
  const { hovered, place, velocity } = trouble.before;
  const [dx, dy] = [s.x - place[0], s.y - place[1]];
  if (hovered) return Math.hypot(dx, dy);
  const size = Math.hypot(...velocity);
  return size === 0 ? 0 : Math.abs(dx * velocity[1] - dy * velocity[0]) / size;
}

export const effectReader: Reader = (trouble) => {
  const { lines, window, cut, last } = trouble;
  if (!lines.isFast) return cannot('too-few-lines', 'correction_effect');
  const found = (value: string, sure: number): readonly Finding[] => [
    { id: 'correction_effect', value, atS: last.t, sure },
  ];
  if (lines.hasSticks) {
    if (window.every((s) => deflection(s) < 0.08)) return found('none', 0.9);
    const least = cut ? undefined : BUSY_TRAVEL;
    const isBusy =
      reversals({ samples: window }, least) > BUSY_A_MINUTE && window.some((s) => deflection(s) > BUSY_STICK);
    if (isBusy && guesses(trouble) === null) return found('oscillated', 0.8);
  }
  if (trouble.from.cuts.length > 0 && !cut) return [];
  const inCut = cut ? window.filter(({ t }) => t >= cut.samples[0]!.t) : window;
  if (inCut.length < 6) return [];
  const share = Math.max(2, Math.min(20, Math.floor(inCut.length / 4)));
  const [early, late] = [
    mean(inCut.slice(0, share).map((s) => offAt(trouble, s))),
    mean(inCut.slice(-share).map((s) => offAt(trouble, s))),
  ];
  if (late > early + 0.7) return found('grew', 0.7);
  return late < early - 0.5 ? found('shrank', 0.7) : [];
};

export const sticksReader: Reader = (trouble) => {
  const { lines, cut, window, last } = trouble;
  if (!lines.hasSticks) return cannot('no-sticks', 'sticks_before');
  const lately = trouble.lately(2);
  const found = (value: string): readonly Finding[] => [
    { id: 'sticks_before', value, atS: last.t, sure: 0.8 },
  ];
  const axis = cut?.stage.axis;
  const others = (['throttle', 'yaw', 'pitch', 'roll'] as const).filter((each) => each !== axis);
  if (axis && window.some((s) => others.some((each) => Math.abs(s[each]) > 0.2))) return found('wrong-stick');
  if (lately.every(handsOff)) return found('released');
  const most = Math.max(...lately.map((s) => Math.max(deflection(s), Math.abs(s.yaw))));
  return found(most > 0.5 ? 'large' : 'small');
};
