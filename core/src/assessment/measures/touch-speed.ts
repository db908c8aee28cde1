import { measure } from './measure';

/** Sink just before touching the ground. */
export const touchSpeed = measure({
  unit: 'm/s',
  label: 'Touch-down speed',
  missReason: 'too-fast',
  of: (segment) => {
    const i = segment.samples.findIndex((s, at) => at > 0 && s.z < 0.01);
    if (i < 0) return null;
    return { value: Math.max(0, -segment.samples[i - 1]!.vz), atS: segment.samples[i]!.t };
  },
});
