import type { Failsafe } from '../../reconstruct/return-height';
import type { AutoReturn } from './auto-return';
import type { BodyState } from '../rigid-body';
import { CENTRED, type StickPosition } from './control';

/** Slow enough to set down. */
const LANDS_AT = -0.35;

/**
 * The sticks of a craft whose pack is nearly flat: it comes down, and heeds the pilot in where and not in whether.
 * @param sticks whoever steered until now
 */
export const landingSticks = (sticks: StickPosition): StickPosition => ({
  ...sticks,
  throttle: Math.min(sticks.throttle, LANDS_AT),
});

/**
 * The sticks a craft holds by itself when it no longer hears its transmitter, in position hold, as it was set
 * before the flight. @param home what brings it home; asked only to return
 */
export function failsafeSticks(action: Failsafe, s: BodyState, home: AutoReturn): StickPosition {
  if (action === 'return') return home.sticks(s);
  return action === 'descend' ? { ...CENTRED, throttle: LANDS_AT } : CENTRED;
}
