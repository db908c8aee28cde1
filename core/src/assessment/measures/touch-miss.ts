import { atEnd } from './over-samples';
import { measure } from './measure';

/** Off the end of the way when it is over. */
export const touchMiss = measure({
  unit: 'm',
  label: 'Touched down off the pad',
  missReason: 'off-the-mark',
  of: atEnd((segment, s) => {
    const { path } = segment.stage;
    return path.is === 'segment' ? Math.hypot(s.x - path.to[0], s.y - path.to[1]) : 0;
  }),
});
