import { type Column, quantileOf } from '../table/table';
import { type RecordedField, QUANTITY_OF } from './fields';

const MOST_LOOKED = 20_000;

/** The middle of what is between two neighbours, without its sign; NaN where nothing changes. */
export function medianStep(values: Float64Array): number {
  // Stretches all over the flight say it as well as all of it.
  const stride = Math.max(1, Math.floor(values.length / MOST_LOOKED));
  const steps = new Float64Array(Math.ceil(values.length / stride));
  let count = 0;
  for (let i = 1; i < values.length; i += stride) {
    const step = Math.abs(values[i]! - values[i - 1]!);
    if (step > 0) {
      steps[count] = step;
      count += 1;
    }
  }
  return quantileOf(steps.subarray(0, count), 0.5);
}

/** Lines a second that recorders write lie between one in five seconds and a thousand, s between two. */
const [FASTEST_S, SLOWEST_S] = [1e-3, 5];
/** Flights last so long at least and at most, s. */
const [SHORTEST_S, LONGEST_S] = [10, 7200];

function timeUnit({ kind, values }: Column): string {
  if (kind !== 'number') return 's';
  const step = medianStep(values);
  const lasts = quantileOf(values, 1) - quantileOf(values, 0);
  const fits = [
    ['s', 1],
    ['ms', 1e-3],
    ['us', 1e-6],
    ['ns', 1e-9],
  ] as const;
  const possible = fits.filter(([, factor]) => step * factor >= FASTEST_S && step * factor <= SLOWEST_S);
  const likely = possible.filter(([, factor]) => lasts * factor >= SHORTEST_S && lasts * factor <= LONGEST_S);
  return (likely[0] ?? possible[0] ?? fits[0])[0];
}

/** Sticks by lowest, middle and highest figure: most of the time they stand in the middle. */
function stickUnit({ values }: Column): string {
  const [low, middle, high] = [quantileOf(values, 0), quantileOf(values, 0.5), quantileOf(values, 1)];
  return rawSticks(low, middle, high) ?? shareOfStick(low, middle, high);
}

function rawSticks(low: number, middle: number, high: number): string | null {
  if (high > 1900 || (low > 800 && middle > 1200)) return '1000 to 2000';
  if (low >= 200 && middle > 700) return '0 to 2047';
  if (low < -700 || high > 700) return '-1000 to 1000';
  return low < -101 || high > 101 ? '-660 to 660' : null;
}

function shareOfStick(low: number, middle: number, high: number): string {
  if (low < -1.05) return '%';
  if (high > 1.05) return low >= 0 && middle > 20 ? '0 to 100 %' : '%';
  return low >= 0 && middle > 0.3 ? '0 to 1' : '1';
}

/** Radians never come to this; degrees nearly always do, over a flight. */
const MOST_RADIANS = 6.4;

/** Nobody flies so far over half of the time, rad. */
const NEVER_FLOWN = 0.9;

function angleUnit(field: RecordedField, { values }: Column): string {
  const most = Math.max(Math.abs(quantileOf(values, 0)), Math.abs(quantileOf(values, 1)));
  if (most > 4_000) return '0.01 deg';
  if (most > 400) return '0.1 deg';
  if (most > MOST_RADIANS) return 'deg';
  const isLean = field === 'roll' || field === 'pitch';
  return isLean && quantileOf(values.map(Math.abs), 0.5) > NEVER_FLOWN ? 'deg' : 'rad';
}

function earthUnit(field: RecordedField, { values }: Column): string {
  const most = Math.max(Math.abs(quantileOf(values, 0)), Math.abs(quantileOf(values, 1)));
  if (most > 360) return '1e-7 deg';
  return most <= (field === 'latitude' ? Math.PI / 2 : Math.PI) + 1e-3 ? 'rad' : 'deg';
}

/** The unit that a column's figures can be in. */
export function unitByRange(field: RecordedField, column: Column): string {
  const most = Math.abs(quantileOf(column.values, 1));
  switch (QUANTITY_OF[field]) {
    case 'time':
      return timeUnit(column);
    case 'degrees-on-earth':
      return earthUnit(field, column);
    case 'angle':
      return angleUnit(field, column);
    case 'stick':
      return stickUnit(column);
    case 'share':
      return quantileOf(column.values, 1) < -1.001 ? 'dBm' : most <= 1.001 ? '1' : '%';
    case 'pressure':
      return most > 20_000 ? 'Pa' : most < 200 ? 'kPa' : 'hPa';
    case 'length':
      return 'm';
    case 'speed':
      return 'm/s';
    case 'word':
      return '';
    default:
      return '1';
  }
}
