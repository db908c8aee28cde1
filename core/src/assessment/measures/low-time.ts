import { firstWhere } from './over-samples';
import { measure } from './measure';
import type { Segment } from '../segment';

const OFF_GROUND_M = 0.03;

/** In the air within a span of the ground, where its own wash comes back up at it. */
export const lowTime = measure({
  unit: 's',
  label: 'Within a span of the ground',
  missReason: 'too-late',
  of: (segment) => (firstWhere(segment, (s) => s.z > OFF_GROUND_M) ? lowIn(segment) : null),
});

/** All of it added up, on the way up, on the way down and in between. */
function lowIn({ samples, craft }: Segment) {
  let [value, atS] = [0, samples[0]!.t];
  for (let i = 1; i < samples.length; i += 1) {
    const s = samples[i]!;
    if (s.z <= OFF_GROUND_M || s.z >= craft.spanM) continue;
    value += s.t - samples[i - 1]!.t;
    atS = s.t;
  }
  return { value, atS };
}
