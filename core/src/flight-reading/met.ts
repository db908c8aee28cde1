import { modeAt, settingAt, turned } from '../flight-log/flight-log';
import { bearing } from '../geometry/path';
import { headingOf } from '../geometry/rotation';
import { distanceTo, type Solid } from '../simulator/world';
import { deflection, pushOf } from '../assessment/segment';
import { speedOver } from '../assessment/referee';
import type { Finding, Reader } from './finding';
import { mean } from './lines';
import type { Trouble } from './trouble';

const STEP_M = 0.12;
const THIN_M = 0.1;
const GATE_BAR_M = 0.03;
const LONG_WIRE_M = 10;
const FLAT_M = 1;
const AHEAD_DEG = 50;

/** On which side of the craft a thing lies. */
function sideOf({ last }: Trouble, solid: Solid): 'ahead' | 'behind' | 'side' | 'above' | 'below' {
  const toward = (dx: number, dy: number, dz: number) =>
    distanceTo(solid, last.x + dx, last.y + dy, last.z + dz);
  const heading = (headingOf(last) * Math.PI) / 180;
  const [sx, cx] = [Math.sin(heading) * STEP_M, Math.cos(heading) * STEP_M];
  const sides = [
    ['ahead', toward(sx, cx, 0)],
    ['behind', toward(-sx, -cx, 0)],
    ['side', Math.min(toward(cx, -sx, 0), toward(-cx, sx, 0))],
    ['above', toward(0, 0, STEP_M)],
    ['below', toward(0, 0, -STEP_M)],
  ] as const;
  return sides.reduce((best, each) => (each[1] < best[1] ? each : best))[0];
}

/** It came from where the craft went before the blow, s. */
const BEFORE_S = [0.7, 0.2] as const;
/** Slower than this it went nowhere, m/s. */
const WENT_MPS = 0.5;

/** On which side a thing must have been that nobody knows: where it was flown to; null where it went nowhere. */
function sideByWay({ lines, last }: Trouble): 'ahead' | 'behind' | 'side' | 'above' | 'below' | null {
  const before = lines.between(last.t - BEFORE_S[0], last.t - BEFORE_S[1]);
  const [vx, vy, vz] = [
    mean(before.map((s) => s.vx)),
    mean(before.map((s) => s.vy)),
    mean(before.map((s) => s.vz)),
  ];
  const along = Math.hypot(vx, vy);
  if (!(Math.max(along, Math.abs(vz)) > WENT_MPS)) return null;
  if (Math.abs(vz) > along) return vz > 0 ? 'above' : 'below';
  const angle = Math.abs(turned(headingOf(before.at(-1)!), bearing(vx, vy)));
  if (angle < AHEAD_DEG) return 'ahead';
  return angle > 180 - AHEAD_DEG ? 'behind' : 'side';
}

/** What it is, as a debrief names it. */
function kindOf(solid: Solid, side: string): string {
  if (solid.solid === 'box') return solid.highM < FLAT_M && side === 'above' ? 'roof' : 'solid';
  if (solid.solid === 'pole') return solid.radiusM < THIN_M ? 'thin' : 'solid';
  if (solid.solid !== 'wire') return 'solid';
  const length = Math.hypot(solid.to[0] - solid.from[0], solid.to[1] - solid.from[1]);
  if (length > LONG_WIRE_M) return 'wire';
  // The bar of a gate stands out as a frame does.
  return solid.radiusM >= GATE_BAR_M ? 'solid' : 'thin';
}

/** State of the sensors on that side; null where the record does not tell. */
function sensorsOn({ from: { facts }, last, lines }: Trouble, side: string): string | null {
  if (!facts.sensorSides.includes(side as never)) return 'none';
  if (!lines.has('mode') || !lines.has('hold')) return null;
  const isOff =
    (settingAt(last) === 'fast' && !facts.sensorsInFast) ||
    modeAt(last) !== 'position-hold' ||
    last.hold === 0;
  return isOff ? 'off' : 'on';
}

/** What was met, from where it lies and what it is. */
export const metReader: Reader = (trouble) => {
  const { from, last, lines } = trouble;
  const found = (id: Finding['id'], value: string, sure = 0.9): Finding => ({ id, value, atS: last.t, sure });
  const { ended } = from;
  if (!ended) return from.simulated || from.cuts.length > 0 ? [found('obstacle_side', 'none')] : [];
  if (ended.how === 'ground') return [found('obstacle_side', 'below'), found('obstacle_kind', 'ground')];
  if (!lines.hasAttitude) return [];
  const side = ended.solid ? sideOf(trouble, ended.solid) : sideByWay(trouble);
  if (!side) return [];
  const braked =
    lines.hasSticks &&
    trouble.lately(2.5).some((s) => {
      const [px, py] = pushOf(s);
      return px * s.vx + py * s.vy < -0.15 * speedOver(s) && deflection(s) > 0.15;
    });
  const sensors = sensorsOn(trouble, side);
  return [
    found('obstacle_side', side),
    ...(ended.solid ? [found('obstacle_kind', kindOf(ended.solid, side))] : []),
    ...(braked ? [found('noticed', 'late', 0.7)] : []),
    ...(sensors ? [found('sensors', sensors, 0.8)] : []),
  ];
};
