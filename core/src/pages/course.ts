import type { Day } from '../vocabulary/day';

/** A pilot on the course, at a glance. */
export interface OnCourse {
  readonly id: string;
  readonly name: string;
  /** Something was said of the pilot on the course. */
  readonly begun: boolean;
  /** Place of the first lesson that is not shown; null: all are. */
  readonly now: number | null;
  /** Which lesson that is: not everybody is taught them in one order. */
  readonly lessonId: string | null;
  readonly lastDay: Day | null;
  /** Of each lesson what is to be shown, and what is. */
  readonly parts: readonly number[];
  readonly shown: readonly number[];
}

export interface CoursePage {
  readonly pilots: readonly OnCourse[];
}
