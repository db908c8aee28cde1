import { atEnd } from './over-samples';
import { lengthOf } from '../../geometry/path';
import { measure } from './measure';

/** Stopped short of the end of the way by. */
export const miss = measure({
  unit: 'm',
  label: 'Stopped short by',
  missReason: 'off-the-mark',
  of: atEnd((segment) => Math.max(0, lengthOf(segment.stage.path) - segment.offsets.at(-1)!.alongTrackM)),
});
