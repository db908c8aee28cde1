import type { Column, Table } from '../table/table';

/** A place on the earth with its moment: degrees, m, s since 1970; NaN where it was not told. */
export interface TimedPoint {
  readonly lat: number;
  readonly lon: number;
  readonly ele: number;
  readonly time: number;
}

/** Points of a track as a table, whose columns say themselves what they are. */
export function pointsTable(points: readonly TimedPoint[]): Table {
  const column = (name: string, unit: string | null, of: keyof TimedPoint): Column => ({
    ...{ name, unit, words: [], kind: of === 'time' ? 'instant' : 'number' },
    values: Float64Array.from(points, (point) => point[of]),
  });
  return {
    length: points.length,
    columns: [
      column('time', null, 'time'),
      column('latitude', 'deg', 'lat'),
      column('longitude', 'deg', 'lon'),
      column('altitude', 'm', 'ele'),
    ],
  };
}
