import type { Exercise } from '../../assessment/exercise';
import { exerciseOf, MEASURED_DRILLS } from '../../assessment/exercises';
import { type DrillId, drillOf } from '../../drills/drills';

/**
 * Whether a drill can be judged from a flight alone: nothing in it is called, asked, or done to the craft, and nothing
 * turns on the speed setting or the pilot-relative mode, which recorders do not tell.
 */
const isJudgedInField = ({ stages }: Pick<Exercise, 'stages'>): boolean =>
  stages.every(
    ({ begins, asks, until, hands, relative, pathIn, drawnFrom }) =>
      relative === undefined &&
      pathIn === undefined &&
      drawnFrom === undefined &&
      begins === undefined &&
      asks === undefined &&
      !['surprise', 'answered', 'taken-over', 'safe'].includes(until.is) &&
      !['answer', 'take-over', 'recover'].includes(hands),
  );

/** Drills that a recorded flight can be judged as. */
export const FIELD_DRILLS: readonly DrillId[] = MEASURED_DRILLS.filter((id) =>
  isJudgedInField(exerciseOf(id, drillOf(id).sides[0] ?? null)!),
);
