import type { Column, Table } from '../table/table';
import type { RecordedField } from './fields';

/** What a name says: all of these words are in it, and none of those. */
interface NameRule {
  readonly field: RecordedField;
  readonly has: RegExp;
  readonly hasNot?: RegExp;
  readonly score: number;
  /** It counts down, or to the left. */
  readonly reversed?: boolean;
}

const rule = (field: RecordedField, has: RegExp, score: number, hasNot?: RegExp): NameRule => ({
  field,
  has,
  score,
  ...(hasNot ? { hasNot } : {}),
});
const reversed = (named: NameRule): NameRule => ({ ...named, reversed: true });

const HOME =
  /\b(home|target|set ?point|goal|wanted|waypoint|pilot|operator|controller|battery|gimbal|camera)\b/;
const WIND = /\bwind\b/;
const STICK = /\b(stick|input|rc|hand|command|cmd)\b/;
const RATE = /\b(rate|gyro|accel|acceleration|acc|std|sigma|accuracy|error|variance)\b/;
const NOT_PLACE = new RegExp(`${HOME.source}|${WIND.source}|${RATE.source}|${STICK.source}`);

/** Everyday words of the trade, from memory; the higher the score the surer. Names are lower case words with spaces. */
const RULES: readonly NameRule[] = [
  rule('time', /^(time|t|elapsed|timestamp|clock|time stamp|log time|flight time)$/, 10),
  rule('time', /\b(time|timestamp|elapsed|epoch|utc)\b/, 5, /\b(zone|left|remaining|fly)\b/),
  rule('latitude', /\b(lat|latitude)\b/, 9, HOME),
  rule('longitude', /\b(lon|lng|long|longitude)\b/, 9, HOME),
  rule('v_up', /\b(climb|vertical speed|vertical velocity|speed up|vs|vario)\b/, 8, RATE),
  rule(
    'v_up',
    /\bv ?(up|u)\b|\bvel(ocity)? (up|u)\b|\bspeed z\b|\bvz\b|\bv z\b|\bvel(ocity)? z\b/,
    8,
    NOT_PLACE,
  ),
  reversed(rule('v_up', /\bv ?(down|d)\b|\bvel(ocity)? (down|d)\b|\bsink\b/, 8, NOT_PLACE)),
  rule(
    'v_east',
    /\bv ?(east|e)\b|\bvel(ocity)? (east|e)\b|\bspeed (x|east)\b|\bvx\b|\bv x\b|\bvel(ocity)? x\b/,
    8,
    NOT_PLACE,
  ),
  rule(
    'v_north',
    /\bv ?(north|n)\b|\bvel(ocity)? (north|n)\b|\bspeed (y|north)\b|\bvy\b|\bv y\b|\bvel(ocity)? y\b/,
    8,
    NOT_PLACE,
  ),
  rule('speed', /\b(ground ?speed|gs|speed over ground|sog)\b/, 9, NOT_PLACE),
  rule(
    'speed',
    /\b(speed|velocity)\b/,
    5,
    new RegExp(`${NOT_PLACE.source}|\\b(x|y|z|air|vertical|motor|rotor)\\b`),
  ),
  rule('up', /\b(height|agl|above ground|relative altitude|rel alt|up)\b/, 8, NOT_PLACE),
  rule('up', /\b(alt|altitude|elevation|ele|hgt)\b/, 7, NOT_PLACE),
  rule('up', /^(z|pos z|position z|local z)$/, 6),
  reversed(rule('up', /^(down|d|pos d|position down)$/, 7)),
  rule('east', /^(east|e|x|pos x|position x|pos e|east m|local x|x east)$/, 8),
  rule('north', /^(north|n|y|pos y|position y|pos n|north m|local y|y north)$/, 8),
  rule('course', /\b(course|track|cog|direction of travel)\b/, 8, NOT_PLACE),
  rule('heading', /\b(heading|yaw|compass|nose)\b/, 7, NOT_PLACE),
  rule('roll', /\b(roll|bank)\b/, 7, NOT_PLACE),
  rule('pitch', /\bpitch\b/, 7, NOT_PLACE),
  rule('q_w', /^(q ?w|q ?0|quat(ernion)? (w|0))$/, 9),
  rule('q_x', /^(q ?x|q ?1|quat(ernion)? (x|1))$/, 9),
  rule('q_y', /^(q ?y|q ?2|quat(ernion)? (y|2))$/, 9),
  rule('q_z', /^(q ?z|q ?3|quat(ernion)? (z|3))$/, 9),
  rule('stick_throttle', /\bthrottle\b|\b(stick|rc|input|cmd|command|hand) (up|lift|thr)\b/, 8),
  rule(
    'stick_yaw',
    /\b(rudder)\b|\b(stick|rc|input|cmd|command|hand) (yaw|turn)\b|\byaw (stick|input|cmd|command)\b/,
    9,
  ),
  rule(
    'stick_pitch',
    /\b(elevator)\b|\b(stick|rc|input|cmd|command|hand) (pitch|ahead)\b|\bpitch (stick|input|cmd|command)\b/,
    9,
  ),
  rule(
    'stick_roll',
    /\b(aileron)\b|\b(stick|rc|input|cmd|command|hand) (roll|side)\b|\broll (stick|input|cmd|command)\b/,
    9,
  ),
  rule('mode', /\b(mode|flight state|fly state|state)\b/, 7, /\b(camera|gimbal|motor|battery|gps)\b/),
  rule(
    'battery',
    /\b(battery|charge|soc|remaining)\b/,
    7,
    /\b(volt|voltage|current|temp|temperature|amps?|cell|time)\b/,
  ),
  rule('satellites', /\b(sats?|satellites?|num sats?)\b/, 8),
  rule('pressure', /\b(pressure|baro|static pressure)\b/, 8, /\b(alt|altitude|height)\b/),
  rule('wind_east', /\bwind (east|e|x)\b/, 9),
  rule('wind_north', /\bwind (north|n|y)\b/, 9),
  rule('link', /\b(link|signal|reception|radio|rssi)\b/, 7, /\b(video|time|id|type|count|name)\b/),
  rule('hold', /^(hold|position hold|holds|hold on)$/, 8),
];

/** A column's name as lower case words: `GroundSpeed_kmh` is `ground speed kmh`. Of a topic and its field, both. */
export const wordsOf = (name: string): string =>
  name
    .replace(/([a-z\d])([A-Z])/g, '$1 $2')
    .replace(/[^A-Za-z\d]+/g, ' ')
    .trim()
    .toLowerCase();

export interface NamedField {
  readonly field: RecordedField;
  readonly score: number;
  readonly sign: 1 | -1;
}

/** Every field that a name may mean, the surest first. */
export function fieldsNamed(column: Pick<Column, 'name'>): readonly NamedField[] {
  const words = wordsOf(column.name);
  // A topic before the dot is no part of a short name.
  const own = words.split(' ').slice(-2).join(' ');
  const last = wordsOf(column.name.split('.').at(-1) ?? '');
  return RULES.filter(
    ({ has, hasNot }) => (has.test(words) || has.test(own) || has.test(last)) && !hasNot?.test(words),
  )
    .map(({ field, score, reversed }) => ({ field, score, sign: reversed ? (-1 as const) : (1 as const) }))
    .sort((a, b) => b.score - a.score);
}

export interface Assigned extends NamedField {
  readonly at: number;
}

const hasFigures = ({ values }: Column): boolean => values.some(Number.isFinite);

/** Each field to the column whose name says it most surely, each column once. */
export function assignByName(table: Table): readonly Assigned[] {
  const offers = table.columns.flatMap((column, at) =>
    hasFigures(column) ? fieldsNamed(column).map((named) => ({ ...named, at })) : [],
  );
  const taken: Assigned[] = [];
  for (const offer of offers.sort((a, b) => b.score - a.score || a.at - b.at))
    if (!taken.some(({ at, field }) => at === offer.at || field === offer.field)) taken.push(offer);
  return taken.sort((a, b) => a.at - b.at);
}
