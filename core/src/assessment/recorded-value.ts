import type { DrillId } from '../drills/drills';
import type { MEASURES, MeasureId } from './measures/measures';

type MeasureIn<Unit> = {
  [Id in MeasureId]: (typeof MEASURES)[Id]['unit'] extends Unit ? Id : never;
}[MeasureId];

/** The value of a rep that is worth writing down beside met or missed. */
export interface RecordedValue {
  /** The measure; the worst of it in all parts of a rep is written down. */
  readonly of: MeasureId;
  /** As the trainer with tape or timer calls it. */
  readonly label: string;
  /** SI unit. */
  readonly unit: 'm' | 's';
  readonly step: number;
  /** Parts in which it is measured; absent: those of the standard for the same measure, else all. */
  readonly in?: readonly number[];
}

type How = Partial<Pick<RecordedValue, 'step' | 'in'>>;
const valueIn =
  <Unit extends 'm' | 's'>(unit: Unit, step: number) =>
  (of: MeasureIn<Unit>, label: string, how: How = {}): RecordedValue => ({ of, label, unit, step, ...how });
const metres = valueIn('m', 0.5);
const seconds = valueIn('s', 1);

/** Which value of a rep each drill writes down, by tape, by timer or from a flight. */
export const RECORDED_VALUES: Readonly<Partial<Record<DrillId, RecordedValue>>> = {
  'half-thumb': seconds('small-for', 'Small thumbs for'),
  'stick-call': seconds('answer-time', 'Usual answer time', { step: 0.1 }),
  'mirror-call': seconds('answer-time', 'Usual answer time', { step: 0.1 }),
  'pop-up-takeoff': metres('cross-track', 'Drift'),
  'tail-in-hover': metres('cross-track', 'Worst distance'),
  'fore-aft-line': metres('overshoot', 'Overshoot'),
  'lateral-line': metres('cross-track', 'Off the line'),
  'pad-landing': metres('touch-miss', 'Miss distance', { step: 0.1 }),
  'into-wind-hover': metres('cross-track', 'Worst distance'),
  'side-on-hover': metres('cross-track', 'Worst distance'),
  'nose-in-hover': metres('cross-track', 'Worst distance'),
  'clock-hover': metres('cross-track', 'Worst distance'),
  'lead-walk': seconds('tail-on-time', 'Tail-on for', { step: 10 }),
  'tail-in-ring': metres('cross-track', 'Radius error'),
  'lean-and-lift': metres('height', 'Height error'),
  'circle-both-ways': metres('cross-track', 'Radius error'),
  'circle-height-steps': metres('height', 'Height error'),
  'figure-eight': metres('cross-track', 'Radius error'),
  'orbit-the-post': metres('cross-track', 'Radius error'),
  'safe-posture': seconds('lasted', 'Until safe'),
  'tumble-recovery': metres('height-lost', 'Height lost', { step: 1 }),
  'brake-to-mark': metres('stop-miss', 'Miss distance'),
  'mode-stop-table': metres('stopped-in', 'Stopped in', { in: [1, 4] }),
  'climb-over': metres('clearance', 'Clearance'),
  'blind-side-brake': metres('stopped-in', 'Stopped in'),
  'clear-the-line': metres('stopped-in', 'Stopped in', { in: [1] }),
  'tilt-hands': metres('cross-track', 'Worst distance'),
  'stand-off-judging': metres('judging-error', 'Error'),
  'gap-ladder': metres('gap-offset', 'Off the middle', { step: 0.1 }),
  'portal-drop': metres('gap-offset', 'Off the middle', { step: 0.1 }),
  'under-roof-pass': metres('height', 'Height spread', { step: 0.1 }),
  'hold-off-hover': metres('cross-track', 'Worst distance'),
  'hold-off-line': metres('overshoot', 'Overshoot'),
  'surprise-hold-loss': metres('moved', 'Distance lost'),
  'leg-circuit': metres('mark', 'Mark miss'),
  'crab-leg': metres('cross-track', 'Off the line'),
  'airflow-step': metres('cross-track', 'Moved'),
  'release-drill': seconds('hands-off', 'Hands off within', { step: 0.1 }),
};
