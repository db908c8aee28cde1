import type { AutoReturn } from './auto-return';
import type { BodyState } from './body';
import { CENTRED, type StickNow } from './control';

/** What a craft does by itself when it no longer hears its transmitter, as it was set before the flight. */
export const LINK_LOSS_ACTIONS = ['return', 'hover', 'land'] as const;
export type LinkLossAction = (typeof LINK_LOSS_ACTIONS)[number];

/** Slow enough to set down. */
const LANDS_AT = -0.35;

/** The sticks it holds by itself while the link is lost, in position hold. @param home what brings it home; asked only to return */
export function failsafeSticks(action: LinkLossAction, s: BodyState, home: AutoReturn): StickNow {
  if (action === 'return') return home.sticks(s);
  return action === 'land' ? { ...CENTRED, throttle: LANDS_AT } : CENTRED;
}
