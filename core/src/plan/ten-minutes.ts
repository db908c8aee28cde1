import type { CoursePart } from '../course/course-standing';
import type { Side } from '../drills/drill';
import { drillOf, type DrillId } from '../drills/drills';
import { type Day, daysBetween } from '../vocabulary/day';
import { minutesFor } from './layout/blocks-of';

/** What there is to fly at home today, on the simulator. */
export interface HomeBlock {
  readonly drillId: DrillId;
  readonly side: Side | null;
  readonly reps: number;
  readonly minutes: number;
  readonly why: 'course-waits' | 'weakness' | 'course';
}

/** A weakness as far as it says what to fly at home. */
export interface WeaknessAtHome {
  readonly drillIds: readonly DrillId[];
  /** How much of its test is filled, 0 to 1. */
  readonly testShare: number;
  /** Its drills rest until the check: practice would move it. */
  readonly rests: boolean;
  readonly isOnWatch: boolean;
}

export interface AtHome {
  readonly weaknesses: readonly WeaknessAtHome[];
  /** Parts of the lesson that comes next. */
  readonly course: readonly CoursePart[];
  readonly today: Day;
  /** Whether the simulator has a course for a drill. */
  readonly isFlownHere: (drillId: DrillId) => boolean;
}

export const HOME_MINUTES = 10;
/** Of one drill in one go. */
const MOST_REPS = 6;
/** So many drills of a day are those that want it most; one more goes round all the others, day after day. */
const MOST_WANTED = 2;
/** Any day will do, as long as it stays. */
const COUNTED_FROM = '2026-01-01';

/** How much each thing wants to be flown, in the order of the trade: what holds up the course, what was broken, the rest. */
const WANTS = { courseWaits: 3, simulatorFirst: 2, weakness: 1.5, onWatch: 0.6, course: 0.5 };

interface Wanted extends Pick<HomeBlock, 'drillId' | 'side' | 'why'> {
  readonly weight: number;
}

function ofCourse({ course, isFlownHere }: AtHome): readonly Wanted[] {
  return course
    .filter(({ drillId, shownBy }) => shownBy === null && isFlownHere(drillId))
    .map(({ drillId, side, simulatorFirst, share }) =>
      simulatorFirst
        ? { drillId, side, why: 'course-waits', weight: WANTS.courseWaits }
        : { drillId, side, why: 'course', weight: WANTS.course * (1 - share) },
    );
}

function ofWeaknesses({ weaknesses, isFlownHere }: AtHome, days: number): readonly Wanted[] {
  return weaknesses
    .filter(({ rests }) => !rests)
    .flatMap(({ drillIds, testShare, isOnWatch }) =>
      drillIds.filter(isFlownHere).map((drillId): Wanted => {
        const { sides, simulator } = drillOf(drillId);
        const wants = simulator === 'first' ? WANTS.simulatorFirst : WANTS.weakness;
        return {
          drillId,
          // Each side is learnt on its own: another one every day.
          side: sides.length > 0 ? sides[days % sides.length]! : null,
          why: 'weakness',
          weight: isOnWatch ? WANTS.onWatch : wants * (1 - testShare / 2),
        };
      }),
    );
}

/** Of each drill what wants it most, those first. */
function eachOnce(all: readonly Wanted[]): readonly Wanted[] {
  const best = new Map<DrillId, Wanted>();
  for (const each of all) {
    const there = best.get(each.drillId);
    if (!there || each.weight > there.weight) best.set(each.drillId, each);
  }
  return [...best.values()].sort((a, b) => b.weight - a.weight || (a.drillId < b.drillId ? -1 : 1));
}

/**
 * Ten minutes on the simulator (common practice: short and often, mixed rather than one drill to the end): the two drills
 * that want it most, and one of the others, which takes turns from day to day. Nothing of a weakness whose check waits.
 */
export function tenMinutes(home: AtHome): readonly HomeBlock[] {
  const days = Math.abs(daysBetween(COUNTED_FROM, home.today));
  const wanted = eachOnce([...ofCourse(home), ...ofWeaknesses(home, days)]);
  const others = wanted.slice(MOST_WANTED);
  const inTurn = others.length > 0 ? [others[days % others.length]!] : [];
  const today = [...wanted.slice(0, MOST_WANTED), ...inTurn];
  const each = Math.floor(HOME_MINUTES / Math.max(1, today.length));
  return today.map(({ drillId, side, why }) => {
    const drill = drillOf(drillId);
    let reps = 1;
    while (reps < MOST_REPS && minutesFor(drill, reps + 1) <= each) reps += 1;
    return { drillId, side, why, reps, minutes: minutesFor(drill, reps) };
  });
}
