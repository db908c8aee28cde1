import type { MissReason } from '../clearance/facts';
import type { Side } from '../drills/drill';
import type { DrillId } from '../drills/drills';
import type { Day } from '../vocabulary/day';
import type { WindBand } from '../vocabulary/wind-band';

/**
 * What is said of a pilot on the course: an attempt at the standard; the one test rep with which somebody who flies
 * already passes; that it was shown before, with who saw it; and that one of these is taken back.
 */
export const COURSE_FACTS = ['rep', 'test', 'shown', 'taken-back'] as const;
export type CourseFactKind = (typeof COURSE_FACTS)[number];

export interface CourseFact {
  readonly id: string;
  readonly kind: CourseFactKind;
  readonly drillId: DrillId;
  /** Null: a drill without sides; of what was shown before, every side. */
  readonly side: Side | null;
  readonly met: boolean;
  readonly missReason: MissReason | null;
  readonly flownOn: 'craft' | 'simulator';
  readonly band: WindBand;
  /** Of what is taken back: the fact. */
  readonly factId: string | null;
  readonly reason: string;
  readonly day: Day;
  /** Instant, ISO 8601. */
  readonly at: string;
}
