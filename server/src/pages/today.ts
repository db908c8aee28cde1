import { CHECKS_DAYS_AHEAD } from '@skelby/core/pages/pages';
import type { ToDebriefPage } from '@skelby/core/pages/older';
import { UUID } from '@skelby/core/vocabulary/key';
import type { Context } from 'koa';
import { badField } from '../problem/problem';
import { OPEN_STATES } from '@skelby/core/clearance/open-states';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';
import { WHO_TRAIN } from '../facts/trainers';

/** So many occurrences to debrief stand on Today, of one's own pilots and of others': the rest is behind a count. */
const AT_FIRST = 40;
const A_PAGE = 100;

/** Whether others train the pilot, and not whoever asks; as `trainedNowBy` has it. */
const OTHERS = `(p.trainer_ids && array(select a.id from accounts a where a.role = any(:roles) and a.ended_at is null)
  and not coalesce(:accountId::uuid = any(p.trainer_ids), false))`;
const THOSE = `from occurrences o join pilots p on p.school_id = o.school_id and p.id = o.pilot_id
  where o.confirmed_cause_id is null and o.withdrawn_at is null and o.settling_id is null
    and p.forgotten_at is null`;
const TO_DEBRIEF = `
  select o.id, o.kind, o.cause_id, o.note, o.happened_at, o.day, o.pilot_id, p.name as pilot_name,
    exists (select from debriefs d where d.school_id = o.school_id and d.occurrence_id = o.id) as begun
   ${THOSE}`;
const NEWEST = 'order by o.happened_at desc, o.id desc';

const whoAsks = ({ accountId }: SchoolTx) => ({
  accountId,
  roles: WHO_TRAIN,
});

/** The newest of one's own pilots and of others', and how many there are. */
function toDebriefFirst(school: SchoolTx) {
  const { tx } = school;
  const asked = { ...whoAsks(school), first: AT_FIRST };
  const some = (whose: string) => `(${TO_DEBRIEF} and ${whose} ${NEWEST} limit :first)`;
  return Promise.all([
    rowsOf(
      tx,
      tx.raw(`select * from (${some(`not ${OTHERS}`)} union all ${some(OTHERS)}) o ${NEWEST}`, asked),
    ),
    rowsOf<{ readonly mine: number; readonly all: number }>(
      tx,
      tx.raw(`select count(*) filter (where not ${OTHERS}) as mine, count(*) as all ${THOSE}`, asked),
    ),
  ]);
}

/** Occurrences to debrief, newest first, a page at a time. */
export async function toDebriefPage(school: SchoolTx, { query }: Context): Promise<ToDebriefPage> {
  const { after, whose } = query;
  if (after !== undefined && (typeof after !== 'string' || !UUID.test(after)))
    throw badField('after', 'after must be a key: leave it out, or put one into the address.');
  const { rows } = (await school.tx.raw(
    `${TO_DEBRIEF}
      and (:after::uuid is null
        or (o.happened_at, o.id) < (select happened_at, id from occurrences where id = :after))
      and (:all::bool or not ${OTHERS}) ${NEWEST} limit :most`,
    { ...whoAsks(school), after: after ?? null, all: whose !== 'mine', most: A_PAGE + 1 },
  )) as { rows: ToDebriefPage['toDebrief'][number][] };
  return { toDebrief: rows.slice(0, A_PAGE), hasMore: rows.length > A_PAGE };
}

/**
 * Who needs something now: occurrences whose cause nobody has confirmed, weaknesses not yet signed, and those
 * on watch whose next check is near. Of the weaknesses none is left out: what a pilot may not fly until cleared is
 * judged by them, without signal too.
 */
export async function today(school: SchoolTx) {
  const { tx } = school;
  const debriefs = toDebriefFirst(school);
  const weaknesses = rowsOf(
    tx,
    tx('weaknesses as w')
      .join('pilots as p', (on) => on.on('p.school_id', 'w.school_id').andOn('p.id', 'w.pilot_id'))
      .select(
        'w.id',
        'w.pilot_id',
        'p.name as pilot_name',
        'w.cause_id',
        'w.state',
        'w.check_from',
        'w.check_passed',
        'w.limited',
        'w.rungs',
        'w.opened_at',
      )
      .whereNull('p.forgotten_at')
      .where((due) =>
        due
          .whereIn('w.state', [...OPEN_STATES])
          .orWhere((watched) =>
            watched
              .where({ 'w.state': 'watch' })
              .whereRaw('w.check_from <= current_date + ?::int', [CHECKS_DAYS_AHEAD]),
          ),
      )
      .orderBy(['p.name', 'w.opened_at']),
  );
  const [[toDebrief, [counts]], open] = await Promise.all([debriefs, weaknesses]);
  const { mine, all } = counts!;
  const leftOf = (number: number) => Math.max(0, number - AT_FIRST);
  const left = leftOf(mine);
  return { toDebrief, toDebriefLeft: { mine: left, all: left + leftOf(all - mine) }, weaknesses: open };
}
