import type { FlightMode } from '../../vocabulary/flying';
import type { RecordedField } from '../mapping/fields';

/** How a recorder writes one column: its header, the unit, how it is rounded. */
export interface WrittenColumn {
  readonly title: string;
  readonly field: RecordedField;
  readonly unit: string;
  readonly decimals: number;
  readonly sign?: 1 | -1;
}

/** A recorder of our own invention: what it writes, how often, how well, and what goes wrong with it. */
export interface MadeUpRecorder {
  readonly name: string;
  readonly format: 'csv' | 'gpx' | 'geojson' | 'ulog';
  readonly hz: number;
  readonly columns: readonly WrittenColumn[];
  /** How it writes the time: seconds and the like by the unit of its column, or as a moment or an hour. */
  readonly time: 'figure' | 'instant' | 'clock';
  readonly delimiter?: ',' | ';' | '\t';
  readonly decimalComma?: boolean;
  readonly before?: readonly string[];
  readonly modes?: Readonly<Partial<Record<FlightMode, string>>>;
  /** How its places err: spread, m, and how slowly, s. */
  readonly wander?: { readonly m: number; readonly s: number };
  /** How its height drifts, m in ten minutes. */
  readonly driftM?: number;
  /** It knows a new place only so often, Hz, and writes the last one meanwhile. */
  readonly placesHz?: number;
  /** Stretches in which it wrote nothing, s. */
  readonly dropouts?: readonly (readonly [fromS: number, toS: number])[];
}

const column = (title: string, field: RecordedField, unit: string, decimals: number): WrittenColumn => ({
  ...{ title, field, unit, decimals },
});
/** It counts the other way. */
const downward = (written: WrittenColumn): WrittenColumn => ({ ...written, sign: -1 });

const EARTH = (decimals: number): readonly WrittenColumn[] => [
  column('latitude', 'latitude', 'deg', decimals),
  column('longitude', 'longitude', 'deg', decimals),
];

/** They ship with the app, to try it with. */
export const MADE_UP_RECORDERS: readonly MadeUpRecorder[] = [
  {
    name: 'fell-box',
    format: 'csv',
    hz: 10,
    time: 'figure',
    columns: [
      column('elapsed', 'time', 'ms', 0),
      ...EARTH(7),
      column('height [ft]', 'up', 'ft', 1),
      column('ground speed', 'speed', 'km/h', 1),
      column('course', 'course', 'deg', 1),
      column('bank', 'roll', 'deg', 1),
      column('pitch', 'pitch', 'deg', 1),
      column('heading', 'heading', 'deg', 1),
      column('stick throttle', 'stick_throttle', '1000 to 2000', 0),
      column('stick yaw', 'stick_yaw', '1000 to 2000', 0),
      column('stick pitch', 'stick_pitch', '1000 to 2000', 0),
      column('stick roll', 'stick_roll', '1000 to 2000', 0),
      column('mode', 'mode', '', 0),
      column('charge', 'battery', '%', 0),
    ],
    modes: { 'position-hold': 'Hold position', 'height-hold': 'Hold height', programmed: 'Return' },
    wander: { m: 1, s: 25 },
    driftM: 1,
  },
  {
    name: 'beck-logger',
    format: 'csv',
    hz: 50,
    time: 'figure',
    before: ['Beck logger 3', 'craft;Hover 1'],
    delimiter: ';',
    decimalComma: true,
    columns: [
      column('t [us]', 'time', 'us', 0),
      column('x east [m]', 'east', 'm', 3),
      column('y north [m]', 'north', 'm', 3),
      downward(column('down [m]', 'up', 'm', 3)),
      column('v east', 'v_east', 'm/s', 2),
      column('v north', 'v_north', 'm/s', 2),
      downward(column('v down', 'v_up', 'm/s', 2)),
      column('q w', 'q_w', '1', 5),
      column('q x', 'q_x', '1', 5),
      column('q y', 'q_y', '1', 5),
      column('q z', 'q_z', '1', 5),
      column('hand throttle', 'stick_throttle', '%', 0),
      column('hand yaw', 'stick_yaw', '%', 0),
      column('hand pitch', 'stick_pitch', '%', 0),
      column('hand roll', 'stick_roll', '%', 0),
    ],
  },
  {
    name: 'cairn-watch',
    format: 'gpx',
    hz: 1,
    time: 'instant',
    columns: [column('time', 'time', 's', 0), ...EARTH(6), column('ele', 'up', 'm', 1)],
    wander: { m: 1.2, s: 25 },
    dropouts: [[31, 36]],
  },
  {
    name: 'tarn-map',
    format: 'geojson',
    hz: 5,
    time: 'instant',
    columns: [column('time', 'time', 's', 3), ...EARTH(7), column('ele', 'up', 'm', 2)],
    wander: { m: 1, s: 25 },
  },
  {
    name: 'scree-card',
    format: 'csv',
    hz: 25,
    time: 'clock',
    columns: [
      column('clock', 'time', 's', 3),
      ...EARTH(7),
      column('altitude [m]', 'up', 'm', 1),
      column('SpeedNorth', 'v_north', 'kn', 1),
      column('SpeedEast', 'v_east', 'kn', 1),
      column('climb', 'v_up', 'ft/s', 1),
      column('Roll', 'roll', 'rad', 3),
      column('Pitch', 'pitch', 'rad', 3),
      column('Yaw', 'heading', 'rad', 3),
      column('sats', 'satellites', '1', 0),
    ],
    wander: { m: 1, s: 25 },
    placesHz: 5,
  },
  {
    name: 'ridge-core',
    format: 'ulog',
    hz: 50,
    time: 'figure',
    columns: [
      column('place.east', 'east', 'm', 4),
      column('place.north', 'north', 'm', 4),
      column('place.up', 'up', 'm', 4),
      column('place.v_east', 'v_east', 'm/s', 4),
      column('place.v_north', 'v_north', 'm/s', 4),
      column('place.v_up', 'v_up', 'm/s', 4),
      column('attitude.q_w', 'q_w', '1', 6),
      column('attitude.q_x', 'q_x', '1', 6),
      column('attitude.q_y', 'q_y', '1', 6),
      column('attitude.q_z', 'q_z', '1', 6),
    ],
  },
];
