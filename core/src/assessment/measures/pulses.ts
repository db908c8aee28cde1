import { MOVE, REST } from './over-samples';
import { type Measured, type Segment } from '../segment';
import { bearing } from '../../geometry/path';
import { turned } from '../../flight-log/flight-log';
import { headingOf } from '../../geometry/rotation';
import { measure } from './measure';

const TOWARD_HOME_DEG = 35;

function pulsesAstray(segment: Segment): Measured {
  const home = segment.stage.path.is === 'segment' ? segment.stage.path.to : ([0, 0, 0] as const);
  let [count, atS, pushing] = [0, segment.samples[0]?.t ?? 0, false];
  for (const s of segment.samples) {
    const now = s.pitch > MOVE;
    const away = Math.abs(turned(headingOf(s), bearing(home[0] - s.x, home[1] - s.y)));
    if (now && !pushing && away > TOWARD_HOME_DEG) {
      count += 1;
      atS = s.t;
    }
    if (now || s.pitch < REST) pushing = now;
  }
  return { value: count, atS };
}

/** Pushes ahead begun while the nose was not toward home. */
export const pulses = measure({
  unit: 'count',
  label: 'Pulses before home',
  missReason: 'wrong-first-move',
  of: pulsesAstray,
});
