import type { StickPosition } from '../simulator/control/control';

/** A stick that is moved out so far takes an automatic return over. */
const TAKES_OVER = 0.25;
const STICKS = ['throttle', 'yaw', 'pitch', 'roll'] as const;

/** Each stick nearer its middle of two. */
function nearerRest(a: StickPosition, b: StickPosition): StickPosition {
  const least = (axis: (typeof STICKS)[number]) => Math.min(Math.abs(a[axis]), Math.abs(b[axis]));
  return { throttle: least('throttle'), yaw: least('yaw'), pitch: least('pitch'), roll: least('roll') };
}

/**
 * Sticks since the craft began to come home by itself. Where one was held as that began, or has been let go to, is no
 * order: without height hold the throttle stands far from its middle.
 */
export class SticksSince {
  private restedAt: StickPosition | null = null;

  /** Whether one was moved out by now. */
  pushedOut(sticks: StickPosition): boolean {
    const restedAt = nearerRest(sticks, this.restedAt ?? sticks);
    this.restedAt = restedAt;
    return STICKS.some((axis) => Math.abs(sticks[axis]) - restedAt[axis] > TAKES_OVER);
  }
}
