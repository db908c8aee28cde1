import { greatest } from './over-samples';
import { holdsHeight } from '../segment';
import { measure } from './measure';

/** Largest deflection of a stick that should rest; without height hold the throttle never does. */
export const others = measure({
  unit: '%',
  label: 'Other sticks moved',
  missReason: 'wrong-first-move',
  of: (segment) =>
    greatest((_, __, s) =>
      Math.max(
        ...(['throttle', 'yaw', 'pitch', 'roll'] as const)
          .filter((axis) => axis !== segment.stage.axis && (axis !== 'throttle' || holdsHeight(s)))
          .map((axis) => Math.abs(s[axis])),
      ),
    )(segment),
});
