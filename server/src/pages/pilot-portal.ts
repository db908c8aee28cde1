import type { DrillId } from '@skelby/core/drills/drills';
import { TRAINED_STATES } from '@skelby/core/clearance/open-states';
import type { SessionFields } from '@skelby/core/schemas/session';
import type { Says } from '@skelby/core/commands/of-a-pilot';
import { type Role, ROLES } from '@skelby/core/people/roles';
import type { SchoolTx } from '../db/in-school';
import { courseNow, type TaughtPilot } from './course';
import { saidOf, type SaidOfWeakness } from '../facts/said-by-pilot';
import type { LinkHolder } from '../facts/private-link';

interface OpenRow {
  readonly id: string;
  readonly happenedAt: string | null;
}

/** A restriction that was read before it happened again is to be read again. */
function standingOf(said: readonly SaidOfWeakness[], id: string, happenedAt: string | null) {
  const newest = (says: Says) => said.filter((each) => each.weaknessId === id && each.says === says).at(-1);
  const read = newest('read');
  const counts = read && (happenedAt === null || Date.parse(read.cameInAt) > Date.parse(happenedAt));
  return { readAt: counts ? read.saidAt : null, otherwise: newest('otherwise')?.words ?? null };
}

/** Whoever may read what is written of a pilot, from the most they may do to the least. */
async function readersOf({
  tx,
}: SchoolTx): Promise<readonly { readonly name: string; readonly role: Role }[]> {
  const accounts = (await tx('accounts')
    .whereNull('ended_at')
    .whereNull('pilot_id')
    .orderBy('name')
    .select('name', 'role')) as {
    name: string;
    role: (typeof ROLES)[number];
  }[];
  return accounts.sort((a, b) => ROLES.indexOf(a.role) - ROLES.indexOf(b.role));
}

/** What a pilot sees of oneself, and nobody else. */
/** The first of the sessions, by their days, in which the pilot flies and that is not over. */
const nextOf = (sessions: readonly SessionFields[], pilotId: string) =>
  sessions.find((each) => each.state !== 'done' && each.packs.some((pack) => pack.pilotId === pilotId));

export async function pilotPortal(school: SchoolTx, { pilotId, tellsWhen }: LinkHolder) {
  const { tx } = school;
  const { track, methods, ...pilot } = (await tx('pilots')
    .where({ id: pilotId })
    .first('name', 'stick_layout', 'mode', 'shown', 'track', 'methods')) as TaughtPilot &
    Record<string, unknown>;
  const { name: schoolName } = (await tx('schools').first('name')) as { name: string };
  const { rows: weaknesses } = (await tx.raw(
    `
    select w.id, w.cause_id, w.state,
      (select max(m.recorded_at) from moves m where m.school_id = w.school_id and m.weakness_id = w.id
        and m.kind in ('opened', 'reopened', 'occurrence-added')) as happened_at,
      w.rungs, w.check_from, w.check_passed, w.limited, 
      (select drill_ids from plans p where p.school_id = w.school_id and p.weakness_id = w.id
        order by made_at desc limit 1) as drill_ids
      from weaknesses w where w.pilot_id = ? and w.state = any(?) order by w.opened_at`,
    [pilotId, [...TRAINED_STATES]],
  )) as { rows: OpenRow[] };
  const said = await saidOf(
    school,
    weaknesses.map(({ id }) => id),
  );
  const readBy = await readersOf(school);
  const { rows: flown } = (await tx.raw(
    'select day, count(*) as reps, count(*) filter (where met) as met from reps where pilot_id = ? and taken_back_at is null group by day order by day desc limit 14',
    [pilotId],
  )) as { rows: unknown[] };
  const sessions = (await tx('training_sessions')
    .where('day', '>=', tx.raw('current_date - 1'))
    .orderBy('day')
    .pluck('content')) as SessionFields[];
  const next = nextOf(sessions, pilotId);
  const site = next?.siteId
    ? ((await tx('sites').where({ id: next.siteId }).first('name')) as { name: string })
    : null;
  return {
    pilot,
    schoolName,
    readBy,
    weaknesses: weaknesses.map(({ happenedAt, ...weakness }) => ({
      ...weakness,
      ...standingOf(said, weakness.id, happenedAt),
    })),
    flown,
    course: await courseNow(school, pilotId, { shown: pilot['shown'] as readonly DrillId[], track, methods }),
    session: next
      ? {
          day: next.day,
          // Where and when somebody flies is theirs to tell: whoever has the link would know where to find them.
          startsAt: tellsWhen ? next.startsAt : null,
          siteName: tellsWhen ? (site?.name ?? null) : null,
          blocks: next.packs
            .filter((pack) => pack.pilotId === pilotId)
            .flatMap((pack) =>
              pack.blocks.map(({ drillId, side, purpose, reps }) => ({ drillId, side, purpose, reps })),
            ),
        }
      : null,
  };
}
