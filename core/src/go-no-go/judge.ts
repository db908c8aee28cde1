import { airDensity } from '../reconstruct/air-density';
import { stoppingFrom } from '../reconstruct/craft-stopping';
import { turnBackDistance } from '../reconstruct/energy-home';
import { hoverInducedVelocity } from '../reconstruct/hover-induced-velocity';
import { FAILSAFE_WORDS, holdsHere, isUnderRoof, lostLinkOn } from '../reconstruct/return-height';
import { attitudeRange, detectionRange } from '../reconstruct/sight-range';
import { stoppingDistance } from '../reconstruct/stopping-distance';
import { QUIET_DESCENT_SHARE } from '../reconstruct/vortex-ring-state';
import { windAloft } from '../reconstruct/wind-aloft';
import { NEEDS } from '../restrictions/limits';
import {
  brokenByFlight,
  needsOf,
  reserveOf,
  sightShareUnder,
  windLimitUnder,
} from '../restrictions/restrictions';
import { metres, speed } from '../sums/sum';
import { onReleaseIn } from '../vocabulary/flying';
import type { FlightCard, FlightCheck, FlightFigures, FlightToBe } from './flight-to-be';

/** Never under this reserve, whoever asks. Common practice. */
export const LEAST_RESERVE_PCT = 20;
/** What most rules allow above ground, m; local rules come first. From memory of European and US rules. */
export const USUAL_HEIGHT_LIMIT_M = 120;
/** Room kept from anything, over what stopping takes. Common practice. */
const STAND_OFF_FACTOR = 1.5;
const CRUISE_SHARE = 0.6;
/** Nobody who has no part in it nearer than this, nor than the height flown. From memory of European guidance. */
const LEAST_PEOPLE_M = 30;
/** Light that has to be left, min. Common practice. */
const LEAST_LIGHT_MIN = 15;
/** Room kept under a roof, m, and in spans. Common practice. */
const UNDER_ROOF_M = 1;
const UNDER_ROOF_SPANS = 2;

type Judge = (flight: FlightToBe, figures: FlightFigures) => FlightCheck | null;

const check = (id: string, go: boolean | null, words: string, remedy: string): FlightCheck => ({
  id,
  go,
  words,
  remedy: go === true ? null : remedy,
});

const wind: Judge = ({ windMps, windLimitMps, weaknesses }) => {
  const limit = windLimitUnder(weaknesses, windLimitMps);
  return check(
    'wind',
    windMps <= limit,
    `Wind ${speed(windMps)}, pilot's limit ${speed(limit)}`,
    'Wait, fly the simulator, or change who flies',
  );
};

const gust: Judge = ({ gustMps, windMps, windLimitMps, weaknesses }) => {
  const limit = windLimitUnder(weaknesses, windLimitMps);
  if (gustMps === null)
    return check(
      'gust',
      null,
      `Gusts at most ${speed(limit)}, and nothing building up`,
      'Read them for two minutes',
    );
  return check(
    'gust',
    Math.max(gustMps, windMps) <= limit,
    `Gusts ${speed(Math.max(gustMps, windMps))}, pilot's limit ${speed(limit)}`,
    'Wait until they drop',
  );
};

/** What the craft is held against is the air up there. */
const aloft: Judge = ({ craft, setting, windMps, gustMps, heightM }) => {
  const limit = craft.topSpeedMps[setting] / 2;
  if (heightM === null)
    return check(
      'aloft',
      null,
      `At most ${speed(limit)} of wind up there, half the top speed in ${setting}`,
      'Watch it drift, or tell the height',
    );
  const strongest = windAloft(Math.max(windMps, gustMps ?? 0), heightM);
  return check(
    'aloft',
    strongest <= limit,
    `Up to ${speed(Math.round(strongest * 10) / 10)} at ${metres(heightM)}; half the top speed in ${setting} is ${speed(limit)}`,
    'Fly lower, or wait',
  );
};

const energy: Judge = (flight, { sightLimitM }) => {
  const { farthestM } = flight;
  const turnBackM = energyLimit(flight);
  if (farthestM === null || turnBackM === null)
    return check(
      'energy',
      null,
      'Packs charged for the way out and home with the reserve',
      'Read the charge',
    );
  return check(
    'energy',
    farthestM <= turnBackM,
    // What the eye ends sooner is not said as a distance: nobody is to read kilometres beside it.
    turnBackM > sightLimitM && farthestM <= turnBackM
      ? `Farthest ${metres(farthestM)}: the charge allows more than the eye`
      : `Farthest ${metres(farthestM)}, the charge turns back at ${metres(Math.floor(turnBackM))}`,
    'Stay nearer, or take a full pack',
  );
};

const sight: Judge = ({ farthestM }, { sightLimitM }) =>
  farthestM === null
    ? check(
        'sight',
        null,
        `Never farther than ${metres(Math.floor(sightLimitM))}, where the nose is read`,
        'Mark it',
      )
    : check(
        'sight',
        farthestM <= sightLimitM,
        `Farthest ${metres(farthestM)}, the nose is read to ${metres(Math.floor(sightLimitM))}`,
        'Stay nearer, or walk along',
      );

const reserve: Judge = ({ reservePct, weaknesses }) => {
  const least = reserveOf(weaknesses, LEAST_RESERVE_PCT);
  return check(
    'reserve',
    reservePct >= least,
    `Land with ${reservePct} %, never under ${least} %`,
    `Plan to land with ${least} % or more`,
  );
};

const rain: Judge = ({ rain: isWet }) =>
  check(
    'rain',
    isWet === null ? null : !isWet,
    isWet ? 'Rain, fog or spray' : 'Dry: no rain, fog or spray',
    'Stay down until it is dry',
  );

const light: Judge = ({ lightMin }) =>
  lightMin === null
    ? check('light', null, 'Light enough to read the nose until it is down', 'Look at it where it will fly')
    : check(
        'light',
        lightMin >= LEAST_LIGHT_MIN,
        lightMin > 0 ? `${Math.floor(lightMin)} min of light left` : 'The light is gone',
        'Another day, or the simulator',
      );

const people: Judge = ({ peopleM, heightM }) => {
  const least = Math.max(LEAST_PEOPLE_M, heightM ?? 0);
  return check(
    'people',
    peopleM === null ? null : peopleM >= least,
    peopleM === null
      ? `Nobody who has no part in it within ${metres(least)}, and everybody told that a learner flies`
      : `Nearest person ${metres(peopleM)}, at least ${metres(least)}`,
    'Have them told and moved off, or fly elsewhere',
  );
};

const height: Judge = ({ heightM, heightLimitM }) =>
  heightM === null
    ? check(
        'height',
        null,
        `Never above ${metres(heightLimitM)}, or what local rules say`,
        'Set the limit in the craft',
      )
    : check(
        'height',
        heightM <= heightLimitM,
        `Height ${metres(heightM)}, limit ${metres(heightLimitM)}`,
        'Fly lower: local rules come first',
      );

const roof: Judge = ({ place, ceilingM, heightM, craft }) => {
  if (!isUnderRoof(place)) return null;
  if (ceilingM === null)
    return check(
      'roof',
      false,
      'There is a roof, and how high it is nobody has told',
      'Enter the ceiling with the site',
    );
  const most = ceilingM - Math.max(UNDER_ROOF_M, UNDER_ROOF_SPANS * craft.spanM);
  return check(
    'roof',
    most > 0 && (heightM === null ? null : heightM <= most),
    `Under a roof of ${metres(ceilingM)} never above ${metres(Math.max(0, Math.round(most * 10) / 10))}${heightM === null ? '' : `; height ${metres(heightM)}`}`,
    'Fly lower, or elsewhere',
  );
};

const hold: Judge = ({ place, craft, mode }) => {
  if (!isUnderRoof(place) || onReleaseIn(mode) === 'manual') return null;
  return check(
    'hold',
    holdsHere(craft, place),
    holdsHere(craft, place)
      ? 'Held by the sensor below: a plain or dark floor takes that away'
      : 'Nothing holds it here: no satellites, and no sensor that looks down',
    'Fly on open ground, a craft with a sensor below, or a pilot who is cleared without hold',
  );
};

/**
 * Near things, a setting that switches the obstacle sensors off takes away what the craft was bought with.
 * Common practice. Where they are on nothing is said: they miss twigs, wires and sides.
 */
const sensors: Judge = ({ craft, setting, place }) => {
  const areOff = craft.sensorSides.length > 0 && setting === 'fast' && !craft.sensorsInFast;
  if (!areOff || place === 'open') return null;
  return check(
    'sensors',
    false,
    'Fast switches the obstacle sensors off, and there is something to hit',
    'Fly normal or slow',
  );
};

const lostLink: Judge = ({ place }, { lostLink: link }) => {
  const into = place === 'water' && link.action === 'descend';
  return check(
    'lost-link',
    into ? false : null,
    `On a lost link: ${FAILSAFE_WORDS[link.action]}${link.returnHeightM === null ? '' : ` at ${metres(link.returnHeightM)}`}, set and read back. ${link.why}`,
    into
      ? 'Over water only with a craft that comes home by itself'
      : 'Set it, and read it back from the display',
  );
};

const JUDGES: readonly Judge[] = [
  wind,
  gust,
  aloft,
  energy,
  sight,
  reserve,
  rain,
  light,
  people,
  height,
  roof,
  hold,
  sensors,
  lostLink,
];

/** Farthest point that the charge allows, m, against the wind up there; null while the charge is not told. */
function energyLimit({
  craft,
  setting,
  windMps,
  heightM,
  windFromOutDeg,
  chargePct,
  reservePct,
}: FlightToBe): number | null {
  if (chargePct === null) return null;
  return turnBackDistance(chargePct, reservePct, {
    airSpeedMps: craft.topSpeedMps[setting] * CRUISE_SHARE,
    windMps: windAloft(windMps, heightM ?? 0),
    windFromOutDeg: windFromOutDeg ?? 180,
    enduranceMin: craft.enduranceMin,
  });
}

function figuresOf(flight: FlightToBe): FlightFigures {
  const { craft, setting, visibilityM, altitudeM } = flight;
  const sightLimitM =
    sightShareUnder(flight.weaknesses) *
    Math.min(attitudeRange(craft.spanM) / 2, visibilityM === null ? Infinity : detectionRange(visibilityM));
  const charge = energyLimit(flight);
  const { totalM } = stoppingDistance(
    stoppingFrom(craft, setting, craft.topSpeedMps[setting] * CRUISE_SHARE),
  );
  return {
    turnBackM: charge === null ? null : Math.min(charge, sightLimitM),
    standOffM: totalM * STAND_OFF_FACTOR,
    sightLimitM,
    descentLimitMps:
      QUIET_DESCENT_SHARE *
      hoverInducedVelocity(craft.massKg, craft.rotors, craft.rotorRadiusM, airDensity(altitudeM)),
    lostLink: lostLinkOn(flight),
  };
}

/**
 * The one judge of a flight, for card, session, runner and server: every check with its figures, and with what
 * would make it go. All limits are common practice; local rules come first.
 * @throws RangeError when an input lies outside the range of a formula
 */
export function judgeFlight(flight: FlightToBe): FlightCard {
  const figures = figuresOf(flight);
  const { mode, weaknesses } = flight;
  const checks = [
    ...JUDGES.flatMap((judge) => judge(flight, figures) ?? []),
    ...brokenByFlight({ ...flight, mode }, weaknesses).map(({ causeId, words }) =>
      check(`until-cleared ${causeId}`, false, words, 'Do as it says, or fly its own drills'),
    ),
    ...needsOf(weaknesses, flight.place).map((need) =>
      check(`needs ${need}`, null, NEEDS[need], 'See to it first'),
    ),
  ];
  const isRefused = checks.some(({ go }) => go === false);
  return {
    ...figures,
    checks,
    go: isRefused ? false : checks.every(({ go }) => go === true) ? true : null,
  };
}
