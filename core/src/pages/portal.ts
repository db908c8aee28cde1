import type { CauseId } from '../causes/causes';
import type { Purpose } from '../clearance/facts';
import type { WeaknessState } from '../clearance/rungs';
import type { Side } from '../drills/drill';
import type { CoursePart } from '../course/course-standing';
import type { DrillId } from '../drills/drills';
import type { ROLES } from '../people/roles';
import type { FlightMode, StickLayout } from '../vocabulary/flying';

/** A pilot's own page, by the private link. */
export interface PilotPortalPage {
  readonly pilot: { readonly name: string; readonly stickLayout: StickLayout; readonly mode: FlightMode };
  readonly schoolName: string;
  /** Who may read what is written of the pilot; absent in a copy kept by an older version. */
  readonly readBy?: readonly { readonly name: string; readonly role: (typeof ROLES)[number] }[];
  readonly weaknesses: readonly {
    /** Absent in a copy kept by an older version, as is what was said of it. */
    readonly id?: string;
    readonly causeId: CauseId;
    readonly state: WeaknessState;
    readonly rungs: readonly number[];
    /** When the pilot said that the restriction in force was read; null: not since it last happened. */
    readonly readAt?: string | null;
    /** How the pilot sees it, where that is otherwise. */
    readonly otherwise?: string | null;
    readonly checkFrom: string | null;
    readonly checkPassed: boolean;
    readonly limited?: boolean;
    readonly drillIds: readonly DrillId[] | null;
  }[];
  readonly flown: readonly { readonly day: string; readonly reps: number; readonly met: number }[];
  /** The lesson of the course that comes next, for whoever is on it; null or absent: none. */
  readonly course?: {
    readonly lessonId: string;
    readonly nth: number;
    readonly of: number;
    readonly parts: readonly CoursePart[];
  } | null;
  readonly session: {
    readonly day: string;
    /** Null where the link may not tell. */
    readonly startsAt: string | null;
    readonly siteName: string | null;
    readonly blocks: readonly {
      readonly drillId: DrillId;
      readonly side: Side | null;
      readonly purpose: Purpose;
      readonly reps: number;
    }[];
  } | null;
}
