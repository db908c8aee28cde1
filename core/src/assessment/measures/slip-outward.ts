import { sinceStart } from './over-samples';
import { headingOf } from '../../geometry/rotation';
import { measure } from './measure';

/** Share of a turn flown sliding to its outside. */
export const slipOutward = measure({
  unit: '%',
  label: 'Sliding outward',
  missReason: 'nose',
  of: (segment) => {
    const { path } = segment.stage;
    if (path.is !== 'arc') return null;
    const measured = segment.samples.slice(segment.from);
    const outward = measured.filter((s) => {
      const heading = (headingOf(s) * Math.PI) / 180;
      const right = (s.vx - (s.windX || 0)) * Math.cos(heading) - (s.vy - (s.windY || 0)) * Math.sin(heading);
      return right * Math.sign(path.sweepDeg) < 0;
    });
    return { value: outward.length / Math.max(1, measured.length), atS: sinceStart(segment) };
  },
});
