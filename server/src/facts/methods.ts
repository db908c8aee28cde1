import { type Methods, USUAL_METHODS } from '@skelby/core/methods/methods';
import type { SchoolTx } from '../db/in-school';

/** How the school teaches where instructors differ: the usual way where it has said nothing. */
export async function methodsOfSchool({ tx, schoolId }: SchoolTx): Promise<Methods> {
  const { methods } = (await tx('schools').where({ id: schoolId }).first('methods')) as {
    methods: Partial<Methods>;
  };
  return { ...USUAL_METHODS, ...methods };
}
