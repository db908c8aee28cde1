import { recordCourseFact } from '@skelby/core/commands/handles';
import type { CourseFact } from '@skelby/core/course/course-facts';
import type { CoursePart } from '@skelby/core/course/course-standing';
import { v7 as uuid } from 'uuid';
import { partName } from '../../shared/copy/course-copy';
import { todayHere } from '../../shared/copy/dates';
import { entryOf } from './commands';
import { outbox } from './use-outbox';

type Told = Partial<Omit<CourseFact, 'id' | 'drillId' | 'side'>>;

/** Says something of a drill of the course; what is left out has its usual value. */
export function tellCourse(pilotId: string, part: Pick<CoursePart, 'drillId' | 'side'>, told: Told): void {
  const { drillId, side } = part;
  const fact = {
    ...({ kind: 'rep', met: true, missReason: null, flownOn: 'craft', band: 'calm', factId: null } as const),
    ...{ reason: '', day: todayHere(), at: new Date().toISOString() },
    ...told,
    ...{ drillId, side },
  };
  void outbox.add(
    entryOf(recordCourseFact, { id: pilotId, factId: uuid() }, fact, `${partName(part)}, course`),
  );
}
