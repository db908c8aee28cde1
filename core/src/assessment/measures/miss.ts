import { atEnd } from './over-samples';
import { lengthOf } from '../../geometry/path';
import { measure } from './measure';

/** Stopped short of the end of the way by. */
export const miss = measure({
  unit: 'm',
  label: 'Stopped short by',
  missReason: 'off-the-mark',
  of: atEnd((cut) => Math.max(0, lengthOf(cut.stage.path) - cut.offsets.at(-1)!.alongTrackM)),
});
