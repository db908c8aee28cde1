import { lengthOf } from '../../geometry/path';
import { FORETOLD } from '../asked';
import { holdsPlace, type Measured, type Segment } from '../segment';
import { comparison } from './measure';
import { answerOf } from './said-right';

/** So near the end of its way it came on, m. */
const CAME_ON_M = 0.5;

/** What became of a way toward something; `by-hand` where the hold was off, and with it what the sensors do. */
function becameOf({ stage, offsets, samples }: Segment): (typeof FORETOLD)[number] | 'by-hand' | null {
  const last = offsets.at(-1);
  if (stage.until.is !== 'held-off' || !last) return null;
  if (!samples.every(holdsPlace)) return 'by-hand';
  return lengthOf(stage.path) - last.alongTrackM < CAME_ON_M ? 'comes-on' : 'stops-by-itself';
}

/** How many ways toward something went otherwise than was said just before each. */
export const foretoldWrong = comparison({
  unit: 'count',
  label: 'Foretold wrongly',
  missReason: 'off-the-mark',
  of: (segments) => {
    const wrong = segments.flatMap((segment, i): readonly Measured[] => {
      const [said, next] = [answerOf(segment), segments[i + 1]];
      const became = segment.stage.asks === 'will-it-stop' && next ? becameOf(next) : null;
      if (became === null || (said && FORETOLD[said.answer - 1] === became)) return [];
      return [{ value: 1, atS: next!.samples.at(-1)!.t }];
    });
    const asked = segments.some(({ stage }) => stage.asks === 'will-it-stop');
    if (!asked) return null;
    return { value: wrong.length, atS: wrong[0]?.atS ?? segments[0]?.samples[0]?.t ?? 0 };
  },
});
