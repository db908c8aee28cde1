import { MONTHS_TOLD, type InsightsPage } from '@skelby/core/pages/insights';
import { BREEZY_FROM_MPS, LIGHT_FROM_MPS } from '@skelby/core/vocabulary/wind-band';
import type { Context } from 'koa';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';
import { badField } from '../problem/problem';

const USUAL_MONTHS = 12;
/** Before a weakness and after it so many days are looked at. */
const DAYS_AROUND = 180;

function monthsAsked({ query }: Context): number {
  const asked = query['months'] === undefined ? USUAL_MONTHS : Number(query['months']);
  if (!Number.isInteger(asked) || asked < MONTHS_TOLD.least || asked > MONTHS_TOLD.most)
    throw badField(
      'months',
      `months must be a whole number from ${MONTHS_TOLD.least} to ${MONTHS_TOLD.most}.`,
    );
  return asked;
}

/** What was flown, and what happened, by one thing that both have. */
const happenedBy = (of: string): string => `
  select by, sum(flights)::int as flights, sum(minutes)::float as minutes, sum(crashes)::int as crashes,
    sum(near_misses)::int as near_misses
  from (select ${of} as by, count(*) as flights, sum(minutes) as minutes, 0 as crashes, 0 as near_misses from flights
         where day between :first and :last group by 1
        union all
        select ${of}, 0, 0, count(*) filter (where kind = 'crash'), count(*) filter (where kind = 'near-miss')
          from occurrences where day between :first and :last and withdrawn_at is null group by 1) each
  group by by`;

export const BAND = `case when wind_mps is null then null when wind_mps < ${LIGHT_FROM_MPS} then 'calm'
  when wind_mps < ${BREEZY_FROM_MPS} then 'light' else 'breezy' end`;

const named = (table: 'sites' | 'craft', of: string): string => `
  select t.id, coalesce(t.name, '') as name, h.flights, h.minutes, h.crashes, h.near_misses
    from (${happenedBy(of)}) h left join ${table} t on t.id = h.by order by t.name nulls last`;

const MONTHS = `
  select to_char(m, 'YYYY-MM') as month, coalesce(h.flights, 0) as flights, coalesce(h.minutes, 0) as minutes,
    coalesce(h.crashes, 0) as crashes, coalesce(h.near_misses, 0) as near_misses
    from generate_series(date_trunc('month', :first::date), :last::date, interval '1 month') m
    left join (${happenedBy("date_trunc('month', day)")}) h on h.by = m order by m`;

const CAUSES = `
  select coalesce(confirmed_cause_id, cause_id) as cause_id,
    count(*) filter (where kind = 'crash')::int as crashes, count(*) filter (where kind = 'near-miss')::int as near_misses
    from occurrences where day between :first and :last and withdrawn_at is null
   group by 1 order by count(*) desc, 1`;

/** What opened a weakness is no part of what happened before it: it would make every drill look good. */
const WENT = `
  select w.cause_id, coalesce(p.drill_ids, '{}') as drill_ids, m.moves, t.taught,
    json_build_object('flights', (select count(*) from flights f where f.pilot_id = w.pilot_id
        and f.day >= m.opened_on - :around::int and f.day < m.opened_on),
      'events', (select count(*) from occurrences o where o.pilot_id = w.pilot_id and o.withdrawn_at is null
        and o.confirmed_cause_id = w.cause_id and o.day >= m.opened_on - :around::int and o.day < m.opened_on
        and not exists (select 1 from moves x where x.weakness_id = w.id and x.kind = 'opened' and x.occurrence_id = o.id)))
      as before,
    json_build_object('flights', (select count(*) from flights f where f.pilot_id = w.pilot_id
        and f.day > m.signed_on and f.day <= m.signed_on + :around::int),
      'events', (select count(*) from occurrences o where o.pilot_id = w.pilot_id and o.withdrawn_at is null
        and o.confirmed_cause_id = w.cause_id and o.day > m.signed_on and o.day <= m.signed_on + :around::int))
      as after
    from weaknesses w
    left join lateral (select drill_ids from plans p where p.weakness_id = w.id order by made_at desc limit 1) p on true
    left join lateral (select taught from opening_stamps s where s.weakness_id = w.id and s.taught is not null
      order by s.at limit 1) t on true
    cross join lateral (
      select json_agg(json_build_object('id', id, 'kind', kind, 'at', to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'),
          'reason', null, 'undoes', undoes) order by at, id) as moves,
        min(at) filter (where kind = 'opened')::date as opened_on,
        min(at) filter (where kind in ('signed', 'signed-early')
          and not exists (select 1 from moves u where u.undoes = each.id))::date as signed_on
        from moves each where weakness_id = w.id) m
   where w.opened_at::date <= :last and w.state <> 'withdrawn' and m.moves is not null
     and w.opened_at >= :first::date - interval '2 years'`;

/** What the school can be told of itself, over some months up to this one. */
export async function insightsPage({ tx }: SchoolTx, ctx: Context): Promise<InsightsPage> {
  const months = monthsAsked(ctx);
  const { rows } = (await tx.raw(
    `select to_char(date_trunc('month', current_date) - make_interval(months => ?), 'YYYY-MM-DD') as first,
       to_char(current_date, 'YYYY-MM-DD') as last`,
    [months - 1],
  )) as { rows: [{ first: string; last: string }] };
  const [{ first, last }] = rows;
  const read = <Row extends object>(sql: string) =>
    rowsOf<Row>(
      tx,
      tx.raw(sql, { first, last, ...(sql.includes(':around') ? { around: DAYS_AROUND } : {}) }),
    );
  type Bands = InsightsPage['bands'][number];
  const [monthRows, sites, craft, bands, causes, weaknesses] = await Promise.all([
    read<InsightsPage['months'][number]>(MONTHS),
    read<InsightsPage['sites'][number]>(named('sites', 'site_id')),
    read<InsightsPage['craft'][number]>(named('craft', 'craft_id')),
    read<Omit<Bands, 'band'> & { readonly by: Bands['band'] }>(`${happenedBy(BAND)} order by 1`),
    read<InsightsPage['causes'][number]>(CAUSES),
    read<InsightsPage['weaknesses'][number]>(WENT),
  ]);
  return {
    ...{ from: first, to: last, months: monthRows, sites, craft, causes, weaknesses },
    bands: bands.map(({ by, ...band }) => ({ ...band, band: by })),
  };
}
