import type { FlightEventName } from '@skelby/core/recorded-flight/events/flight-event';
import type { RecordedField } from '@skelby/core/recorded-flight/mapping/fields';

/** What happened in a recorded flight, as a trainer says it. */
export const EVENT_NAMES: Readonly<Record<FlightEventName, string>> = {
  'take-off': 'Took off',
  landing: 'Landed',
  hit: 'Hit something',
  'ends-in-the-air': 'The recording ends in the air',
  'tipped-over': 'Lay on its side',
  snapped: 'Flipped or snapped over',
  'own-wash': 'Sank in its own wash',
  slid: 'Slid with hands off',
  'swung-up': 'Swung to and fro',
  'flew-itself': 'Flew by itself',
  'mode-changed': 'Another mode',
  'low-battery': 'Battery low',
  far: 'Further than it can be read',
  high: 'Higher than the limit',
  gap: 'Nothing recorded',
};

/** What a column means. */
export const FIELD_NAMES: Readonly<Record<RecordedField, string>> = {
  time: 'Time',
  latitude: 'Latitude',
  longitude: 'Longitude',
  east: 'Metres east',
  north: 'Metres north',
  up: 'Height',
  v_east: 'Speed east',
  v_north: 'Speed north',
  v_up: 'Climb',
  speed: 'Speed over the ground',
  course: 'Way over the ground',
  roll: 'Lean to the right',
  pitch: 'Nose up',
  heading: 'Where the nose points',
  q_w: 'Attitude, w',
  q_x: 'Attitude, x',
  q_y: 'Attitude, y',
  q_z: 'Attitude, z',
  stick_throttle: 'Throttle stick',
  stick_yaw: 'Yaw stick',
  stick_pitch: 'Pitch stick',
  stick_roll: 'Roll stick',
  mode: 'Mode',
  battery: 'Battery',
  satellites: 'Satellites',
  pressure: 'Air pressure',
  wind_east: 'Wind toward east',
  wind_north: 'Wind toward north',
  hold: 'Position hold',
};
