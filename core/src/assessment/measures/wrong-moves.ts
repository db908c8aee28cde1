import { wantedPush, MOVE, REST } from './over-samples';
import { pushOf, type Measured, type Segment } from '../segment';
import { measure } from './measure';

/** A move is called wrong only where it was plain what to do: the way wanted, m/s. Ours. */
const PLAIN_MPS = 0.8;
const PLAIN_AT_START_MPS = 0.4;

function wrongFirstMoves(segment: Segment): Measured {
  let [count, atS, rested] = [0, segment.samples[0]?.t ?? 0, true];
  const moves = segment.stage.path.is === 'segment';
  // A lean that is held against the wind is no move.
  const [heldX, heldY] = moves && segment.samples[0] ? pushOf(segment.samples[0]) : [0, 0];
  for (const s of segment.samples) {
    const [ox, oy] = pushOf(s);
    const [px, py] = [ox - heldX, oy - heldY];
    const push = Math.hypot(px, py);
    if (push < REST) {
      rested = true;
      continue;
    }
    if (!rested || push < MOVE) continue;
    rested = false;
    const [wx, wy] = wantedPush(segment, s);
    const wanted = Math.hypot(wx, wy);
    if (wanted > (moves ? PLAIN_AT_START_MPS : PLAIN_MPS) && (px * wx + py * wy) / (push * wanted) < -0.25) {
      count += 1;
      if (count === 1) atS = s.t;
    }
    // Of a short way only the first move is asked for: the brake at its end is another thing.
    if (moves) break;
  }
  return { value: count, atS };
}

/** First moves after hands at rest that push plainly the wrong way. */
export const wrongMoves = measure({
  unit: 'count',
  label: 'Wrong first moves',
  missReason: 'wrong-first-move',
  of: wrongFirstMoves,
});
