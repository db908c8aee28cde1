import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';
import { notFound } from '../problem/problem';

/** An occurrence with what its page says of the pilot. */
export async function occurrencePage(school: SchoolTx, id: string): Promise<unknown> {
  const page = (await occurrencePages(school, [id]))[id];
  if (!page) throw notFound('occurrence');
  return page;
}

/** The pages of several by their keys, in one statement. */
export async function occurrencePages(
  { tx }: SchoolTx,
  ids: readonly string[],
): Promise<Readonly<Record<string, unknown>>> {
  const rows = await rowsOf<{ readonly id: string }>(
    tx,
    tx('occurrences as o')
      .join('pilots as p', (on) => on.on('p.school_id', 'o.school_id').andOn('p.id', 'o.pilot_id'))
      .select('o.*', 'p.name as pilot_name', 'p.mode as pilot_mode', 'p.stick_layout as pilot_stick_layout')
      .whereRaw('o.id = any(?::uuid[])', [[...ids]]),
  );
  return Object.fromEntries(rows.map((row) => [row.id, row]));
}
