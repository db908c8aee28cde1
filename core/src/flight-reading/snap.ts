import { type Sample, turned } from '../flight-log/flight-log';
import { headingOf, leanOf } from '../geometry/rotation';
import { at, cannot, type Reader } from './finding';
import { thinned } from './lines';
import type { Trouble } from './trouble';

const SNAP_DEG = 40;
const SNAP_S = 0.4;
/** About a second. */
const BURST_S = 1.3;

/** How far the nose was swung within about a second, anywhere in the trouble. */
function yawBurst(looked: readonly Sample[]): { readonly deg: number; readonly s: Sample } {
  let most = { deg: 0, s: looked[0]! };
  for (let i = 0; i < looked.length; i += 1) {
    let swung = 0;
    for (let j = i + 1; j < looked.length && looked[j]!.t - looked[i]!.t <= BURST_S; j += 1) {
      swung += turned(headingOf(looked[j - 1]!), headingOf(looked[j]!));
      if (Math.abs(swung) > most.deg) most = { deg: Math.abs(swung), s: looked[i]! };
    }
  }
  return most;
}

/** How far the attitude was thrown within a moment, and how it ended. */
function snapOf(trouble: Trouble): { readonly value: string; readonly s: Sample } {
  const lines = thinned(trouble.window);
  const over = lines.find((s) => leanOf(s) > 100);
  if (over) return { value: 'flip', s: over };
  for (let i = 0; i < lines.length; i += 1)
    for (let j = i + 1; j < lines.length && lines[j]!.t - lines[i]!.t < SNAP_S; j += 1)
      if (leanOf(lines[j]!) - leanOf(lines[i]!) > SNAP_DEG) return { value: 'one-side', s: lines[i]! };
  const wash = trouble.deepest;
  return wash.depth > 0.5 ? { value: 'wobble', s: wash.s } : { value: 'none', s: trouble.last };
}

export const snapReader: Reader = (trouble) => {
  const { lines } = trouble;
  if (!lines.isFast) return cannot('too-few-lines', 'yaw_burst', 'snap');
  if (!lines.hasAttitude) return cannot('no-attitude', 'yaw_burst', 'snap');
  const { deg, s } = yawBurst(thinned(trouble.window));
  const snap = snapOf(trouble);
  return [
    at('yaw_burst', deg > 80 ? 'half-or-more' : deg > 45 ? 'quarter' : 'none', s),
    at('snap', snap.value, snap.s),
  ];
};
