import type { CauseId } from '@skelby/core/causes/causes';
import type { Findings } from '@skelby/core/debrief/findings';
import { guarded } from '@skelby/core/exchange/formula-guard';
import { inPublicWords } from '@skelby/core/exchange/public-taxonomy';
import { stringify } from 'csv-stringify/sync';
import type { Knex } from 'knex';
import { inSchool } from '../db/in-school';

interface Who {
  readonly schoolId: string;
  readonly accountId: string | null;
}

interface Row {
  readonly id: string;
  readonly kind: string;
  readonly happenedAt: string;
  readonly causeId: CauseId | null;
  readonly note: string;
  readonly latitudeDeg: number | null;
  readonly longitudeDeg: number | null;
  readonly massKg: number | null;
  readonly rotors: number | null;
  readonly windMps: number | null;
  readonly findings: Partial<Findings> | null;
}

const COLUMNS = [
  ...[
    'occurrence_id',
    'kind',
    'utc',
    'occurrence_category',
    'flight_phase',
    'injury_level',
    'aircraft_damage',
  ],
  ...['third_party', 'latitude_deg', 'longitude_deg', 'aircraft_mass_kg', 'aircraft_rotors', 'wind_mps'],
  'narrative',
] as const;

const PAGE = 1_000;
const FIRST = '00000000-0000-0000-0000-000000000000';

/** Of a debrief that keeps the name back the words are kept back too: they may tell whose it is. */
function cellsOf({ findings, ...row }: Row): readonly string[] {
  const { evidence = {}, injury = null, damage = null, thirdParty, nameWithheld = false } = findings ?? {};
  const { phase } = evidence as { readonly phase?: unknown };
  const told = inPublicWords({
    causeId: row.causeId,
    phase: typeof phase === 'string' ? phase : null,
    ...{ injury, damage: findings ? damage : null, kind: row.kind },
  });
  const text = (value: unknown): string => (value === null || value === undefined ? '' : String(value));
  return [
    ...[row.id, row.kind, row.happenedAt, told.category, told.phase, told.injury, told.damage],
    ...[thirdParty, row.latitudeDeg, row.longitudeDeg, row.massKg, row.rotors, row.windMps].map(text),
    nameWithheld ? '' : guarded(row.note),
  ];
}

/**
 * Occurrences in the words of public reporting (RFC 4180), without a pilot's name; those that were withdrawn are left out.
 */
export async function* reportsAsCsv(db: Knex, who: Who): AsyncGenerator<string> {
  const options = { record_delimiter: 'windows' } as const;
  yield stringify([COLUMNS], options);
  for (let after = FIRST; ;) {
    const { rows } = await inSchool(
      db,
      who,
      ({ tx }) =>
        tx.raw(
          `select o.id, o.kind, to_char(o.happened_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as happened_at,
             o.confirmed_cause_id as cause_id, o.note, s.latitude_deg, s.longitude_deg, c.mass_kg, c.rotors, o.wind_mps, d.findings
             from occurrences o
             left join craft c on c.school_id = o.school_id and c.id = o.craft_id
             left join sites s on s.school_id = o.school_id and s.id = o.site_id
             left join lateral (select findings from debriefs where school_id = o.school_id and occurrence_id = o.id order by number desc limit 1) d on true
            where o.withdrawn_at is null and o.id > ? order by o.id limit ${PAGE}`,
          [after],
        ) as unknown as Promise<{ rows: Row[] }>,
    );
    const last = rows.at(-1);
    if (!last) return;
    yield stringify(rows.map(cellsOf), options);
    after = last.id;
  }
}
