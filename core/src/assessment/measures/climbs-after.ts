import { after, firstWhere } from './over-samples';
import { measure } from './measure';

const CLIMBS_MPS = 0.5;

/** Until it climbs. */
export const climbsAfter = measure({
  unit: 's',
  label: 'Climbing after',
  missReason: 'too-late',
  of: (segment) =>
    after(
      segment,
      firstWhere(segment, (s) => s.vz > CLIMBS_MPS),
    ),
});
