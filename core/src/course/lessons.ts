import type { DrillId } from '../drills/drills';
import { type Methods, USUAL_METHODS } from '../methods/methods';
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

/** Until this lesson is shown one stays near. */
const LAST_NEAR: UsualLessonId = 'walk-and-side-on';

/** Lessons that a school may teach early, each with the one it then comes right after. */
const EARLY_AFTER = [
  { question: 'holdOff', lesson: 'hold-off', after: 'tail-in' },
  { question: 'noseIn', lesson: 'nose-in', after: 'walk-and-side-on' },
] as const;

/** The lessons in the order in which a pilot is taught them. */
function lessonsBy(methods: Methods): readonly UsualLessonId[] {
  const order: UsualLessonId[] = [...USUAL_LESSONS];
  for (const { question, lesson, after } of EARLY_AFTER) {
    if (methods[question] !== 'early') continue;
    order.splice(order.indexOf(lesson), 1);
    order.splice(order.indexOf(after) + 1, 0, lesson);
  }
  return order;
}

/**
 * Eight lessons for whoever has not crashed, in the order in which they are shown (common practice): one stick before
 * two, tail-in before side-on before nose-in, with help before without; hold off and the nose sooner where that is how
 * the pilot is taught.
 */
export function courseBy(methods: Methods): Course {
  const order = lessonsBy(methods);
  const lastNear = order.indexOf(LAST_NEAR);
  return {
    version: 0,
    lessons: order.map((id, nth) => ({
      id,
      drillIds: DRILLS_OF[id],
      limits: nth <= lastNear ? NEAR : FURTHER,
    })),
  };
}

export const USUAL_COURSE = courseBy(USUAL_METHODS);

/** The pack that is left when one lands, per cent. */
export const COURSE_LANDS_AT_PERCENT = 25;
