import { turned } from '../flight-log/flight-log';
import { bearing } from '../geometry/path';
import { deflection } from '../assessment/segment';
import { cannot, type CannotTell, type Finding, type Reader } from './finding';
import { guesses } from './hands';
import { mean, pushedAlong } from './lines';
import type { Trouble } from './trouble';

const SLOW_MPS = 0.6;
/** Under this, busy hands are what moved it, m/s. */
const BUSY_WIND_MPS = 5;
const CALM_MPS = 1.5;

const angleBetween = (ax: number, ay: number, bx: number, by: number): number =>
  Math.abs(turned(bearing(ax, ay), bearing(bx, by)));

/** What of a way over the ground is not along the line being flown; all of it where there is none. */
function acrossTheLine(trouble: Trouble, x: number, y: number): readonly [number, number] {
  const path = trouble.cut?.stage.path;
  const [dx, dy] =
    path?.is === 'segment'
      ? [path.to[0] - path.from[0], path.to[1] - path.from[1]]
      : trouble.from.cuts.length === 0 && !trouble.before.hovered
        ? trouble.before.velocity
        : [0, 0];
  const length = Math.hypot(dx, dy);
  if (length < 1) return [x, y];
  const along = (x * dx + y * dy) / length;
  return [x - (along * dx) / length, y - (along * dy) / length];
}

/** Which way it slid, by itself: with the air, on its own momentum, or neither. */
function driftOf(trouble: Trouble): string | null {
  const { speed, lines, wind } = trouble;
  if (speed < SLOW_MPS) return null;
  if (lines.hasSticks && lines.hasAttitude && guesses(trouble) !== null) return 'neither';
  const lately = trouble.lately(1);
  const handsAreOff = lines.hasSticks && lately.every((s) => deflection(s) < 0.08);
  if (!wind) return lines.hasSticks && !handsAreOff ? 'neither' : null;
  const blows = Math.hypot(...wind);
  if (lines.hasSticks && blows < BUSY_WIND_MPS && mean(lately.map(deflection)) > 0.35) return 'neither';
  if (isWithAir(trouble, wind)) return 'downwind';
  return handsAreOff ? 'own-momentum' : 'neither';
}

/** It goes where the air goes, and nobody pushed it there. Along a line only what leaves the line counts. */
function isWithAir(trouble: Trouble, wind: readonly [number, number]): boolean {
  const { last, speed, before } = trouble;
  const blows = Math.hypot(...wind);
  const [vx, vy] = acrossTheLine(trouble, last.vx, last.vy);
  const [ax, ay] = acrossTheLine(trouble, wind[0], wind[1]);
  if (Math.hypot(ax, ay) <= 1 || Math.hypot(vx, vy) <= SLOW_MPS) return false;
  return (
    angleBetween(vx, vy, ax, ay) < 50 &&
    speed < Math.max(1.6 * blows, Math.hypot(...before.velocity) + blows) &&
    pushedWith(trouble, ax, ay) < 0.12
  );
}

/** Mean push of the sticks with the air, −1 to 1; none where sticks were not recorded. */
function pushedWith(trouble: Trouble, ax: number, ay: number): number {
  if (!trouble.lines.hasSticks || !trouble.lines.hasAttitude) return 0;
  return pushedAlong(trouble.lately(1), () => [ax, ay]);
}

function windSide({ wind, last, speed, cut, from, before }: Trouble): string | null {
  if (!wind) return null;
  if (Math.hypot(...wind) < CALM_MPS) return 'calm';
  const path = cut?.stage.path;
  const meant =
    path?.is === 'segment'
      ? ([path.to[0] - path.from[0], path.to[1] - path.from[1]] as const)
      : from.cuts.length === 0 && !before.hovered
        ? before.velocity
        : null;
  if (!meant && speed < SLOW_MPS) return null;
  const [dx, dy] = meant && Math.hypot(...meant) > 1 ? meant : [last.vx, last.vy];
  const angle = angleBetween(dx, dy, wind[0], wind[1]);
  return angle < 45 ? 'tail' : angle > 135 ? 'head' : 'cross';
}

export const airReader: Reader = (trouble) => {
  const { wind, last } = trouble;
  const found: (Finding | CannotTell)[] = [];
  const drift = driftOf(trouble);
  if (drift !== null)
    found.push({ id: 'drift_direction', value: drift, atS: last.t, sure: wind ? 0.8 : 0.5 });
  if (!wind) return [...found, ...cannot('no-wind', 'wind_mps', 'wind_side')];
  found.push({ id: 'wind_mps', value: Math.hypot(...wind), atS: last.t, sure: 0.9 });
  const side = windSide(trouble);
  if (side !== null) found.push({ id: 'wind_side', value: side, atS: last.t, sure: 0.8 });
  return found;
};
