import { DAYS_LATELY, MOST_REPS_BEFORE, REPS_BEFORE, REPS_LATELY } from '@skelby/core/insights/early-signs';
import type { SignsPage } from '@skelby/core/pages/signs';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';
import { BAND } from './insights';

/** Reps of longer ago say nothing of now, and a drill that was not flown for so long is slipping nowhere. */
const [REPS_DAYS, STILL_FLOWN_DAYS] = [365, 30];
const DAYS_BEFORE = 365;

const misses = (which: string): string =>
  `json_build_object('events', count(*) filter (where ${which} and not met),
     'tries', count(*) filter (where ${which}))`;

const DRILLED = `
  select p.id as pilot_id, p.name as pilot_name, r.drill_id, r.level, r.flown_on,
      ${misses('nth <= :lately')} as lately, ${misses('nth > :lately')} as before
    from (select pilot_id, drill_id, drill_version, level, flown_on, met, day,
        row_number() over (partition by pilot_id, drill_id, drill_version, level, flown_on order by flown_at desc, id desc) as nth
      from reps where taken_back_at is null and day > current_date - :days::int) r
    join pilots p on p.id = r.pilot_id and p.forgotten_at is null
   where nth <= :most
   group by p.id, p.name, r.drill_id, r.drill_version, r.level, r.flown_on
  having count(*) >= :least and max(r.day) > current_date - :still::int
   order by p.name, r.drill_id, r.level`;

const counted = (of: string): string => `
  json_build_object('flights', (select count(*) from flights f where f.pilot_id = p.id and ${of}),
    'nearMisses', (select count(*) from occurrences f where f.pilot_id = p.id and f.kind = 'near-miss'
      and f.withdrawn_at is null and ${of}))`;
const LATELY = 'f.day > current_date - :lately::int and f.day <= current_date';

const FLOWN = `
  select p.id as pilot_id, p.name as pilot_name, last.day as last_flown_on, ${counted(LATELY)} as lately,
      ${counted('f.day <= current_date - :lately::int and f.day > current_date - :lately::int - :before::int')} as before
    from pilots p cross join lateral (select max(day) as day from flights where pilot_id = p.id) last
   where p.forgotten_at is null and last.day > current_date - :before::int
   order by p.name`;

const CHECKS = `
  select w.id as weakness_id, w.cause_id, w.check_from as due, p.id as pilot_id, p.name as pilot_name
    from weaknesses w join pilots p on p.school_id = w.school_id and p.id = w.pilot_id
   where w.state = 'watch' and w.check_from < current_date and p.forgotten_at is null
   order by w.check_from`;

const PLACES = `
  select s.id as site_id, s.name as site_name, h.band, sum(flights)::int as flights, sum(minutes)::float as minutes,
      sum(crashes)::int as crashes, sum(near_misses)::int as near_misses
    from (select site_id, ${BAND} as band, count(*) as flights, sum(minutes) as minutes, 0 as crashes, 0 as near_misses
            from flights where day > current_date - :before::int group by 1, 2
          union all
          select site_id, ${BAND}, 0, 0, count(*) filter (where kind = 'crash'), count(*) filter (where kind = 'near-miss')
            from occurrences where day > current_date - :before::int and withdrawn_at is null group by 1, 2) h
    join sites s on s.id = h.site_id where h.band is not null
   group by s.id, s.name, h.band having sum(flights) > 0 order by s.name, h.band`;

/** What early signs are looked for in, of everybody who flies. */
export async function signsPage({ tx }: SchoolTx): Promise<SignsPage> {
  const asked = { before: DAYS_BEFORE, lately: DAYS_LATELY };
  const [[day], drilled, flown, checks, places] = await Promise.all([
    rowsOf<{ readonly today: string }>(tx, tx.raw("select to_char(current_date, 'YYYY-MM-DD') as today")),
    rowsOf<SignsPage['drilled'][number]>(
      tx,
      tx.raw(DRILLED, {
        ...{ lately: REPS_LATELY, most: REPS_LATELY + MOST_REPS_BEFORE, least: REPS_LATELY + REPS_BEFORE },
        ...{ days: REPS_DAYS, still: STILL_FLOWN_DAYS },
      }),
    ),
    rowsOf<SignsPage['flown'][number]>(tx, tx.raw(FLOWN, asked)),
    rowsOf<SignsPage['checks'][number]>(tx, tx.raw(CHECKS)),
    rowsOf<SignsPage['places'][number]>(tx, tx.raw(PLACES, { before: DAYS_BEFORE })),
  ]);
  return { today: day!.today, drilled, flown, checks, places };
}
