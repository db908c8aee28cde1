import { type Sample } from '../../flight-log/flight-log';
import { measure } from './measure';

const meanThrottle = (samples: readonly Sample[]): number =>
  samples.reduce((sum, s) => sum + s.throttle, 0) / Math.max(1, samples.length);

/** Mean throttle of the first half over that at its beginning. */
export const throttleRise = measure({
  unit: '%',
  label: 'Throttle added in the turn',
  missReason: 'height',
  of: (segment) => {
    const half = segment.samples.slice(0, Math.ceil(segment.samples.length / 2));
    return { value: meanThrottle(half) - (segment.samples[0]?.throttle ?? 0), atS: half.at(-1)?.t ?? 0 };
  },
});
