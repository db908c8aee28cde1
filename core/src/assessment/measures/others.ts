import { greatest } from './over-samples';
import { holdsHeight } from '../segment';
import { measure } from './measure';

/** Largest deflection of a stick that should rest. */
export const others = measure({
  unit: '%',
  label: 'Other sticks moved',
  missReason: 'wrong-first-move',
  of: (cut) =>
    greatest((_, __, s) =>
      Math.max(
        ...(['throttle', 'yaw', 'pitch', 'roll'] as const)
          .filter((axis) => axis !== cut.stage.axis)
          .map((axis) =>
            Math.abs(s[axis] - (axis === 'throttle' && !holdsHeight(s) ? cut.samples[0]!.throttle : 0)),
          ),
      ),
    )(cut),
});
