import { firstWhere } from './over-samples';
import { measure } from './measure';

const OFF_GROUND_M = 0.03;

/** In the air but not yet a span up. */
export const lowTime = measure({
  unit: 's',
  label: 'Within a span of the ground',
  missReason: 'too-late',
  of: (segment) => {
    const up = firstWhere(segment, (s) => s.z > OFF_GROUND_M);
    const clear = firstWhere(segment, (s) => s.z > segment.craft.spanM);
    return up && clear ? { value: clear.t - up.t, atS: clear.t } : null;
  },
});
