import type { DrillId } from '../drills/drills';
import { BEGINNER_WIND_LIMIT_MPS } from '../vocabulary/wind-band';

/** What a pilot on the way may do until a lesson is shown; null: only what the pilot's own limits say. */
export interface LessonLimits {
  readonly windMps: number;
  readonly outM: number | null;
  readonly upM: number | null;
}

/** Some drills that are shown before the next lesson begins. */
export interface CourseLesson {
  readonly id: string;
  readonly drillIds: readonly DrillId[];
  readonly limits: LessonLimits;
}

export interface Course {
  /** 0: the usual one. */
  readonly version: number;
  readonly lessons: readonly CourseLesson[];
}

const NEAR: LessonLimits = { windMps: BEGINNER_WIND_LIMIT_MPS, outM: 30, upM: 15 };
const FURTHER: LessonLimits = { windMps: BEGINNER_WIND_LIMIT_MPS, outM: null, upM: null };

export const USUAL_LESSONS = [
  'ground',
  'first-hands',
  'tail-in',
  'walk-and-side-on',
  'circles',
  'nose-in',
  'hold-off',
  'wind-and-home',
] as const;
export type UsualLessonId = (typeof USUAL_LESSONS)[number];

const DRILLS_OF: Readonly<Record<UsualLessonId, readonly DrillId[]>> = {
  ground: ['preflight-aloud', 'motor-cut-discipline', 'lost-link-choice', 'mode-readback', 'calibrate-here'],
  'first-hands': ['single-stick', 'pop-up-takeoff', 'pad-landing'],
  'tail-in': [
    'hover-check',
    'tail-in-hover',
    'fore-aft-line',
    'brake-to-mark',
    'setting-readback',
    'sensor-find-out',
  ],
  'walk-and-side-on': ['lead-walk', 'tail-in-ring', 'side-on-hover'],
  circles: ['yaw-alone', 'lean-and-lift', 'roll-then-look', 'circle-both-ways', 'circle-height-steps'],
  'nose-in': ['nose-in-hover', 'clock-hover', 'stick-call', 'mirror-call'],
  'hold-off': ['hold-off-hover', 'hold-off-line', 'leg-circuit', 'surprise-hold-loss'],
  'wind-and-home': ['into-wind-hover', 'home-by-readout', 'turn-back-call', 'land-by-reserve'],
};

/** Up to this lesson one stays near. */
const LAST_NEAR = USUAL_LESSONS.indexOf('walk-and-side-on');

/**
 * Eight lessons for whoever has not crashed, in the order in which they are shown (common practice): one stick before
 * two, tail-in before side-on before nose-in, with help before without.
 */
export const USUAL_COURSE: Course = {
  version: 0,
  lessons: USUAL_LESSONS.map((id, nth) => ({
    id,
    drillIds: DRILLS_OF[id],
    limits: nth <= LAST_NEAR ? NEAR : FURTHER,
  })),
};

/** The pack that is left when one lands, per cent. */
export const COURSE_LANDS_AT_PERCENT = 25;
