import { CENTRED, type PilotedMode, type StickPosition } from '../simulator/control/control';
import type { Axis } from '../vocabulary/flying';
import { clamp, isByHand } from './hands';

/** What may be added to a stick that should rest. */
export const SMALL_STICK = 0.11;

/**
 * One axis at a time. Without height hold throttle holds the height beside it, and where nothing holds the place the
 * others answer the air, a little.
 * @param swaps takes each stick for another
 */
export function oneStick(
  axis: Axis,
  sticks: StickPosition,
  mode: PilotedMode,
  swaps: boolean,
): StickPosition {
  const only = {
    ...CENTRED,
    [axis]: sticks[axis],
    throttle: axis === 'throttle' || isByHand(mode) ? sticks.throttle : 0,
  };
  if (mode !== 'position-hold')
    for (const other of ['pitch', 'roll'] as const)
      if (other !== axis) only[other] = clamp(sticks[other], SMALL_STICK);
  return swaps ? { roll: only.pitch, pitch: only.roll, yaw: only.throttle, throttle: only.yaw } : only;
}
