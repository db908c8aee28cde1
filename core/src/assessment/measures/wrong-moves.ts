import { firstMovesIn } from '../first-moves';
import type { Measured, Segment } from '../segment';
import { measure } from './measure';

function wrongFirstMoves(segment: Segment): Measured {
  const wrong = firstMovesIn(segment).filter(({ went }) => went === 'opposite');
  return { value: wrong.length, atS: wrong[0]?.s.t ?? segment.samples[0]?.t ?? 0 };
}

/** First moves after hands at rest that push plainly the wrong way. */
export const wrongMoves = measure({
  unit: 'count',
  label: 'Wrong first moves',
  missReason: 'wrong-first-move',
  of: wrongFirstMoves,
});
