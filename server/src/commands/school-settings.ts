import type { setReporting } from '@skelby/core/commands/set-reporting';
import type {
  setMethods,
  setRetention,
  setUnits,
  switchExperience,
} from '@skelby/core/commands/school-settings';
import { METHOD_QUESTIONS } from '@skelby/core/methods/methods';
import { NO_EXPERIENCE } from '@skelby/core/ranking/experience';
import { recordEvent } from '../facts/events';
import { experienceOf } from '../facts/experience';
import { methodsOfSchool } from '../facts/methods';
import { unitsOf } from '../facts/units';
import type { Handler } from './handler';

export const setUnitsOfSchool: Handler<typeof setUnits> = async (school, { fields: units }) => {
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
};

export const setMethodsOfSchool: Handler<typeof setMethods> = async (school, { fields: methods }) => {
  const { tx, schoolId } = school;
  const before = await methodsOfSchool(school);
  if (METHOD_QUESTIONS.every((question) => before[question] === methods[question])) return before;
  await tx('schools').where({ id: schoolId }).update({ methods });
  await recordEvent(school, {
    action: 'changed',
    subject: 'school',
    subjectId: schoolId,
    data: { methods: [before, methods] },
  });
  return methods;
};

export const setReportingOfSchool: Handler<typeof setReporting> = async (school, { fields: { rules } }) => {
  const { tx, schoolId } = school;
  await tx('schools')
    .where({ id: schoolId })
    .update({ reporting: JSON.stringify(rules) });
  await recordEvent(school, {
    action: 'changed',
    subject: 'school',
    subjectId: schoolId,
    data: { reporting: rules },
  });
  return { rules };
};

export const setRetentionOfSchool: Handler<typeof setRetention> = async (school, { fields }) => {
  const { tx, schoolId } = school;
  const keepYears = fields.keepYears ?? null;
  // A phone of an earlier version says nothing of files.
  const files = (fields.flightMonths ?? null) === null ? {} : { flightMonths: fields.flightMonths };
  await tx('schools')
    .where({ id: schoolId })
    .update({ keepYears, ...files });
  await recordEvent(school, {
    action: 'changed',
    subject: 'school',
    subjectId: schoolId,
    data: { keepYears, ...files },
  });
  return { keepYears, ...files };
};

export const switchExperienceOfSchool: Handler<typeof switchExperience> = async (
  school,
  { fields: { enabled } },
) => {
  const { tx, schoolId } = school;
  const before = await experienceOf(school);
  await tx('experiences')
    .insert({ schoolId, id: schoolId, enabled, counts: JSON.stringify(NO_EXPERIENCE) })
    .onConflict(['school_id', 'id'])
    .merge({ enabled, changedAt: tx.raw('clock_timestamp()') });
  if (before.enabled !== enabled)
    await recordEvent(school, {
      action: enabled ? 'switched-on' : 'switched-off',
      subject: 'experience',
      subjectId: schoolId,
    });
  return experienceOf(school);
};
