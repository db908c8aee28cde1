import type { Measure } from './measure';
import { answerTime } from './answer-time';
import { blindMoves } from './blind-moves';
import { breachesRelative } from './breaches-relative';
import { calledAt } from './called-at';
import { calmer } from './calmer';
import { climbsAfter } from './climbs-after';
import { clearance } from './clearance';
import { crossTrack } from './cross-track';
import { footprint } from './footprint';
import { foretoldWrong } from './foretold';
import { gap } from './gap';
import { gapOffset } from './gap-offset';
import { handsOffTime } from './hands-off';
import { heading } from './heading';
import { height } from './height';
import { heightGained } from './height-gained';
import { heightLost } from './height-lost';
import { judgingError } from './judging-error';
import { lasted } from './lasted';
import { leadFar } from './lead-far';
import { leadNear } from './lead-near';
import { lean } from './lean';
import { lowTime } from './low-time';
import { mark } from './mark';
import { miss } from './miss';
import { moved } from './moved';
import { neutral } from './neutral';
import { noseInTime } from './nose-in-time';
import { noseToPath } from './nose-to-path';
import { others } from './others';
import { overshoot } from './overshoot';
import { pulses } from './pulses';
import { relativeUsed } from './relative-used';
import { response } from './response';
import { rollUsed } from './roll-used';
import { saidRight } from './said-right';
import { sidewaysFirst } from './sideways-first';
import { sinkRatio } from './sink-ratio';
import { slipOutward } from './slip-outward';
import { smallFor } from './small-for';
import { smallShare } from './small-share';
import { speedAtAnswer } from './speed-at-answer';
import { stopMiss } from './stop-miss';
import { stoppedIn } from './stopped-in';
import { stopsAlike } from './stops-alike';
import { tailOnTime } from './tail-on-time';
import { throttleRise } from './throttle-rise';
import { pace } from './pace';
import { topSpeed } from './top-speed';
import { touchMiss } from './touch-miss';
import { touchSpeed } from './touch-speed';
import { touchedAgain } from './touched-again';
import { washIndexOfTurn } from './wash-index';
import { washZone } from './wash-zone';
import { wrongMoves } from './wrong-moves';

/** Everything that can be measured of a rep. SI units; degrees for angles; shares as 0 to 1. */
export const MEASURES = {
  'cross-track': crossTrack,
  height,
  heading,
  overshoot,
  miss,
  'stop-miss': stopMiss,
  mark,
  'wrong-moves': wrongMoves,
  others,
  'small-share': smallShare,
  'small-for': smallFor,
  neutral,
  'low-time': lowTime,
  'touch-speed': touchSpeed,
  'touch-miss': touchMiss,
  'sink-ratio': sinkRatio,
  'wash-zone': washZone,
  'wash-index': washIndexOfTurn,
  'nose-to-path': noseToPath,
  'throttle-rise': throttleRise,
  'nose-in-time': noseInTime,
  'tail-on-time': tailOnTime,
  lasted,
  'height-lost': heightLost,
  'height-gained': heightGained,
  'climbs-after': climbsAfter,
  'hands-off': handsOffTime,
  'touched-again': touchedAgain,
  response,
  moved,
  pace,
  'top-speed': topSpeed,
  'stopped-in': stoppedIn,
  gap,
  'gap-offset': gapOffset,
  clearance,
  'blind-moves': blindMoves,
  'roll-used': rollUsed,
  pulses,
  lean,
  'sideways-first': sidewaysFirst,
  'slip-outward': slipOutward,
  'lead-near': leadNear,
  'lead-far': leadFar,
  'breaches-relative': breachesRelative,
  'relative-used': relativeUsed,
  'called-at': calledAt,
  'speed-at-answer': speedAtAnswer,
  'said-right': saidRight,
  'foretold-wrong': foretoldWrong,
  calmer,
  'stops-alike': stopsAlike,
  footprint,
  'answer-time': answerTime,
  'judging-error': judgingError,
} as const satisfies Readonly<Record<string, Measure>>;
export type MeasureId = keyof typeof MEASURES;

/** Those that a flight shows; the others are measured by tape or timer only. */
export type FlightMeasureId = {
  [Id in MeasureId]: (typeof MEASURES)[Id]['is'] extends 'by-hand' ? never : Id;
}[MeasureId];
