import { createHash } from 'node:crypto';
import type { SchoolTx } from '../db/in-school';

/** Read and written about, without anything on a page being another. */
const CHANGES_NO_PAGE = ['signed-in', 'opened', 'exported'];

/**
 * Names what the pages of a school say today. It is another name once anything was changed, since every change is
 * written down. The newest change alone would miss one that began before it and was committed after it; those are
 * counted for longer than anything can take. A change that has grown that old makes another version of the same.
 */
export async function schoolVersion({ tx, schoolId }: SchoolTx): Promise<string> {
  const { rows } = (await tx.raw(
    `select
       (select at::text from events where school_id = :schoolId and action <> all(:silent)
          order by at desc, id desc limit 1) as newest,
       (select count(*) from events where school_id = :schoolId and action <> all(:silent)
          and at > now() - interval '10 minutes') as lately,
       current_date as day`,
    { schoolId, silent: [CHANGES_NO_PAGE] as unknown as string },
  )) as { rows: { newest: string | null; lately: number; day: string }[] };
  const [{ newest, lately, day }] = rows as [(typeof rows)[number]];
  return createHash('sha256')
    .update(JSON.stringify([schoolId, newest, lately, day]))
    .digest('base64url')
    .slice(0, 22);
}
