import { noseAngleRad } from '../../geometry/rotation';
import type { BodyState } from '../rigid-body';
import type { StickPosition } from './control';
import type { CraftModel } from '../craft-model';

export const RETURN_PHASES = ['climbing', 'on-the-way', 'landing'] as const;
export type ReturnPhase = (typeof RETURN_PHASES)[number];

/** Over home it comes down when nearer than this, m. */
const OVER_HOME_M = 1;
const SLOWS_WITHIN_M = 6;
const MOST = 0.6;

const within = (value: number): number => Math.max(-MOST, Math.min(MOST, value));

/**
 * Brings a craft home by itself, with position hold, as craft of this kind do: it climbs to its return height
 * first, wherever it is and whatever is above it, then goes straight home, and
 * lands. It sees nothing. Higher than that already, it stays as high.
 */
export class AutoReturn {
  phase: ReturnPhase = 'climbing';

  constructor(
    private readonly craft: CraftModel,
    private readonly homeX: number,
    private readonly homeY: number,
    private readonly returnHeightM: number,
  ) {}

  /** The sticks it would hold now. */
  sticks(s: BodyState): StickPosition {
    const [dx, dy] = [this.homeX - s.px, this.homeY - s.py];
    const away = Math.hypot(dx, dy);
    if (this.phase === 'climbing' && s.pz > this.returnHeightM - 0.5) this.phase = 'on-the-way';
    if (this.phase === 'on-the-way' && away < OVER_HOME_M) this.phase = 'landing';
    if (this.phase === 'climbing') return { throttle: MOST, yaw: 0, pitch: 0, roll: 0 };
    const heading = noseAngleRad(s);
    const toward = Math.atan2(dy, dx);
    const turn = Math.atan2(Math.sin(heading - toward), Math.cos(heading - toward));
    const speed =
      this.phase === 'landing'
        ? 0.5 * away
        : Math.min(
            MOST * this.craft.topSpeedMps.normal,
            1 + 0.8 * Math.max(0, away - 1) * (away < SLOWS_WITHIN_M ? 0.6 : 1),
          );
    const share = within(speed / this.craft.topSpeedMps.normal);
    const [along, aside] = [Math.cos(heading - toward), Math.sin(heading - toward)];
    return {
      throttle: this.phase === 'landing' ? (s.pz < 2 ? -0.25 : -MOST) : 0,
      yaw: this.phase === 'landing' ? 0 : within(1.2 * turn),
      pitch: share * along,
      roll: share * aside,
    };
  }
}
