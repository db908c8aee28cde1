import { SIDES, type Side } from '../drills/drill';
import { drillOf, type DrillId } from '../drills/drills';
import { fly, mirrored, type Moment } from './fly';
import type { Scene } from './scene';
import { HANDS_AND_HOVER_SCENES } from './scenes/hands-and-hover';
import { HEAD_SCENES } from './scenes/head';
import { POINTING_AND_TURNS_SCENES } from './scenes/pointing-and-turns';
import { SETTINGS_AND_PEOPLE_SCENES } from './scenes/settings-and-people';
import { WASH_AND_OBSTACLES_SCENES } from './scenes/wash-and-obstacles';

export const SCENES: Readonly<Partial<Record<DrillId, Scene>>> = {
  ...HANDS_AND_HOVER_SCENES,
  ...POINTING_AND_TURNS_SCENES,
  ...WASH_AND_OBSTACLES_SCENES,
  ...HEAD_SCENES,
  ...SETTINGS_AND_PEOPLE_SCENES,
};

/** How a drill is set up and flown; null for one that is spoken or done on the ground without sticks. */
export const sceneOf = (drillId: DrillId): Scene | null => SCENES[drillId] ?? null;

const MIRROR: Readonly<Partial<Record<Side, Side>>> = {
  left: 'right',
  right: 'left',
  clockwise: 'counter-clockwise',
  'counter-clockwise': 'clockwise',
};

export interface Flown {
  readonly moments: readonly Moment[];
  readonly windFromDeg: number;
  /** Marks and all are seen in a mirror. */
  readonly isMirrored: boolean;
}

/**
 * The movement of a drill, on one of its sides where it has them.
 * @throws RangeError when the drill has no movement, or not that side
 */
export function movementOf(drillId: DrillId, side: Side | null = null): Flown {
  const scene = sceneOf(drillId);
  if (!scene) throw new RangeError(`${drillId} is not done with the sticks.`);
  const { windFromDeg } = scene;
  if (side === null || scene.side === undefined || side === scene.side)
    return { moments: fly(scene.start, scene.legs), windFromDeg, isMirrored: false };
  const own = scene.sides?.[side];
  if (own) return { moments: fly(own.start, own.legs), windFromDeg, isMirrored: false };
  if (MIRROR[side] === scene.side)
    return {
      moments: mirrored(fly(scene.start, scene.legs)),
      windFromDeg: (360 - windFromDeg) % 360,
      isMirrored: true,
    };
  throw new RangeError(
    `${drillId} has no side "${side}": one of ${SIDES.filter((each) => drillOf(drillId).sides.includes(each)).join(', ')}.`,
  );
}
