import type { Level } from '@skelby/core/vocabulary/training';
import type { WeaknessState } from '@skelby/core/clearance/rungs';
import type { MissReason, Purpose } from '@skelby/core/clearance/facts';
import type { Side } from '@skelby/core/drills/drill';
import type { SpeedSetting } from '@skelby/core/vocabulary/craft-facts';
import type { FlightMode, OccurrenceKind, Place } from '@skelby/core/vocabulary/flying';
import { BREEZY_FROM_MPS, LIGHT_FROM_MPS, type WindBand } from '@skelby/core/vocabulary/wind-band';
import type { Option } from '../forms/Choice';

/** One word for each thing, on every screen. */

export const KIND_WORDS: Readonly<Record<OccurrenceKind, string>> = {
  crash: 'Crash',
  'near-miss': 'Near-miss',
};

export const MODE_WORDS: Readonly<Record<FlightMode, string>> = {
  rate: 'Rate',
  'self-level': 'Self-level',
  'height-hold': 'Height hold',
  'position-hold': 'Position hold',
  programmed: 'Programmed',
};

export const PLACE_WORDS: Readonly<Record<Place, string>> = {
  open: 'Open',
  trees: 'Trees',
  indoors: 'Indoors',
  'under-structure': 'Under a structure',
  'built-up': 'Walls near',
  water: 'Water',
};

export const SETTING_WORDS: Readonly<Record<SpeedSetting, string>> = {
  slow: 'Slow',
  normal: 'Normal',
  fast: 'Fast',
};

export const BAND_WORDS: Readonly<Record<WindBand, string>> = {
  calm: 'Calm',
  light: 'Light',
  breezy: 'Breezy',
};
/** Speeds are left open, to be said in the school's units. */
export const BAND_RANGES: Readonly<Record<WindBand, string>> = {
  calm: `under {v:${LIGHT_FROM_MPS}}`,
  light: `from {v:${LIGHT_FROM_MPS}}`,
  breezy: `from {v:${BREEZY_FROM_MPS}}`,
};

export const SIDE_WORDS: Readonly<Record<Side, string>> = {
  left: 'Left',
  right: 'Right',
  clockwise: 'Clockwise',
  'counter-clockwise': 'Counter-clockwise',
  'tail-on': 'Tail-in',
  'nose-left': 'Nose left',
  'nose-in': 'Nose-in',
  'nose-right': 'Nose right',
};

export const LEVEL_NAMES: Readonly<Record<Level, string>> = {
  [-2]: 'Two steps easier',
  [-1]: 'A step easier',
  0: 'At the standard',
  1: 'A step harder',
};

export const PURPOSE_WORDS: Readonly<Record<Purpose, string>> = {
  practice: 'Practice',
  test: 'Test',
  check: 'Check',
};

export const MISS_WORDS: Readonly<Record<MissReason, string>> = {
  'wrong-first-move': 'Wrong first move',
  'off-the-mark': 'Off the mark',
  height: 'Height',
  nose: 'Nose off',
  'too-fast': 'Too fast',
  'too-late': 'Too late',
  'sensor-stopped-it': 'Sensor stopped it',
  'taken-over': 'Taken over',
};

export const STATE_WORDS: Readonly<Record<WeaknessState, string>> = {
  open: 'Open',
  drilling: 'Drilling',
  'ready-for-check': 'Ready for check',
  watch: 'On watch',
  closed: 'Closed',
  withdrawn: 'Withdrawn',
};

export const STANDING_LINE = 'Local rules and your licensed instructor come first.';

export const optionsOf = <T extends string>(words: Readonly<Record<T, string>>): readonly Option<T>[] =>
  Object.entries<string>(words).map(([value, label]) => ({ value: value as T, label }));

/** From five digits on in groups of three. */
const GROUPED = new Intl.NumberFormat('en-GB', { useGrouping: 'min2', maximumFractionDigits: 6 });
export const grouped = (figure: number): string => GROUPED.format(figure);

export const plural = (count: number, one: string, many = `${one}s`): string =>
  `${grouped(count)} ${count === 1 ? one : many}`;

export const sentenceCase = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
