import type { DrillId } from '../drills/drills';
import type { MEASURES, MeasureId } from './measures/measures';

type MeasureIn<Unit> = {
  [Id in MeasureId]: (typeof MEASURES)[Id]['unit'] extends Unit ? Id : never;
}[MeasureId];

/** The value of a rep that is worth writing down beside met or missed. */
export interface RecordedValue {
  /** The measure; the worst of it in all parts of a rep is written down. */
  readonly of: MeasureId;
  /** SI unit. */
  readonly unit: 'm' | 's';
  readonly step: number;
  /** Parts in which it is measured; absent: those of the standard for the same measure, else all. */
  readonly in?: readonly number[];
}

type How = Partial<Pick<RecordedValue, 'step' | 'in'>>;
const valueIn =
  <Unit extends 'm' | 's'>(unit: Unit, step: number) =>
  (of: MeasureIn<Unit>, how: How = {}): RecordedValue => ({ of, unit, step, ...how });
const metres = valueIn('m', 0.5);
const seconds = valueIn('s', 1);

/** Which value of a rep each drill writes down, by tape, by timer or from a flight. */
export const RECORDED_VALUES: Readonly<Partial<Record<DrillId, RecordedValue>>> = {
  'half-thumb': seconds('small-for'),
  'stick-call': seconds('answer-time', { step: 0.1 }),
  'mirror-call': seconds('answer-time', { step: 0.1 }),
  'pop-up-takeoff': metres('cross-track'),
  'tail-in-hover': metres('cross-track'),
  'fore-aft-line': metres('overshoot'),
  'lateral-line': metres('cross-track'),
  'pad-landing': metres('touch-miss', { step: 0.1 }),
  'into-wind-hover': metres('cross-track'),
  'side-on-hover': metres('cross-track'),
  'nose-in-hover': metres('cross-track'),
  'clock-hover': metres('cross-track'),
  'lead-walk': seconds('tail-on-time', { step: 10 }),
  'tail-in-ring': metres('cross-track'),
  'lean-and-lift': metres('height'),
  'circle-both-ways': metres('cross-track'),
  'circle-height-steps': metres('height'),
  'figure-eight': metres('cross-track'),
  'orbit-the-post': metres('cross-track'),
  'safe-posture': seconds('lasted'),
  'tumble-recovery': metres('height-lost', { step: 1 }),
  'brake-to-mark': metres('stop-miss'),
  'mode-stop-table': metres('stopped-in', { in: [1, 4] }),
  'climb-over': metres('clearance'),
  'blind-side-brake': metres('stopped-in'),
  'clear-the-line': metres('stopped-in', { in: [1] }),
  'tilt-hands': metres('cross-track'),
  'stand-off-judging': metres('judging-error'),
  'gap-ladder': metres('gap-offset', { step: 0.1 }),
  'portal-drop': metres('gap-offset', { step: 0.1 }),
  'under-roof-pass': metres('height', { step: 0.1 }),
  'hold-off-hover': metres('cross-track'),
  'hold-off-line': metres('overshoot'),
  'surprise-hold-loss': metres('moved'),
  'leg-circuit': metres('mark'),
  'crab-leg': metres('cross-track'),
  'airflow-step': metres('cross-track'),
  'release-drill': seconds('hands-off', { step: 0.1 }),
};
