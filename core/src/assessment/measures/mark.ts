import { least } from './over-samples';
import { measure } from './measure';

/** Nearest it came to the end of the way. */
export const mark = measure({
  unit: 'm',
  label: 'Missed the mark by',
  missReason: 'off-the-mark',
  of: least((segment, _, s) => {
    const { path } = segment.stage;
    return path.is === 'segment' ? Math.hypot(s.x - path.to[0], s.y - path.to[1]) : null;
  }),
});
