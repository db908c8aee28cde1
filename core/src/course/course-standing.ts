import type { ClearingRule } from '../clearance/clearing-rule';
import { learningCurve } from '../clearance/learning-curve';
import type { Drill, Side } from '../drills/drill';
import { drillOf, type DrillId } from '../drills/drills';
import type { Day } from '../vocabulary/day';
import type { CourseFact } from './course-facts';
import type { Course, CourseLesson } from './lessons';

/**
 * When a drill of the course is shown (house default): the learning curve (Biau and Porcher, Statistics in Medicine 2010)
 * of its attempts on the craft, with a limit that somebody who misses every second one reaches within twenty attempts at
 * most one time in ten. It says that the next step may begin, and clears nothing.
 */
export const SHOWN_RULE: ClearingRule = {
  unacceptableMissPercent: 50,
  acceptableMissPercent: 10,
  riskPercent: 10,
  plannedReps: 20,
  passDays: 1,
  checkGapDays: 0,
};

export const SHOWN_BY = ['seen-before', 'one-test', 'reps'] as const;
export type CourseShownBy = (typeof SHOWN_BY)[number];

/** A drill of a lesson, or one of its sides: each is learnt on its own. */
export interface CoursePart {
  readonly drillId: DrillId;
  readonly side: Side | null;
  /** Null: not shown yet. */
  readonly shownBy: CourseShownBy | null;
  readonly shownOn: Day | null;
  /** How far its attempts have come, 0 to 1. */
  readonly share: number;
  /** Attempts on the craft, all met, that would do from here. */
  readonly toGo: number;
  readonly reps: number;
  readonly met: number;
  /** It is met on the simulator before it is flown. */
  readonly simulatorFirst: boolean;
  /** The one test rep was flown, and not met: the way leads over practice. */
  readonly testSpent: boolean;
}

export interface LessonStanding {
  readonly lesson: CourseLesson;
  readonly parts: readonly CoursePart[];
  readonly shown: boolean;
}

export interface CourseStanding {
  readonly lessons: readonly LessonStanding[];
  /** The first lesson that is not shown; null: all are. */
  readonly now: number | null;
  /** Nothing was said of the pilot on the course so far. */
  readonly begun: boolean;
}

const byTime = (a: CourseFact, b: CourseFact) => a.at.localeCompare(b.at) || a.id.localeCompare(b.id);

/** What stands: neither taken back nor a taking back. */
export function factsThatStand(facts: readonly CourseFact[]): readonly CourseFact[] {
  const gone = new Set(facts.flatMap(({ kind, factId }) => (kind === 'taken-back' ? [factId] : [])));
  return facts.filter(({ id, kind }) => kind !== 'taken-back' && !gone.has(id)).sort(byTime);
}

/** Sides that are shown apart; one without a side where there are none. */
export const shownApart = ({ sides }: Pick<Drill, 'sides'>): readonly (Side | null)[] =>
  sides.length > 0 ? sides : [null];

interface Shown {
  readonly by: CourseShownBy;
  readonly on: Day | null;
}

/** What shows a part first; null where nothing does. @param facts in their order */
function firstShown(facts: readonly CourseFact[], reachedAt: number | null): Shown | null {
  const attempts = facts.filter(isAttempt);
  const seen = facts.find(({ kind }) => kind === 'shown');
  const [first] = attempts;
  // One test rep, not one of as many as it takes.
  const inOne = first?.kind === 'test' && first.met ? first : undefined;
  const by = inOne ?? (reachedAt === null ? undefined : attempts[reachedAt - 1]);
  if (seen && (!by || facts.indexOf(seen) < facts.indexOf(by))) return { by: 'seen-before', on: seen.day };
  return by ? { by: inOne ? 'one-test' : 'reps', on: by.day } : null;
}

const isAttempt = ({ kind }: CourseFact) => kind === 'rep' || kind === 'test';

interface Around {
  readonly facts: readonly CourseFact[];
  /** Drills that were shown before anything was counted here. */
  readonly before: readonly DrillId[];
}

function partOf(drill: Drill<DrillId>, side: Side | null, { facts: all, before }: Around): CoursePart {
  const ofDrill = all.filter(({ drillId }) => drillId === drill.id);
  const onSide = ofDrill.filter(
    (fact) => fact.side === side || (fact.kind === 'shown' && fact.side === null),
  );
  const onCraft = onSide.filter(({ flownOn }) => flownOn === 'craft');
  const attempts = onCraft.filter(isAttempt).map(({ met }) => met);
  const { share, toGo, reachedAt } = learningCurve(SHOWN_RULE, attempts);
  const shown: Shown | null = before.includes(drill.id)
    ? { by: 'seen-before', on: null }
    : firstShown(onCraft, reachedAt);
  const metOnSimulator = onSide.some(({ flownOn, met }) => flownOn === 'simulator' && met);
  const everMet = attempts.includes(true);
  return {
    ...{ drillId: drill.id, side, shownBy: shown?.by ?? null, shownOn: shown?.on ?? null },
    ...{ share: shown ? 1 : share, toGo: shown ? 0 : toGo },
    ...{ reps: attempts.length, met: attempts.filter(Boolean).length },
    simulatorFirst: drill.simulator === 'first' && !shown && !metOnSimulator && !everMet,
    testSpent: attempts.length > 0,
  };
}

/**
 * Where a pilot stands on a course.
 * @param all in any order; of drills that are none of the course they say nothing
 * @param before drills that were shown before anything was counted here
 */
export function courseStanding(
  course: Course,
  all: readonly CourseFact[],
  before: readonly DrillId[] = [],
): CourseStanding {
  const facts = factsThatStand(all);
  const lessons = course.lessons.map((lesson) => {
    const parts = lesson.drillIds.flatMap((id) => {
      const drill = drillOf(id);
      return shownApart(drill).map((side) => partOf(drill, side, { facts, before }));
    });
    return { lesson, parts, shown: parts.every(({ shownBy }) => shownBy !== null) };
  });
  const now = lessons.findIndex(({ shown }) => !shown);
  return { lessons, now: now === -1 ? null : now, begun: facts.length > 0 };
}
