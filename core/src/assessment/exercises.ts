import { type DrillId, isDrillId } from '../drills/drills';
import type { Side } from '../drills/drill';
import type { Exercise, Walk } from './exercise';
import { HANDS_AND_HOVER_COURSES } from './exercises/hands-and-hover';
import { POINTING_AND_TURNS_COURSES } from './exercises/pointing-and-turns';
import { RECORDED_VALUES } from './recorded-value';
import { SETTINGS_AND_SENSORS_COURSES } from './exercises/settings-and-sensors';
import { WASH_OBSTACLES_AIR_COURSES } from './exercises/wash-obstacles-air';

const COURSES = {
  ...HANDS_AND_HOVER_COURSES,
  ...POINTING_AND_TURNS_COURSES,
  ...WASH_OBSTACLES_AIR_COURSES,
  ...SETTINGS_AND_SENSORS_COURSES,
};

/** Drills that are flown and measured on the simulator or in a log. */
export const MEASURED_DRILLS: readonly DrillId[] = Object.keys(COURSES).filter(isDrillId);

/** A drill as it is flown and measured, on one of its sides; null where it is not measured. */
export function exerciseOf(drillId: DrillId, side: Side | null = null): Exercise | null {
  const exercise = COURSES[drillId]?.(side);
  if (!exercise) return null;
  const recorded = RECORDED_VALUES[drillId];
  return recorded ? { ...exercise, recorded } : exercise;
}

/** Out to the right of the field and round it, while the craft keeps the way that was ahead at take-off. */
const PILOT_WALKS: Walk = {
  points: [
    [0, 0],
    [14, -4],
    [28, 8],
    [30, 24],
  ],
  speedMps: 1.1,
};

/** The drill, with a pilot who walks about while it is flown, or one who stands. */
export const courseFlown = (course: Exercise, walks: boolean): Exercise =>
  walks ? { ...course, pilotWalks: PILOT_WALKS } : course;
