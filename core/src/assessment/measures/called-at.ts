import { speedOver } from '../referee';
import { lengthOf } from '../../geometry/path';
import { measure } from './measure';

/** How far along it was when the stick first came back, as a share of the way. */
export const calledAt = measure({
  unit: '%',
  label: 'Turned back at, of the way',
  missReason: 'too-late',
  of: (segment) => {
    const going = segment.samples.findIndex((s) => speedOver(s) > 1.5);
    if (going < 0) return null;
    let fastest = 0;
    // With position hold the stick shows it; by hand only the craft does, since the stick also leans against the wind.
    const i = segment.samples.findIndex((s, at) => {
      fastest = Math.max(fastest, speedOver(s));
      return at > going && (s.mode === 3 ? s.pitch < 0.05 : speedOver(s) < 0.7 * fastest);
    });
    if (i < 0) return null;
    return {
      value: segment.offsets[i]!.alongTrackM / lengthOf(segment.stage.path),
      atS: segment.samples[i]!.t,
    };
  },
});
