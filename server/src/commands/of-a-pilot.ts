import { TRAINED_STATES } from '@skelby/core/clearance/open-states';
import type { recordOwnRep, sayOfWeakness, tellNearMiss } from '@skelby/core/commands/of-a-pilot';
import { newRep, recordRep as repCommand } from '@skelby/core/commands/record-rep';
import { logOccurrence as logCommand } from '@skelby/core/commands/log-occurrence';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import type { SchoolTx } from '../db/in-school';
import { recordEvent } from '../facts/events';
import { SAID_ACTIONS } from '../facts/said-by-pilot';
import type { LinkHolder } from '../facts/private-link';
import { badField, notFound, Problem } from '../problem/problem';
import type { GivenCommand } from './handler';
import { logOccurrence } from './log-occurrence';
import { recordRep } from './record-rep';

/** What a pilot does by a private link. */
export type PilotCommand = typeof recordOwnRep | typeof tellNearMiss | typeof sayOfWeakness;

export type PilotHandler<C extends PilotCommand> = (
  school: SchoolTx,
  holder: LinkHolder,
  given: GivenCommand<C>,
) => Promise<unknown>;

const PER_DAY = 20;
const REPS_PER_DAY = 300;
const SECONDS_PER_DAY = 86_400;
const told = new RateLimiterMemory({ points: PER_DAY, duration: SECONDS_PER_DAY });
const flown = new RateLimiterMemory({ points: REPS_PER_DAY, duration: SECONDS_PER_DAY });

async function within(limiter: RateLimiterMemory, { linkId }: LinkHolder, detail: string): Promise<void> {
  try {
    await limiter.consume(linkId);
  } catch {
    throw new Problem(429, 'Too many', detail);
  }
}

export const recordOwnRepOf: PilotHandler<typeof recordOwnRep> = async (school, holder, { keys, fields }) => {
  await within(flown, holder, `More than ${REPS_PER_DAY} reps in a day: rest, and come back tomorrow.`);
  const {
    rows: [weakness],
  } = (await school.tx.raw(
    `
    select w.id from weaknesses w
     where w.pilot_id = ? and w.state = any(?)
       and ? = any (select unnest(drill_ids) from (select drill_ids from plans p where p.school_id = w.school_id and p.weakness_id = w.id order by made_at desc limit 1) newest)
     order by w.opened_at desc limit 1`,
    [holder.pilotId, [...TRAINED_STATES], fields.drillId],
  )) as { rows: { id: string }[] };
  if (!weakness)
    throw new Problem(
      409,
      'In no plan',
      'This drill is in none of your plans: fly it as you like, nothing is recorded.',
    );
  const rep = newRep({ ...fields, weaknessId: weakness.id, purpose: 'practice', flownOn: 'simulator' });
  const problem = repCommand.rule(rep, keys);
  if (problem) throw badField(problem.field, problem.said);
  return recordRep(school, { keys, fields: rep, body: rep });
};

export const tellNearMissOf: PilotHandler<typeof tellNearMiss> = async (school, holder, { keys, fields }) => {
  const there = await school.tx('occurrences').where({ id: keys.id }).first('id');
  if (there) return { id: keys.id };
  await within(told, holder, `More than ${PER_DAY} in a day: speak to your trainer.`);
  const occurrence = await logCommand.schema(keys).validate({
    ...fields,
    pilotId: holder.pilotId,
    kind: 'near-miss',
    note: `From the pilot: ${fields.note}`,
    craftId: null,
    siteId: null,
    windMps: null,
  });
  await logOccurrence(school, { keys, fields: occurrence, body: occurrence });
  return { id: keys.id };
};

export const sayOfWeaknessOf: PilotHandler<typeof sayOfWeakness> = async (
  school,
  holder,
  { keys, fields },
) => {
  const { tx } = school;
  const { weaknessId, says, words, at } = fields;
  const { pilotId } = holder;
  if (await tx('events').where({ id: keys.id }).first('id')) return { id: keys.id };
  if (!(await tx('weaknesses').where({ id: weaknessId, pilotId }).first('id'))) throw notFound('weakness');
  await within(told, holder, `More than ${PER_DAY} in a day: speak to your trainer.`);
  await recordEvent(school, {
    id: keys.id,
    action: SAID_ACTIONS[says],
    subject: 'weakness',
    subjectId: weaknessId,
    pilotId,
    reason: words,
    data: { saidAt: at },
  });
  return { id: keys.id };
};
