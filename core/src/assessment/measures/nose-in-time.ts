import { longest, MOVING_MPS } from './over-samples';
import { speedOver } from '../referee';
import { pilotAt } from '../walk';
import { bearing } from '../../geometry/path';
import { turned } from '../../flight-log/flight-log';
import { headingOf } from '../../geometry/rotation';
import { measure } from './measure';

const NOSE_IN_DEG = 40;

/** Longest time that it moves with the nose toward the pilot. */
export const noseInTime = measure({
  unit: 's',
  label: 'Time nose-in',
  missReason: 'nose',
  of: longest((segment, _, s) => {
    const pilot = pilotAt(segment.course, s.t - segment.startS);
    const toPilot = bearing(pilot.x - s.x, pilot.y - s.y);
    return speedOver(s) > MOVING_MPS && Math.abs(turned(headingOf(s), toPilot)) < NOSE_IN_DEG;
  }),
});
