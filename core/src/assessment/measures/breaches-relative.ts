import { sinceStart } from './over-samples';
import { bearing } from '../../geometry/path';
import { turned } from '../../flight-log/flight-log';
import { headingOf } from '../../geometry/rotation';
import { measure } from './measure';

const TAIL_ON_DEG = 25;

/** Pilot-relative mode switched while the tail was not toward the pilot. */
export const breachesRelative = measure({
  unit: 'count',
  label: 'Switched with the tail not to you',
  missReason: 'nose',
  of: (segment) => {
    let [count, atS] = [0, sinceStart(segment)];
    segment.samples.forEach((s, i) => {
      const switched = i > 0 && s.relative !== segment.samples[i - 1]!.relative;
      if (switched && Math.abs(turned(headingOf(s), bearing(s.x, s.y))) > TAIL_ON_DEG) {
        count += 1;
        atS = s.t;
      }
    });
    return { value: count, atS };
  },
});
