import { guarded } from '@skelby/core/exchange/formula-guard';
import { stringify } from 'csv-stringify/sync';
import type { Knex } from 'knex';
import { inSchool } from '../db/in-school';

interface Who {
  readonly schoolId: string;
  readonly accountId: string | null;
}

/** A table that leaves as a file: what it is made of, and its columns by their SQL. */
interface LeavingTable {
  /** Its own rows are called t. */
  readonly from: string;
  readonly columns: Readonly<Record<string, string>>;
}

const own = (...names: readonly string[]) => Object.fromEntries(names.map((name) => [name, `t.${name}`]));
const instant = (column: string): string =>
  `to_char(${column} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`;
const day = (column: string): string => `to_char(${column}, 'YYYY-MM-DD')`;
const list = (column: string): string => `array_to_string(${column}, ' ')`;
const PILOT = 'join pilots p on p.school_id = t.school_id and p.id = t.pilot_id';
const BY = 'left join accounts a on a.school_id = t.school_id and a.id = t.account_id';
const OF_PILOT = { id: 't.id', pilot_id: 't.pilot_id', pilot: 'p.name' };

/** SI units, which stand in the names of the columns; days and instants by ISO 8601; whether by true and false. */
export const LEAVING_TABLES = {
  flights: {
    from: `flights t ${PILOT} join craft c on c.school_id = t.school_id and c.id = t.craft_id
      join sites s on s.school_id = t.school_id and s.id = t.site_id`,
    columns: {
      ...OF_PILOT,
      ...{ day: day('t.day'), craft: 'c.name', site: 's.name' },
      ...own('packs', 'minutes', 'wind_mps', 'farthest_m', 'highest_m'),
    },
  },
  reps: {
    from: `reps t ${PILOT} join weaknesses w on w.school_id = t.school_id and w.id = t.weakness_id
      left join craft c on c.school_id = t.school_id and c.id = t.craft_id ${BY}`,
    columns: {
      ...OF_PILOT,
      ...own('weakness_id'),
      ...{ cause_id: 'w.cause_id', day: day('t.day'), flown_at: instant('t.flown_at') },
      ...own(
        'drill_id',
        'drill_version',
        'purpose',
        'met',
        'miss_reason',
        'side',
        'level',
        'band',
        'flown_on',
      ),
      ...{ craft: 'c.name' },
      ...own('mode', 'pilot_relative', 'pack', 'measure', 'judged_by', 'stage', 'width_spans', 'distance_m'),
      ...{ counted_by: 'a.name', recorded_at: instant('t.recorded_at') },
      ...{ taken_back_at: instant('t.taken_back_at'), taken_back_reason: 't.taken_back_reason' },
    },
  },
  weaknesses: {
    from: `weaknesses t ${PILOT}`,
    columns: {
      ...OF_PILOT,
      ...{ cause_id: 't.cause_id', opened_at: instant('t.opened_at'), state: 't.state' },
      ...{ signed_early: 't.signed_early', check_from: day('t.check_from') },
    },
  },
  moves: {
    from: `moves t join weaknesses w on w.school_id = t.school_id and w.id = t.weakness_id
      join pilots p on p.school_id = w.school_id and p.id = w.pilot_id ${BY}`,
    columns: {
      ...{ id: 't.id', weakness_id: 't.weakness_id', pilot: 'p.name', cause_id: 'w.cause_id' },
      ...{ kind: 't.kind', at: instant('t.at'), undoes: 't.undoes', by: 'a.name', reason: 't.reason' },
    },
  },
  course: {
    from: `course_facts t ${PILOT} ${BY}`,
    columns: {
      ...OF_PILOT,
      ...{ kind: 't.kind', day: day('t.day'), at: instant('t.at') },
      ...own('drill_id', 'side', 'met', 'miss_reason', 'flown_on', 'band', 'fact_id', 'reason'),
      ...{ said_by: 'a.name' },
    },
  },
  pilots: {
    from: 'pilots t',
    columns: {
      ...own(
        'id',
        'name',
        'mode',
        'stick_layout',
        'track',
        'wind_limit_mps',
        'hold_off',
        'is_minor',
        'consent_by',
      ),
      ...{ shown: list('t.shown'), note: 't.note' },
    },
  },
  craft: {
    from: 'craft t',
    columns: {
      ...own('id', 'name', 'mode', 'mass_kg', 'span_m', 'rotors', 'rotor_radius_m', 'thrust_to_weight'),
      ...own('top_speed_mps', 'top_speed_slow_mps', 'top_speed_fast_mps', 'lean_slow_deg', 'lean_normal_deg'),
      ...own('lean_fast_deg', 'endurance_min', 'sensors_in_fast', 'has_height_hold', 'has_position_hold'),
      ...own('has_pilot_relative', 'has_motor_stop', 'has_pause_switch'),
      ...{ sensor_sides: list('t.sensor_sides'), note: 't.note' },
    },
  },
  sites: {
    from: 'sites t',
    columns: own(
      ...['id', 'name', 'place', 'tallest_m', 'ceiling_m', 'altitude_m', 'latitude_deg', 'longitude_deg'],
      ...['hazard', 'help', 'note'],
    ),
  },
} as const satisfies Readonly<Record<string, LeavingTable>>;

export type LeavingTableName = keyof typeof LEAVING_TABLES;

const PAGE = 1_000;
const FIRST = '00000000-0000-0000-0000-000000000000';
type Cell = string | number | boolean | null;

/** Only a text may be a formula: of a number the minus is its own. */
const cellOf = (value: Cell): string =>
  value === null ? '' : typeof value === 'string' ? guarded(value) : String(value);

/** A table of the school as a file (RFC 4180), in the order of its keys, a page at a time. */
export async function* tableAsCsv(db: Knex, who: Who, name: LeavingTableName): AsyncGenerator<string> {
  const { from, columns }: LeavingTable = LEAVING_TABLES[name];
  const options = { record_delimiter: 'windows' } as const;
  yield stringify([Object.keys(columns)], options);
  // One list a row: names that stand twice, and the case of a name, make no difference.
  const cells = Object.values(columns).join(', ');
  for (let after = FIRST; ;) {
    const { rows } = await inSchool(
      db,
      who,
      ({ tx }) =>
        tx.raw(
          `select t.id, json_build_array(${cells}) as cells from ${from} where t.id > ? order by t.id limit ${PAGE}`,
          [after],
        ) as unknown as Promise<{ rows: { readonly id: string; readonly cells: readonly Cell[] }[] }>,
    );
    const last = rows.at(-1);
    if (!last) return;
    yield stringify(
      rows.map((row) => row.cells.map(cellOf)),
      options,
    );
    after = last.id;
  }
}
