import type { CraftFacts, SpeedSetting } from '../vocabulary/craft-facts';
import type { Place } from '../vocabulary/flying';
import { airDensity } from '../reconstruct/air-density';
import { stoppingFrom } from '../reconstruct/craft-stopping';
import { turnBackDistance } from '../reconstruct/energy-home';
import { hoverInducedVelocity } from '../reconstruct/hover-induced-velocity';
import { type FailsafeAdvice, failsafeFor, returnHeight } from '../reconstruct/return-height';
import { attitudeRange, detectionRange } from '../reconstruct/sight-range';
import { stoppingDistance } from '../reconstruct/stopping-distance';
import { QUIET_DESCENT_SHARE } from '../reconstruct/vortex-ring-state';
import { brokenByFlight, type Restricting } from '../restrictions/restrictions';
import { metres, speed } from './sum';

export interface FlightToBe {
  readonly craft: CraftFacts;
  readonly setting: SpeedSetting;
  /** The pilot's own wind limit, m/s; lower while a weakness says so. */
  readonly windLimitMps: number;
  readonly place: Place;
  readonly tallestM: number;
  readonly windMps: number;
  readonly gustMps: number;
  /** Where the wind comes from, off the way out: 0 head wind out, 180 tail wind out. */
  readonly windFromOutDeg: number;
  readonly farthestM: number;
  readonly chargePct: number;
  readonly reservePct: number;
  readonly altitudeM: number;
  readonly visibilityM: number;
  readonly rain: boolean;
  /** Open weaknesses of the pilot. */
  readonly weaknesses: readonly Pick<Restricting, 'causeId'>[];
}

export interface FlightCheck {
  readonly id: string;
  readonly go: boolean;
  readonly words: string;
}

export interface FlightCard {
  readonly go: boolean;
  readonly checks: readonly FlightCheck[];
  readonly turnBackM: number;
  readonly returnHeightM: number;
  readonly standOffM: number;
  readonly descentLimitMps: number;
  readonly sightLimitM: number;
  readonly failsafe: FailsafeAdvice;
}

/** Never under this reserve, whoever asks. Common practice. */
export const LEAST_RESERVE_PCT = 20;
/** Room kept from anything, over what stopping takes. Common practice. */
const STAND_OFF_FACTOR = 1.5;
const CRUISE_SHARE = 0.6;

/**
 * Near things, a setting that switches the obstacle sensors off takes away what the craft was bought with.
 * Common practice. Where they are on nothing is said: they miss twigs, wires and sides.
 */
function sensorCheck({ craft, setting, place }: FlightToBe): readonly FlightCheck[] {
  const areOff = craft.sensorSides.length > 0 && setting === 'fast' && !craft.sensorsInFast;
  if (!areOff || place === 'open') return [];
  return [
    {
      id: 'sensors',
      go: false,
      words: 'Fast switches the obstacle sensors off, and there is something to hit: fly normal or slow',
    },
  ];
}

/**
 * Go or no-go for one flight, with the figures a pilot takes along. Limits: the pilot's wind limit, half the
 * craft's top speed in
 * the setting flown, half the attitude range, the turn-back point, and what the pilot's open weaknesses rule
 * out. All common practice; local rules come first.
 * @throws RangeError when an input lies outside the range of a formula
 */
export function flightCard(flight: FlightToBe): FlightCard {
  const { craft, setting, windMps, gustMps } = flight;
  const cruiseMps = craft.topSpeedMps[setting] * CRUISE_SHARE;
  const strongest = Math.max(windMps, gustMps);
  const craftWindMps = craft.topSpeedMps[setting] / 2;
  const turnBackM = turnBackDistance(flight.chargePct, flight.reservePct, {
    airSpeedMps: cruiseMps,
    windMps,
    windFromOutDeg: flight.windFromOutDeg,
    enduranceMin: craft.enduranceMin,
  });
  const sightLimitM = Math.min(attitudeRange(craft.spanM) / 2, detectionRange(flight.visibilityM));
  const { totalM } = stoppingDistance(stoppingFrom(craft, setting, cruiseMps));
  const checks: readonly FlightCheck[] = [
    {
      id: 'wind',
      go: windMps <= flight.windLimitMps,
      words: `Wind ${speed(windMps)}, pilot's limit ${speed(flight.windLimitMps)}`,
    },
    {
      id: 'gust',
      go: strongest <= craftWindMps,
      words: `Strongest ${speed(strongest)}, half the top speed in ${setting} is ${speed(craftWindMps)}`,
    },
    {
      id: 'energy',
      go: flight.farthestM <= turnBackM,
      words: `Farthest ${metres(flight.farthestM)}, turn-back point ${metres(Math.round(turnBackM))}`,
    },
    {
      id: 'sight',
      go: flight.farthestM <= sightLimitM,
      words: `Farthest ${metres(flight.farthestM)}, attitude safely read to ${metres(Math.round(sightLimitM))}`,
    },
    {
      id: 'reserve',
      go: flight.reservePct >= LEAST_RESERVE_PCT,
      words: `Reserve ${flight.reservePct} %, never under ${LEAST_RESERVE_PCT} %`,
    },
    { id: 'rain', go: !flight.rain, words: flight.rain ? 'Rain, fog or spray: stay down' : 'Dry' },
    ...sensorCheck(flight),
    ...brokenByFlight({ place: flight.place, setting, mode: craft.mode }, flight.weaknesses).map(
      ({ causeId, words }) => ({ id: `until-cleared ${causeId}`, go: false, words }),
    ),
  ];
  return {
    go: checks.every((check) => check.go),
    checks,
    turnBackM,
    sightLimitM,
    returnHeightM: returnHeight(flight.tallestM),
    standOffM: totalM * STAND_OFF_FACTOR,
    descentLimitMps:
      QUIET_DESCENT_SHARE *
      hoverInducedVelocity(craft.massKg, craft.rotors, craft.rotorRadiusM, airDensity(flight.altitudeM)),
    failsafe: failsafeFor(flight.place),
  };
}
