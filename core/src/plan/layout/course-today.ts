import { type CoursePart, courseStanding } from '../../course/course-standing';
import type { CourseFact } from '../../course/course-facts';
import { courseBy } from '../../course/lessons';
import { USUAL_METHODS } from '../../methods/methods';
import { type DrillId, isFlown } from '../../drills/drills';
import { sentence } from '../../vocabulary/said';
import type { ProposedBlock } from './block';
import { LEARNT_A_REP, minutesFor, PRACTICE_REPS } from './blocks-of';
import type { Around, Candidates } from './today';

/** Weaknesses come first: they restrict. The course brings half of what practice for one of them brings. */
const COURSE_WEIGHT = 0.5;

/** What is flown for the course today: the open parts of the lesson that comes next. */
export interface CourseToday {
  readonly facts: readonly CourseFact[];
}

const partId = (pilotId: string, { drillId, side }: CoursePart) =>
  [pilotId, 'course', drillId, side ?? 'one'].join('/');

/** The first open side of each drill: the others come on another pack. */
function openParts(parts: readonly CoursePart[], taken: ReadonlySet<string>): readonly CoursePart[] {
  const seen = new Set<DrillId>();
  return parts.filter(({ drillId, shownBy }) => {
    if (shownBy || seen.has(drillId) || taken.has(drillId)) return false;
    seen.add(drillId);
    return true;
  });
}

function blockOf(part: CoursePart, open: readonly CoursePart[], { pilot, findDrill }: Around): ProposedBlock {
  const drill = findDrill(part.drillId);
  const reps = Math.min(PRACTICE_REPS, part.toGo);
  return {
    id: partId(pilot.pilotId, part),
    pilotId: pilot.pilotId,
    weaknessId: null,
    causeId: null,
    ...{ drillId: part.drillId, side: part.side, purpose: 'practice', level: 0, reps },
    mode: pilot.flies?.mode ?? null,
    minutes: minutesFor(drill, reps),
    gain: COURSE_WEIGHT * reps * LEARNT_A_REP * (1 - part.share / 2),
    isNew: part.reps === 0,
    after: drill.after.filter((id) => open.some(({ drillId }) => drillId === id)),
    apartFrom: null,
    why: sentence('block.course', { left: part.toGo }),
  };
}

/**
 * What the course asks for today. Drills of a weakness are left to it: they are flown for that, or rest until its check.
 */
export function courseAsks(around: Around): Candidates {
  const { pilot, conditions, findDrill } = around;
  const { lessons, now } = courseStanding(
    courseBy(pilot.methods ?? USUAL_METHODS),
    pilot.course?.facts ?? [],
    pilot.shown,
  );
  if (!pilot.course || now === null) return { blocks: [], notToday: [], beforeFlying: [] };
  const { lesson, parts } = lessons[now]!;
  const { pilotId } = pilot;
  const open = openParts(parts, new Set(pilot.weaknesses.flatMap(({ drillIds }) => drillIds)));
  const isOnPack = (part: CoursePart) => isFlown(findDrill(part.drillId)) && !part.simulatorFirst;
  const windLimitMps = Math.min(lesson.limits.windMps, pilot.windLimitMps);
  const tooWindy = conditions.windMps > windLimitMps;
  const flown = open.filter(isOnPack);
  return {
    blocks: tooWindy ? [] : flown.map((part) => blockOf(part, flown, around)),
    notToday: tooWindy
      ? flown.map(({ drillId }) => ({
          ...{ pilotId, causeId: null, drillId, refused: true },
          said: sentence('today.too-windy', { windMps: conditions.windMps, windLimitMps }),
        }))
      : [],
    beforeFlying: open
      .filter((part) => !isOnPack(part))
      .map((part) => ({
        ...{ pilotId, weaknessId: null, drillId: part.drillId },
        said: part.simulatorFirst
          ? sentence('today.simulator-first', { reps: PRACTICE_REPS })
          : sentence('block.course', { left: part.toGo }),
      })),
  };
}
