import { airDensity } from '../reconstruct/air-density';
import { stoppingFrom } from '../reconstruct/craft-stopping';
import { turnBackDistance } from '../reconstruct/energy-home';
import { hoverInducedVelocity } from '../reconstruct/hover-induced-velocity';
import { holdsHere, isUnderRoof, lostLinkOn } from '../reconstruct/return-height';
import { attitudeRange, detectionRange } from '../reconstruct/sight-range';
import { stoppingDistance } from '../reconstruct/stopping-distance';
import { QUIET_DESCENT_SHARE } from '../reconstruct/vortex-ring-state';
import { windAloft } from '../reconstruct/wind-aloft';
import {
  brokenByFlight,
  needsOf,
  reserveOf,
  sightShareUnder,
  windLimitUnder,
} from '../restrictions/restrictions';
import { onReleaseIn } from '../vocabulary/flying';
import { type Said, sentence } from '../vocabulary/said';
import type { SentenceId } from '../vocabulary/sentence-ids';
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

const check = (id: string, go: boolean | null, said: Said, remedy: SentenceId): FlightCheck => ({
  id,
  go,
  said,
  remedy: go === true ? null : sentence(remedy),
});

const wind: Judge = ({ windMps, windLimitMps, weaknesses }) => {
  const limit = windLimitUnder(weaknesses, windLimitMps);
  return check('wind', windMps <= limit, sentence('check.wind', { windMps, limit }), 'remedy.wind');
};

const gust: Judge = ({ gustMps, windMps, windLimitMps, weaknesses }) => {
  const limit = windLimitUnder(weaknesses, windLimitMps);
  if (gustMps === null)
    return check('gust', null, sentence('check.gust-unread', { limit }), 'remedy.gust-unread');
  const strongest = Math.max(gustMps, windMps);
  return check('gust', strongest <= limit, sentence('check.gust', { strongest, limit }), 'remedy.gust');
};

/** What the craft is held against is the air up there. */
const aloft: Judge = ({ craft, setting, windMps, gustMps, heightM }) => {
  const limit = craft.topSpeedMps[setting] / 2;
  if (heightM === null)
    return check('aloft', null, sentence('check.aloft-unread', { limit, setting }), 'remedy.aloft-unread');
  const strongest = windAloft(Math.max(windMps, gustMps ?? 0), heightM);
  const said = sentence('check.aloft', {
    strongest: Math.round(strongest * 10) / 10,
    heightM,
    setting,
    limit,
  });
  return check('aloft', strongest <= limit, said, 'remedy.aloft');
};

const energy: Judge = (flight, { sightLimitM }) => {
  const { farthestM } = flight;
  const turnBackM = energyLimit(flight);
  if (farthestM === null || turnBackM === null)
    return check('energy', null, sentence('check.energy-unread'), 'remedy.energy-unread');
  return check(
    'energy',
    farthestM <= turnBackM,
    // What the eye ends sooner is not said as a distance: nobody is to read kilometres beside it.
    turnBackM > sightLimitM && farthestM <= turnBackM
      ? sentence('check.energy-beyond-sight', { farthestM })
      : sentence('check.energy', { farthestM, turnBackM: Math.floor(turnBackM) }),
    'remedy.energy',
  );
};

const sight: Judge = ({ farthestM }, { sightLimitM }) => {
  const limitM = Math.floor(sightLimitM);
  return farthestM === null
    ? check('sight', null, sentence('check.sight-unread', { limitM }), 'remedy.sight-unread')
    : check(
        'sight',
        farthestM <= sightLimitM,
        sentence('check.sight', { farthestM, limitM }),
        'remedy.sight',
      );
};

const reserve: Judge = ({ reservePct, weaknesses }) => {
  const least = reserveOf(weaknesses, LEAST_RESERVE_PCT);
  const figures = { reservePct, least };
  const go = reservePct >= least;
  return {
    ...check('reserve', go, sentence('check.reserve', figures), 'remedy.reserve'),
    remedy: go ? null : sentence('remedy.reserve', figures),
  };
};

const rain: Judge = ({ rain: isWet }) =>
  check('rain', isWet === null ? null : !isWet, sentence(isWet ? 'check.rain' : 'check.dry'), 'remedy.rain');

const light: Judge = ({ lightMin }) =>
  lightMin === null
    ? check('light', null, sentence('check.light-unread'), 'remedy.light-unread')
    : check(
        'light',
        lightMin >= LEAST_LIGHT_MIN,
        lightMin > 0
          ? sentence('check.light', { minutes: Math.floor(lightMin) })
          : sentence('check.light-gone'),
        'remedy.light',
      );

const people: Judge = ({ peopleM, heightM }) => {
  const leastM = Math.max(LEAST_PEOPLE_M, heightM ?? 0);
  return check(
    'people',
    peopleM === null ? null : peopleM >= leastM,
    peopleM === null
      ? sentence('check.people-unread', { leastM })
      : sentence('check.people', { peopleM, leastM }),
    'remedy.people',
  );
};

const height: Judge = ({ heightM, heightLimitM }) =>
  heightM === null
    ? check('height', null, sentence('check.height-unread', { heightLimitM }), 'remedy.height-unread')
    : check(
        'height',
        heightM <= heightLimitM,
        sentence('check.height', { heightM, heightLimitM }),
        'remedy.height',
      );

const roof: Judge = ({ place, ceilingM, heightM, craft }) => {
  if (!isUnderRoof(place)) return null;
  if (ceilingM === null) return check('roof', false, sentence('check.roof-unknown'), 'remedy.roof-unknown');
  const most = ceilingM - Math.max(UNDER_ROOF_M, UNDER_ROOF_SPANS * craft.spanM);
  const mostM = Math.max(0, Math.round(most * 10) / 10);
  return check(
    'roof',
    most > 0 && (heightM === null ? null : heightM <= most),
    heightM === null
      ? sentence('check.roof-height-unread', { ceilingM, mostM })
      : sentence('check.roof', { ceilingM, mostM, heightM }),
    'remedy.roof',
  );
};

const hold: Judge = ({ place, craft, mode }) => {
  if (!isUnderRoof(place) || onReleaseIn(mode) === 'manual') return null;
  const holds = holdsHere(craft, place);
  return check('hold', holds, sentence(holds ? 'check.hold-by-sensor' : 'check.no-hold'), 'remedy.hold');
};

/**
 * Near things, a setting that switches the obstacle sensors off takes away what the craft was bought with.
 * Common practice. Where they are on nothing is said: they miss twigs, wires and sides.
 */
const sensors: Judge = ({ craft, setting, place }) => {
  const areOff = craft.sensorSides.length > 0 && setting === 'fast' && !craft.sensorsInFast;
  if (!areOff || place === 'open') return null;
  return check('sensors', false, sentence('check.sensors-off'), 'remedy.sensors-off');
};

const lostLink: Judge = ({ place }, { lostLink: { action, why, returnHeightM } }) => {
  const into = place === 'water' && action === 'descend';
  return check(
    'lost-link',
    into ? false : null,
    returnHeightM === null
      ? sentence('check.lost-link', { action, why })
      : sentence('check.lost-link-at', { action, returnHeightM, why }),
    into ? 'remedy.lost-link-into-water' : 'remedy.lost-link',
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
    ...brokenByFlight({ ...flight, mode }, weaknesses).map(({ causeId, said }) =>
      check(`until-cleared ${causeId}`, false, said, 'remedy.until-cleared'),
    ),
    ...needsOf(weaknesses, flight.place).map((need) =>
      check(`needs ${need}`, null, sentence('check.need', { need }), 'remedy.need'),
    ),
  ];
  const isRefused = checks.some(({ go }) => go === false);
  return {
    ...figures,
    checks,
    go: isRefused ? false : checks.every(({ go }) => go === true) ? true : null,
  };
}
