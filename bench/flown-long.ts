import type { TestServer } from '../server/src/testing/test-school';

/** A weakness with a great many reps behind it, as the figures want one. */

const OPENED_AT = '2020-01-02T09:00:00Z';
/** Reps of a flying day. */
export const A_DAY = 12;

/** Opened long ago; what was written down is not changed but here. */
export const openedLongAgo = ({ db }: TestServer, weaknessId: string): Promise<void> =>
  db.transaction(async (tx) => {
    await tx.raw('set local session_replication_role = replica');
    await tx('moves').where({ weaknessId }).update({ at: OPENED_AT });
    await tx('plans').where({ weaknessId }).update({ madeAt: OPENED_AT });
    await tx('opening_stamps').where({ weaknessId }).update({ at: OPENED_AT });
  });

/** Reps of a weakness over so many flying days, as they are flown: practice, then tests in an announced set. */
export async function fillWithReps({ db }: TestServer, weaknessId: string, behind: number): Promise<void> {
  await db.raw(
    `
    with w as (select school_id, id, pilot_id from weaknesses where id = ?),
         n as (select i, ('2026-03-03'::date + (i / ${A_DAY}) - ?::int) as day, i % ${A_DAY} as k from generate_series(0, ? - 1) i),
         sets as (
           insert into test_sets (school_id, id, weakness_id, drill_id, side, number, day, at)
           select w.school_id, gen_random_uuid(), w.id, 'tail-in-hover', null, 4, n.day, n.day + time '10:00'
             from w, n where n.k = 8 returning id, day)
    insert into reps (school_id, id, weakness_id, pilot_id, drill_id, purpose, met, band, flown_on, mode, pilot_relative, pack, day, flown_at, test_set_id)
    select w.school_id, gen_random_uuid(), w.id, w.pilot_id, 'tail-in-hover', case when k >= 8 then 'test' else 'practice' end, i % 4 <> 1,
           'calm', 'craft', 'position-hold', false, 1, n.day, n.day + time '10:01' + k * interval '1 minute', s.id
      from w, n left join sets s on s.day = n.day and n.k >= 8`,
    [weaknessId, Math.ceil(behind / A_DAY), behind],
  );
}
