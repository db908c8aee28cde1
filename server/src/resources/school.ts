import type Router from '@koa/router';
import type { Units } from '@skelby/core/vocabulary/units';
import { unitsShape } from '@skelby/core/schemas/records';
import type { SchoolTx } from '../db/in-school';
import { bodyOf } from '../http/body';
import type { InTheirSchool } from '../http/in-their-school';
import type { Who } from '../http/session';
import { recordEvent } from './events';

async function unitsOf({ tx }: SchoolTx): Promise<Units> {
  const { lengthUnit, speedUnit } = (await tx('schools').first('length_unit', 'speed_unit')) as {
    lengthUnit: Units['length'];
    speedUnit: Units['speed'];
  };
  return { length: lengthUnit, speed: speedUnit };
}

async function putUnits(school: SchoolTx, body: unknown): Promise<Units> {
  const units = await unitsShape.validate(body, { abortEarly: false });
  const { tx, schoolId } = school;
  const before = await unitsOf(school);
  if (before.length === units.length && before.speed === units.speed) return before;
  await tx('schools').where({ id: schoolId }).update({ lengthUnit: units.length, speedUnit: units.speed });
  await recordEvent(school, {
    action: 'changed',
    subject: 'school',
    subjectId: schoolId,
    data: { units: [before, units] },
  });
  return unitsOf(school);
}

/** Who is signed in, in which school, and the units it reads its numbers in. */
export function schoolRoutes(router: Router, inSchool: InTheirSchool): void {
  router.get(
    '/me',
    inSchool(async (school, ctx) => {
      const { accountId, name, schoolName } = ctx.state['who'] as Who;
      return { accountId, name, schoolName, units: await unitsOf(school) };
    }),
  );
  router.put(
    '/school/units',
    inSchool((school, ctx) => putUnits(school, bodyOf(ctx))),
  );
}
