import { pressureAltitude } from '../../reconstruct/pressure-altitude';
import { LocalFrame } from '../local-frame';
import { finiteOf, quantileOf, type Table } from '../table/table';
import { type RecordedField, type FieldUnit, UNITS_OF, unitOf } from './fields';
import { fieldInSi } from './in-si';
import { type MappedColumn, mappedTo, type Mapping } from './mapping';
import { G_MPS2 } from '../../reconstruct/constants';

/**
 * How the columns of a flight hang together: a speed is how fast places change, a climb how fast heights do, pressure falls
 * as one climbs. What a header does not say, and what it says wrongly, is found by that.
 */

/** Differences are taken over so long, s: what wanders and is rounded is small against it. */
const OVER_S = 1;
/** Slower than this nothing is told of a ratio, m/s. */
const MOVES_MPS = 1;
/** A ratio is one of these units when it comes so near to it. */
const NEAR = 0.12;
const FEWEST = 6;

interface Change {
  /** Middle of the stretch, as a place in the table. */
  readonly at: number;
  readonly perS: number;
}

/** How fast figures change, over stretches of a second one after another. */
function changesOf(times: Float64Array, values: Float64Array): readonly Change[] {
  const changes: Change[] = [];
  let from = 0;
  for (let i = 1; i < times.length; i += 1) {
    const dt = times[i]! - times[from]!;
    if (!(dt >= OVER_S)) continue;
    const change = values[i]! - values[from]!;
    if (dt < 4 * OVER_S && Number.isFinite(change)) changes.push({ at: (from + i) >> 1, perS: change / dt });
    from = i;
  }
  return changes;
}

/** Places in m where the table has any: from the earth's degrees, or as they stand. */
export function placesOf(
  table: Table,
  mapping: Mapping,
): { readonly east: Float64Array; readonly north: Float64Array } | null {
  const [lat, lon] = [fieldInSi(table, mapping, 'latitude'), fieldInSi(table, mapping, 'longitude')];
  if (lat && lon) {
    const first = lat.findIndex(
      (value, i) => Number.isFinite(value) && Number.isFinite(lon[i]!) && value !== 0,
    );
    if (first < 0) return null;
    const frame = new LocalFrame(lat[first]!, lon[first]!);
    const [east, north] = [new Float64Array(table.length), new Float64Array(table.length)];
    for (let i = 0; i < table.length; i += 1)
      [east[i], north[i]] = frame.toLocal(lat[i]!, lon[i]!) as [number, number];
    return { east, north };
  }
  const [east, north] = [fieldInSi(table, mapping, 'east'), fieldInSi(table, mapping, 'north')];
  return east && north ? { east, north } : null;
}

/** The middle ratio of told to worked out, where it moves enough; null where it never does. */
function ratioOf(told: Float64Array, changes: readonly Change[], least = MOVES_MPS): number | null {
  const ratios = changes
    .filter(({ perS }) => Math.abs(perS) > least)
    .map(({ at, perS }) => told[at]! / perS)
    .filter((ratio) => Number.isFinite(ratio) && ratio !== 0);
  return ratios.length < FEWEST ? null : quantileOf(Float64Array.from(ratios), 0.5);
}

/** The unit in which a figure comes out so many times too large; null: none fits. */
function unitBehind(units: readonly FieldUnit[], now: FieldUnit, ratio: number): FieldUnit | null {
  const off = (unit: FieldUnit) => Math.abs(Math.log((ratio * unit.factor) / now.factor));
  const best = units.reduce((a, b) => (off(b) < off(a) ? b : a));
  return off(best) < NEAR && off(best) + 0.05 < off(now) ? best : null;
}

const withUnit = (mapping: Mapping, fields: readonly RecordedField[], unit: string): Mapping => ({
  ...mapping,
  columns: mapping.columns.map((each) =>
    fields.includes(each.field) ? { ...each, unit, because: 'physics' as const } : each,
  ),
});

/** Whether a header or a hand said it: what stands there is doubted last. */
const isSaid = (mapped: MappedColumn | null): boolean =>
  mapped !== null && ['header', 'hand', 'recipe'].includes(mapped.because);

/** Speeds over the ground, each with the fields that share its unit. */
function speedsTold(table: Table, mapping: Mapping) {
  const [speed, east, north] = (['speed', 'v_east', 'v_north'] as const).map((field) =>
    fieldInSi(table, mapping, field),
  );
  return [
    ...(speed ? [{ fields: ['speed'] as const, values: speed }] : []),
    ...(east && north
      ? [
          {
            fields: ['v_east', 'v_north', 'v_up'] as const,
            values: east.map((value, i) => Math.hypot(value, north[i]!)),
          },
        ]
      : []),
  ];
}

/** Speed told against speed from places; places without the earth's degrees may be the ones in other units. */
function bySpeed(table: Table, times: Float64Array, mapping: Mapping): Mapping {
  const places = placesOf(table, mapping);
  if (!places) return mapping;
  const [dx, dy] = [changesOf(times, places.east), changesOf(times, places.north)];
  const moves = dx.map(({ at, perS }, i) => ({ at, perS: Math.hypot(perS, dy[i]?.perS ?? NaN) }));
  let now = mapping;
  for (const { fields, values } of speedsTold(table, mapping)) {
    const ratio = ratioOf(values, moves);
    const told = mappedTo(now, fields[0])!;
    if (ratio === null) continue;
    const isOnEarth = mappedTo(now, 'latitude') !== null;
    if (!isOnEarth && isSaid(told) && !isSaid(mappedTo(now, 'east'))) {
      const is = unitOf('length', mappedTo(now, 'east')!.unit)!;
      const unit = unitBehind(UNITS_OF.length, is, 1 / ratio);
      if (unit) now = withUnit(now, ['east', 'north'], unit.id);
      continue;
    }
    const is = unitOf('speed', told.unit)!;
    const unit = unitBehind(UNITS_OF.speed, is, ratio);
    if (unit) now = withUnit(now, fields, unit.id);
  }
  return now;
}

/** Climb told against how heights change: the sign, and the unit of whichever nobody has said. */
function byClimb(table: Table, times: Float64Array, mapping: Mapping): Mapping {
  const [up, climb] = [fieldInSi(table, mapping, 'up'), fieldInSi(table, mapping, 'v_up')];
  if (!up || !climb) return mapping;
  const ratio = ratioOf(climb, changesOf(times, up), 0.5);
  if (ratio === null) return mapping;
  const [ofUp, ofClimb] = [mappedTo(mapping, 'up')!, mappedTo(mapping, 'v_up')!];
  const turned: Mapping =
    ratio < 0
      ? {
          ...mapping,
          columns: mapping.columns.map((each) =>
            each.field === 'v_up' ? { ...each, sign: each.sign === 1 ? -1 : 1, because: 'physics' } : each,
          ),
        }
      : mapping;
  const size = Math.abs(ratio);
  if (!isSaid(ofUp)) {
    const unit = unitBehind(UNITS_OF.length, unitOf('length', ofUp.unit)!, 1 / size);
    if (unit) return withUnit(turned, ['up'], unit.id);
  }
  const unit = unitBehind(UNITS_OF.speed, unitOf('speed', ofClimb.unit)!, size);
  return unit ? withUnit(turned, ['v_up'], unit.id) : turned;
}

/** Height against pressure, by the standard atmosphere. */
function byPressure(table: Table, mapping: Mapping): Mapping {
  const [up, pressure] = [fieldInSi(table, mapping, 'up'), fieldInSi(table, mapping, 'pressure')];
  const ofUp = mappedTo(mapping, 'up');
  if (!up || !pressure || !ofUp || isSaid(ofUp)) return mapping;
  const heights = pressure.map((pascals) => pressureAltitude(pascals));
  const [spread, spreadUp] = [heights, up].map(
    (values) => quantileOf(values, 0.95) - quantileOf(values, 0.05),
  ) as [number, number];
  if (!(spread > 4)) return mapping;
  const unit = unitBehind(UNITS_OF.length, unitOf('length', ofUp.unit)!, spreadUp / spread);
  return unit ? withUnit(mapping, ['up'], unit.id) : mapping;
}

/** Lean against acceleration: whoever speeds up leans by the arc tangent of it over g, drag aside. */
function byLean(table: Table, times: Float64Array, mapping: Mapping): Mapping {
  const [roll, pitch] = [fieldInSi(table, mapping, 'roll'), fieldInSi(table, mapping, 'pitch')];
  const places = placesOf(table, mapping);
  const ofRoll = mappedTo(mapping, 'roll');
  if (!roll || !pitch || !places || !ofRoll || isSaid(ofRoll)) return mapping;
  const speedUp = (values: Float64Array) => {
    const changes = changesOf(times, values);
    return changes.slice(1).map((each, i) => ({ at: each.at, perS: each.perS - changes[i]!.perS }));
  };
  const [ax, ay] = [speedUp(places.east), speedUp(places.north)];
  const ratios = ax.flatMap(({ at, perS }, i) => {
    const needed = Math.atan(Math.hypot(perS, ay[i]?.perS ?? NaN) / G_MPS2);
    const lean = Math.hypot(roll[at]!, pitch[at]!);
    return needed > 0.08 && lean > 0 ? [lean / needed] : [];
  });
  if (ratios.length < FEWEST) return mapping;
  const ratio = quantileOf(finiteOf(Float64Array.from(ratios)), 0.5);
  const is = unitOf('angle', ofRoll.unit)!;
  // Drag adds lean, and a second smears it: only a wrong unit is so far off.
  const off = (unit: FieldUnit) => Math.abs(Math.log((ratio * unit.factor) / is.factor));
  const best = UNITS_OF.angle.reduce((a, b) => (off(b) < off(a) ? b : a));
  return off(best) + 1 < off(is) ? withUnit(mapping, ['roll', 'pitch'], best.id) : mapping;
}

/** A mapping with units that fit each other. @param times in s */
export function hangTogether(table: Table, times: Float64Array, mapping: Mapping): Mapping {
  const checks = [
    (now: Mapping) => byPressure(table, now),
    (now: Mapping) => bySpeed(table, times, now),
    (now: Mapping) => byClimb(table, times, now),
    (now: Mapping) => byLean(table, times, now),
  ];
  return checks.reduce((now, check) => check(now), mapping);
}
