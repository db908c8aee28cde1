import type { MissReason } from '../clearance/facts';

export interface MeasureFacts {
  readonly unit: 'm' | 's' | 'm/s' | '°' | '%' | 'count' | 'ratio' | 'yes';
  /** The reason that a trainer would give for a miss by it. */
  readonly reason: MissReason;
}

/** Everything that can be measured of a rep; how is in measures.ts. */
export const MEASURE_FACTS = {
  off: { unit: 'm', reason: 'off-the-mark' },
  height: { unit: 'm', reason: 'height' },
  heading: { unit: '°', reason: 'nose' },
  overshoot: { unit: 'm', reason: 'too-late' },
  miss: { unit: 'm', reason: 'off-the-mark' },
  mark: { unit: 'm', reason: 'off-the-mark' },
  'wrong-moves': { unit: 'count', reason: 'wrong-first-move' },
  others: { unit: '%', reason: 'wrong-first-move' },
  'small-share': { unit: '%', reason: 'off-the-mark' },
  neutral: { unit: 's', reason: 'off-the-mark' },
  'low-time': { unit: 's', reason: 'too-late' },
  'touch-speed': { unit: 'm/s', reason: 'too-fast' },
  'touch-miss': { unit: 'm', reason: 'off-the-mark' },
  'sink-ratio': { unit: 'ratio', reason: 'too-fast' },
  'wash-zone': { unit: 'ratio', reason: 'too-fast' },
  'wash-index': { unit: 'ratio', reason: 'too-fast' },
  'nose-to-path': { unit: '°', reason: 'nose' },
  'throttle-rise': { unit: '%', reason: 'height' },
  'nose-in-time': { unit: 's', reason: 'nose' },
  lasted: { unit: 's', reason: 'too-late' },
  'height-lost': { unit: 'm', reason: 'height' },
  'hands-off': { unit: 's', reason: 'too-late' },
  'touched-again': { unit: 'count', reason: 'wrong-first-move' },
  response: { unit: 's', reason: 'too-late' },
  moved: { unit: 'm', reason: 'too-late' },
  'top-speed': { unit: 'm/s', reason: 'too-fast' },
  'stopped-in': { unit: 'm', reason: 'too-late' },
  gap: { unit: '%', reason: 'off-the-mark' },
  clearance: { unit: 'm', reason: 'height' },
  'blind-moves': { unit: 'count', reason: 'nose' },
  'roll-used': { unit: '%', reason: 'wrong-first-move' },
  pulses: { unit: 'count', reason: 'wrong-first-move' },
  lean: { unit: '°', reason: 'too-fast' },
  'sideways-first': { unit: 'yes', reason: 'wrong-first-move' },
  'slip-outward': { unit: '%', reason: 'nose' },
  'lead-near': { unit: 'm', reason: 'off-the-mark' },
  'lead-far': { unit: 'm', reason: 'off-the-mark' },
  'breaches-relative': { unit: 'count', reason: 'nose' },
  'relative-used': { unit: 'yes', reason: 'off-the-mark' },
  'called-at': { unit: '%', reason: 'too-late' },
  'speed-at-answer': { unit: 'm/s', reason: 'too-fast' },
  calmer: { unit: '%', reason: 'off-the-mark' },
  'stops-alike': { unit: '%', reason: 'too-late' },
  footprint: { unit: 'm', reason: 'off-the-mark' },
} as const satisfies Readonly<Record<string, MeasureFacts>>;
export type MeasureId = keyof typeof MEASURE_FACTS;
