import type { Knex } from 'knex';
import { inSchool } from '../db/in-school';

interface Who {
  readonly schoolId: string;
  readonly accountId: string | null;
}

interface PlaceRow {
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
}
interface HappenedRow extends PlaceRow {
  readonly id: string;
  readonly kind: string;
  readonly cause: string;
  readonly isConfirmed: boolean;
  readonly day: string;
  readonly windMps: number | null;
  readonly site: string;
}
interface HazardRow extends PlaceRow {
  readonly id: string;
  readonly site: string;
  readonly hazard: string;
}

const PAGE = 1_000;
const FIRST = '00000000-0000-0000-0000-000000000000';

const feature = ({ latitudeDeg, longitudeDeg, ...properties }: PlaceRow): string =>
  JSON.stringify({
    type: 'Feature',
    geometry: { type: 'Point', coordinates: [longitudeDeg, latitudeDeg] },
    properties,
  });

/**
 * What happened, and what to watch out for, at sites whose place is known, for any map (RFC 7946). A map is passed on more
 * freely than a record: it names no pilot, and says nothing that was written of one.
 */
export async function* placesAsGeoJson(db: Knex, who: Who): AsyncGenerator<string> {
  yield '{"type":"FeatureCollection","features":[';
  let first = true;
  const told = (rows: readonly PlaceRow[]): string => {
    if (rows.length === 0) return '';
    const begins = first ? '\n' : ',\n';
    first = false;
    return begins + rows.map(feature).join(',\n');
  };
  const hazards = await inSchool(
    db,
    who,
    ({ tx }) =>
      tx('sites')
        .whereNot({ hazard: '' })
        .whereNotNull('latitude_deg')
        .whereNotNull('longitude_deg')
        .orderBy('id')
        .select('id', 'name as site', 'hazard', 'latitude_deg', 'longitude_deg') as unknown as Promise<
        HazardRow[]
      >,
  );
  yield told(hazards.map((row) => ({ what: 'hazard', ...row })));
  let after = FIRST;
  for (;;) {
    const { rows } = await inSchool(
      db,
      who,
      ({ tx }) =>
        tx.raw(
          `select o.id, o.kind, coalesce(o.confirmed_cause_id, o.cause_id) as cause,
             o.confirmed_cause_id is not null as is_confirmed, o.day, o.wind_mps, s.name as site, s.latitude_deg, s.longitude_deg
             from occurrences o join sites s on s.school_id = o.school_id and s.id = o.site_id
            where o.id > ? and o.withdrawn_at is null and s.latitude_deg is not null and s.longitude_deg is not null
            order by o.id limit ${PAGE}`,
          [after],
        ) as unknown as Promise<{ rows: HappenedRow[] }>,
    );
    if (rows.length === 0) break;
    yield told(rows.map((row) => ({ what: 'occurrence', ...row })));
    after = rows.at(-1)!.id;
  }
  yield '\n]}\n';
}
