import type { Knex } from 'knex';
import * as first from './migrations/001-first';
import * as debriefs from './migrations/002-debriefs';
import * as field from './migrations/003-field';
import * as runs from './migrations/004-runs';
import * as failedChecks from './migrations/005-failed-checks';
import * as clearance from './migrations/006-clearance';
import * as whatDecides from './migrations/007-what-decides';
import * as announcedTests from './migrations/008-announced-tests';
import * as reporting from './migrations/009-reporting';
import * as shownBefore from './migrations/010-shown-before';
import * as formsAndSides from './migrations/011-forms-and-sides';
import * as strictAndDistance from './migrations/012-strict-and-distance';
import * as narrowRole from './migrations/013-narrow-role';
import * as signInLimits from './migrations/014-sign-in-limits';
import * as forgetting from './migrations/015-forgetting';
import * as linkUse from './migrations/016-link-use';
import * as cameIn from './migrations/017-came-in';
import * as people from './migrations/018-people';
import * as imports from './migrations/019-imports';
import * as secondFactor from './migrations/020-second-factor';
import * as secondSigner from './migrations/021-second-signer';
import * as consent from './migrations/022-consent';
import * as retention from './migrations/023-retention';
import * as checkpoints from './migrations/024-checkpoints';
import * as trainers from './migrations/025-trainers';
import * as flatPages from './migrations/026-flat-pages';
import * as severalSchools from './migrations/027-several-schools';
import * as pilotsSignIn from './migrations/028-pilots-sign-in';
import * as settledHistory from './migrations/029-settled-history';
import * as sandbox from './migrations/030-sandbox';
import * as judgedBy from './migrations/031-judged-by';
import * as flightFiles from './migrations/032-flight-files';
import * as course from './migrations/033-course';
import * as hazards from './migrations/034-hazards';
import * as sessionPlanned from './migrations/035-session-planned';
import * as search from './migrations/036-search';
import * as calendarLinks from './migrations/037-calendar-links';
import * as apiTokens from './migrations/038-api-tokens';
import * as caseJudgements from './migrations/039-case-judgements';
import * as methods from './migrations/040-methods';
import * as schoolKeys from './migrations/041-school-keys';
import * as seenInVideo from './migrations/042-seen-in-video';
import { TWO_ROLES } from './working-role';

const MIGRATIONS: Readonly<Record<string, Knex.Migration>> = {
  '001-first': first,
  '002-debriefs': debriefs,
  '003-field': field,
  '004-runs': runs,
  '005-failed-checks': failedChecks,
  '006-clearance': clearance,
  '007-what-decides': whatDecides,
  '008-announced-tests': announcedTests,
  '009-reporting': reporting,
  '010-shown-before': shownBefore,
  '011-forms-and-sides': formsAndSides,
  '012-strict-and-distance': strictAndDistance,
  '013-narrow-role': narrowRole,
  '014-sign-in-limits': signInLimits,
  '015-forgetting': forgetting,
  '016-link-use': linkUse,
  '017-came-in': cameIn,
  '018-people': people,
  '019-imports': imports,
  '020-second-factor': secondFactor,
  '021-second-signer': secondSigner,
  '022-consent': consent,
  '023-retention': retention,
  '024-checkpoints': checkpoints,
  '025-trainers': trainers,
  '026-flat-pages': flatPages,
  '027-several-schools': severalSchools,
  '028-pilots-sign-in': pilotsSignIn,
  '029-settled-history': settledHistory,
  '030-sandbox': sandbox,
  '031-judged-by': judgedBy,
  '032-flight-files': flightFiles,
  '033-course': course,
  '034-hazards': hazards,
  '035-session-planned': sessionPlanned,
  '036-search': search,
  '037-calendar-links': calendarLinks,
  '038-api-tokens': apiTokens,
  '039-case-judgements': caseJudgements,
  '040-methods': methods,
  '041-school-keys': schoolKeys,
  '042-seen-in-video': seenInVideo,
};

const source: Knex.MigrationSource<string> = {
  getMigrations: () => Promise.resolve(Object.keys(MIGRATIONS)),
  getMigrationName: (name) => name,
  getMigration: (name) => Promise.resolve(MIGRATIONS[name]!),
};

/**
 * The role the application works as. Roles belong to the whole cluster, so it may be there
 * already, or the database's owner may not be allowed to make it.
 */
export async function ensureRole(db: Knex): Promise<void> {
  const { rows } = (await db.raw(
    "select rolsuper or rolbypassrls as strong from pg_roles where rolname = 'skelby_app'",
  )) as { rows: { strong: boolean }[] };
  if (rows[0]?.strong)
    throw new Error(
      'The database role skelby_app can bypass row-level security. Run: alter role skelby_app nosuperuser nobypassrls;',
    );
  try {
    if (rows.length === 0) await db.raw('create role skelby_app nologin nosuperuser nobypassrls');
    await db.raw('grant skelby_app to current_user');
  } catch (error) {
    const { rows: member } = (await db.raw(
      "select pg_has_role(current_user, oid, 'member') as ok from pg_roles where rolname = 'skelby_app'",
    )) as { rows: { ok: boolean }[] };
    if (member[0]?.ok) return;
    throw new Error(
      `This database user may not make or use the role skelby_app (${(error as Error).message}).\n` +
        TWO_ROLES,
    );
  }
}

const CONFIG = { migrationSource: source, tableName: 'skelby_migrations' };
/** Any number of our own: whoever holds it is the only one to bring this database up to date. */
const MIGRATING = 5_041_331;

/**
 * Brings a database up to date. Several may do so at once: the others wait, and find it done. The lock is the
 * connection's, so that a start that was killed leaves none behind, and what such a one left of Knex's own is freed.
 */
export async function migrate(db: Knex): Promise<void> {
  const client = db.client as Knex.Client;
  const connection = (await client.acquireConnection()) as unknown;
  const ask = (sql: string) => db.raw(sql, [MIGRATING]).connection(connection);
  try {
    await ask('select pg_advisory_lock(?)');
    await ensureRole(db);
    const hasLock = await db.schema.hasTable('skelby_migrations_lock');
    if (hasLock) await db.migrate.forceFreeMigrationsLock(CONFIG);
    await db.migrate.latest(CONFIG);
  } finally {
    await ask('select pg_advisory_unlock(?)');
    await client.releaseConnection(connection);
  }
}

/** @throws Error when the database is not as far as this server, or further */
export async function assertUpToDate(db: Knex): Promise<void> {
  const wanted = Object.keys(MIGRATIONS).at(-1)!;
  const [there] = (await db('skelby_migrations')
    .max('name as name')
    .catch(() => [])) as { name: string | null }[];
  if (there?.name !== wanted)
    throw new Error(
      `The database stands at ${there?.name ?? 'nothing'}, and this server needs ${wanted}. Run ./skelby migrate with the DATABASE_URL of its owner, with the newest version.`,
    );
}
