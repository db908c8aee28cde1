import { CHECKS_DAYS_AHEAD } from '@skelby/core/pages/pages';
import { OPEN_STATES } from '@skelby/core/clearance/open-states';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';

/**
 * Who needs something now: occurrences whose cause nobody has confirmed, weaknesses not yet signed, and those
 * on watch whose next check is near.
 */
export async function today({ tx }: SchoolTx) {
  const begun = tx.raw(
    'exists (select 1 from debriefs d where d.school_id = o.school_id and d.occurrence_id = o.id) as begun',
  );
  const toDebrief = rowsOf(
    tx,
    tx('occurrences as o')
      .join('pilots as p', (on) => on.on('p.school_id', 'o.school_id').andOn('p.id', 'o.pilot_id'))
      .select(
        'o.id',
        'o.kind',
        'o.cause_id',
        'o.note',
        'o.happened_at',
        'o.day',
        'o.pilot_id',
        'p.name as pilot_name',
        begun,
      )
      .whereNull('o.confirmed_cause_id')
      .whereNull('o.withdrawn_at')
      .whereNull('p.forgotten_at')
      .orderBy('o.happened_at'),
  );
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
  const [debriefs, open] = await Promise.all([toDebrief, weaknesses]);
  return { toDebrief: debriefs, weaknesses: open };
}
