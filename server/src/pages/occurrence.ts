import type { SchoolTx } from '../db/in-school';
import { notFound } from '../problem/problem';

/** An occurrence with what its page says of the pilot. */
export async function occurrencePage({ tx }: SchoolTx, id: string): Promise<unknown> {
  const row = (await tx('occurrences as o')
    .join('pilots as p', (on) => on.on('p.school_id', 'o.school_id').andOn('p.id', 'o.pilot_id'))
    .select('o.*', 'p.name as pilot_name', 'p.mode as pilot_mode', 'p.stick_layout as pilot_stick_layout')
    .where({ 'o.id': id })
    .first()) as unknown;
  if (!row) throw notFound('occurrence');
  return row;
}
