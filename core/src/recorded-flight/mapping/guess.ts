import { quantileOf, type Table, thinnedTable } from '../table/table';
import { assignByName, type Assigned } from './by-name';
import { unitByRange } from './by-range';
import { type RecordedField, QUANTITY_OF, unitNamed } from './fields';
import { hangTogether, placesOf } from './hang-together';
import { fieldInSi } from './in-si';
import { mappedTo, type MappedColumn, type Mapping } from './mapping';
import { modesSaid } from './mode-words';

/** Fields that only say something together. */
const TOGETHER: readonly (readonly RecordedField[])[] = [
  ['latitude', 'longitude'],
  ['east', 'north'],
  ['v_east', 'v_north'],
  ['q_w', 'q_x', 'q_y', 'q_z'],
  ['roll', 'pitch'],
  ['wind_east', 'wind_north'],
];

/** Half a pair says nothing: it is no guess. */
const whole = (assigned: readonly Assigned[]): readonly Assigned[] => {
  const there = new Set(assigned.map(({ field }) => field));
  return assigned.filter(({ field }) =>
    TOGETHER.every((group) => !group.includes(field) || group.every((each) => there.has(each))),
  );
};

function mapped(table: Table, { at, field, sign }: Assigned): MappedColumn {
  const column = table.columns[at]!;
  const quantity = QUANTITY_OF[field];
  const named = unitNamed(quantity, column.unit);
  if (column.kind === 'number' && named) return { at, field, unit: named.id, sign, because: 'header' };
  return { at, field, unit: unitByRange(field, column), sign, because: 'range' };
}

/** A column that rises all the way and is called nothing that we know is the time. */
function risingColumn(table: Table): number | null {
  const at = table.columns.findIndex(({ kind, values }) => {
    if (kind === 'words' || values.length < 3) return false;
    let rises = 0;
    for (let i = 1; i < values.length; i += 1) if (values[i]! > values[i - 1]!) rises += 1;
    return rises > 0.98 * (values.length - 1);
  });
  return at < 0 ? null : at;
}

const clockLike = (table: Table): number | null => {
  const at = table.columns.findIndex(({ kind }) => kind === 'instant' || kind === 'clock');
  return at < 0 ? null : at;
};

function withTime(table: Table, assigned: readonly Assigned[]): readonly Assigned[] {
  if (assigned.some(({ field }) => field === 'time')) return assigned;
  const at = clockLike(table) ?? risingColumn(table);
  return at === null
    ? assigned
    : [...assigned.filter((each) => each.at !== at), { at, field: 'time', score: 1, sign: 1 }];
}

/** Small craft fly no faster, m/s, and whoever moves at all moves as fast as this. */
const [SLOWEST_MPS, FASTEST_MPS] = [0.2, 45];
/** A flight that stays within this tells nothing by its speed, m. */
const STAYS_M = 8;
const TIME_UNITS = ['s', 'ms', 'us', 'ns'] as const;

const spreadOf = (values: Float64Array): number => quantileOf(values, 0.98) - quantileOf(values, 0.02);

/** Where steps fit two units of time, the one in which it flies as craft do. */
function timeByPlaces(table: Table, mapping: Mapping): Mapping {
  const time = mappedTo(mapping, 'time');
  const places = placesOf(table, mapping);
  if (!time || !places || time.because !== 'range' || table.columns[time.at]!.kind !== 'number')
    return mapping;
  const at = (unit: string): Mapping => ({
    ...mapping,
    columns: mapping.columns.map((each) => (each.field === 'time' ? { ...each, unit } : each)),
  });
  const speedIn = (unit: string): number => {
    const times = fieldInSi(table, at(unit), 'time')!;
    const speeds = new Float64Array(times.length).fill(NaN);
    for (let i = 1; i < times.length; i += 1) {
      const dt = times[i]! - times[i - 1]!;
      if (dt > 0)
        speeds[i] =
          Math.hypot(places.east[i]! - places.east[i - 1]!, places.north[i]! - places.north[i - 1]!) / dt;
    }
    return quantileOf(
      speeds.filter((speed) => speed > 0),
      0.6,
    );
  };
  const isFlown = (unit: string) => {
    const speed = speedIn(unit);
    return speed >= SLOWEST_MPS && speed <= FASTEST_MPS;
  };
  const extent = Math.max(spreadOf(places.east), spreadOf(places.north));
  if (extent < STAYS_M || isFlown(time.unit)) return mapping;
  const fits = TIME_UNITS.find(isFlown);
  return fits ? at(fits) : mapping;
}

/** A recorder writes its angles alike: one that is beyond radians says it of those that happen not to be. */
function alikeAngles(columns: readonly MappedColumn[]): readonly MappedColumn[] {
  const beyond = columns.find(
    ({ field, unit, because }) => because === 'range' && QUANTITY_OF[field] === 'angle' && unit !== 'rad',
  );
  return columns.map((each) =>
    beyond && each.because === 'range' && QUANTITY_OF[each.field] === 'angle' && each.unit === 'rad'
      ? { ...each, unit: beyond.unit }
      : each,
  );
}

/** What the columns of a table mean, as far as names, figures and physics say it. */
export function guessMapping(table: Table): Mapping {
  const assigned = withTime(table, whole(assignByName(table)));
  const columns = alikeAngles(assigned.map((each) => mapped(table, each)));
  const mode = columns.find(({ field }) => field === 'mode');
  const words = mode ? table.columns[mode.at]!.words : [];
  const some = thinnedTable(table);
  const first = timeByPlaces(some, { columns, modes: modesSaid(words) });
  const times = fieldInSi(some, first, 'time');
  return times ? hangTogether(some, times, first) : first;
}
