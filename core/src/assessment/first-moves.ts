import type { Sample } from '../flight-log/flight-log';
import { MOVE, REST, wantedPush } from './measures/over-samples';
import { pushOf, type Segment } from './segment';

/** A first move after hands at rest, and how it went against what was plainly wanted there. */
export interface FirstMove {
  readonly s: Sample;
  readonly went: 'as-meant' | 'opposite' | 'sideways';
}

/** It was plain what to do: the way wanted, m/s. Ours. */
const PLAIN_MPS = 0.35;
/** Angles to the way wanted, degrees: up to here as meant, from there on the opposite way. Ours. */
const AS_MEANT_DEG = 60;
const OPPOSITE_DEG = 105;
const DEG = 180 / Math.PI;

/** What was pushed since sticks were held so: neither a stick left where it was nor a lean kept up is a move. */
function movedBy(s: Sample, held: Sample | undefined): readonly [number, number] {
  const [ox, oy] = pushOf(s);
  if (!held) return [ox, oy];
  const [hx, hy] = pushOf(held);
  const byLean = [ox - hx, oy - hy] as const;
  const byStick = pushOf({ ...s, pitch: s.pitch - held.pitch, roll: s.roll - held.roll });
  return Math.hypot(...byStick) < Math.hypot(...byLean) ? byStick : byLean;
}

/**
 * First moves of a part of a flight, where its way says where to go. Of a short way only the first is one: the brake at
 * its end is another thing.
 */
export function firstMovesIn(segment: Segment): readonly FirstMove[] {
  const moves: FirstMove[] = [];
  const isWay = segment.stage.path.is === 'segment';
  // A lean that is held against the wind is no move.
  const held = isWay ? segment.samples[0] : undefined;
  let rested = true;
  for (const s of segment.samples) {
    const [px, py] = movedBy(s, held);
    const push = Math.hypot(px, py);
    if (push < REST) {
      rested = true;
      continue;
    }
    if (!rested || push < MOVE) continue;
    rested = false;
    const [wx, wy] = wantedPush(segment, s);
    const wanted = Math.hypot(wx, wy);
    if (wanted > PLAIN_MPS) {
      const angle = Math.acos(Math.max(-1, Math.min(1, (px * wx + py * wy) / (push * wanted)))) * DEG;
      moves.push({
        s,
        went: angle < AS_MEANT_DEG ? 'as-meant' : angle > OPPOSITE_DEG ? 'opposite' : 'sideways',
      });
    }
    if (isWay) break;
  }
  return moves;
}
