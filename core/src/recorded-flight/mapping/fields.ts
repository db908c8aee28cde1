/** What a column can mean. World axes east, north, up; body axes ahead, left, up; sticks −1 to 1 in SI. */
export const FIELDS = [
  'time',
  'latitude',
  'longitude',
  'east',
  'north',
  'up',
  'v_east',
  'v_north',
  'v_up',
  'speed',
  'course',
  'roll',
  'pitch',
  'heading',
  'q_w',
  'q_x',
  'q_y',
  'q_z',
  'stick_throttle',
  'stick_yaw',
  'stick_pitch',
  'stick_roll',
  'mode',
  'battery',
  'satellites',
  'pressure',
  'wind_east',
  'wind_north',
  'hold',
  'link',
] as const;
export type RecordedField = (typeof FIELDS)[number];

export type Quantity =
  | 'time'
  | 'degrees-on-earth'
  | 'length'
  | 'speed'
  | 'angle'
  | 'share'
  | 'stick'
  | 'count'
  | 'pressure'
  | 'word'
  | 'plain';

export const QUANTITY_OF: Readonly<Record<RecordedField, Quantity>> = {
  time: 'time',
  latitude: 'degrees-on-earth',
  longitude: 'degrees-on-earth',
  east: 'length',
  north: 'length',
  up: 'length',
  v_east: 'speed',
  v_north: 'speed',
  v_up: 'speed',
  speed: 'speed',
  course: 'angle',
  roll: 'angle',
  pitch: 'angle',
  heading: 'angle',
  q_w: 'plain',
  q_x: 'plain',
  q_y: 'plain',
  q_z: 'plain',
  stick_throttle: 'stick',
  stick_yaw: 'stick',
  stick_pitch: 'stick',
  stick_roll: 'stick',
  mode: 'word',
  battery: 'share',
  satellites: 'count',
  pressure: 'pressure',
  wind_east: 'speed',
  wind_north: 'speed',
  hold: 'plain',
  link: 'share',
};

/** A unit, and what one of it is in SI (sticks: after the middle has been taken off). */
export interface FieldUnit {
  readonly id: string;
  readonly factor: number;
  /** Taken off before. */
  readonly middle?: number;
  /** What is beyond its ends is at them. */
  readonly within?: readonly [number, number];
}

const unit = (id: string, factor: number, middle?: number): FieldUnit => ({
  id,
  factor,
  ...(middle === undefined ? {} : { middle }),
});

const DEG = Math.PI / 180;
const FOOT = 0.3048;
const KNOT = 1852 / 3600;
const MILE = 1609.344 / 3600;

/** Every unit of a quantity, the most usual first. Factors: SI brochure and the international foot, mile and knot. */
export const UNITS_OF: Readonly<Record<Quantity, readonly FieldUnit[]>> = {
  time: [unit('s', 1), unit('ms', 1e-3), unit('us', 1e-6), unit('min', 60), unit('ns', 1e-9)],
  'degrees-on-earth': [unit('deg', 1), unit('1e-7 deg', 1e-7), unit('rad', 1 / DEG)],
  length: [unit('m', 1), unit('ft', FOOT), unit('cm', 0.01), unit('mm', 0.001)],
  speed: [
    unit('m/s', 1),
    unit('km/h', 1 / 3.6),
    unit('kn', KNOT),
    unit('mph', MILE),
    unit('ft/s', FOOT),
    unit('cm/s', 0.01),
    unit('mm/s', 0.001),
  ],
  angle: [unit('deg', DEG), unit('rad', 1), unit('0.1 deg', DEG / 10), unit('0.01 deg', DEG / 100)],
  // Of received power, from memory: a strong link is about −50 dBm, and at −100 there is none.
  share: [unit('%', 0.01), unit('1', 1), { ...unit('dBm', 1 / 50, -100), within: [0, 1] }],
  stick: [
    unit('1', 1),
    unit('%', 0.01),
    unit('0 to 1', 2, 0.5),
    unit('0 to 100 %', 0.02, 50),
    unit('1000 to 2000', 1 / 500, 1500),
    unit('0 to 2047', 1 / 660, 1024),
    unit('-1000 to 1000', 1e-3),
    unit('-660 to 660', 1 / 660),
  ],
  count: [unit('1', 1)],
  pressure: [unit('hPa', 100), unit('Pa', 1), unit('kPa', 1000)],
  word: [unit('', 1)],
  plain: [unit('1', 1)],
};

/** How a unit may be written in a header. */
const WRITTEN: Readonly<Record<string, string>> = {
  sec: 's',
  seconds: 's',
  msec: 'ms',
  milliseconds: 'ms',
  microseconds: 'us',
  µs: 'us',
  μs: 'us',
  '°': 'deg',
  degree: 'deg',
  degrees: 'deg',
  dege7: '1e-7 deg',
  degrees_e7: '1e-7 deg',
  radians: 'rad',
  cdeg: '0.01 deg',
  meter: 'm',
  meters: 'm',
  metres: 'm',
  feet: 'ft',
  mps: 'm/s',
  'm.s-1': 'm/s',
  kmh: 'km/h',
  kph: 'km/h',
  kt: 'kn',
  kts: 'kn',
  knots: 'kn',
  'mi/h': 'mph',
  percent: '%',
  mbar: 'hPa',
  hpa: 'hPa',
  pa: 'Pa',
  us: 'us',
};

/** The unit of a quantity that a header names; null: none that fits. */
export function unitNamed(quantity: Quantity, written: string | null): FieldUnit | null {
  if (written === null) return null;
  const plain = written.trim().toLowerCase();
  const id = WRITTEN[plain] ?? plain;
  return UNITS_OF[quantity].find((each) => each.id.toLowerCase() === id.toLowerCase()) ?? null;
}

export const unitOf = (quantity: Quantity, id: string): FieldUnit | null =>
  UNITS_OF[quantity].find((each) => each.id === id) ?? null;
