import type { DrillGroupId } from '../drills/drill';
import { drillOf, type DrillId } from '../drills/drills';
import type { Place } from '../vocabulary/flying';
import { bandsUpTo, WIND_BANDS, type WindBand, windBandOf } from '../vocabulary/wind-band';
import { type Ability, chanceMet } from './ability';

/**
 * How and where a pilot has flown lately, as far as a plan weighs it. Whatever is not known weighs nothing.
 */
export interface Circumstances {
  /** Surroundings of the sites flown at lately; empty: not known. */
  readonly places?: readonly Place[];
  /** The strongest wind flown in lately, m/s. */
  readonly windiestMps?: number | null;
  /** The pilot's own wind limit, m/s. */
  readonly windLimitMps?: number;
  /** Whether a craft flown lately has a pilot-relative mode. */
  readonly hasPilotRelative?: boolean | null;
  /** How bad the next one may end, 1 to 5. */
  readonly severity?: number | null;
  /** What the pilot's reps say of each group of drills. */
  readonly abilities?: Partial<Readonly<Record<DrillGroupId, Ability>>>;
}

/** Drills that train for certain surroundings. Common practice. */
const BELONGS_TO: Readonly<Partial<Record<DrillId, readonly Place[]>>> = {
  'under-roof-pass': ['under-structure', 'indoors'],
  'portal-drop': ['under-structure', 'indoors', 'built-up'],
  'gap-ladder': ['trees', 'under-structure', 'indoors', 'built-up'],
  'gap-chain': ['trees', 'under-structure', 'indoors', 'built-up'],
  'slow-slalom': ['trees', 'under-structure', 'indoors', 'built-up'],
  'stand-off-judging': ['trees', 'under-structure', 'built-up'],
  'link-walk': ['trees', 'under-structure', 'built-up'],
  'airflow-step': ['indoors', 'under-structure', 'built-up'],
  'zigzag-descent': ['trees', 'under-structure', 'built-up'],
};

/** Drills in which the wind itself is what is trained, with the least band that makes them worth while. */
const WANTS_WIND: Readonly<Partial<Record<DrillId, WindBand>>> = {
  'into-wind-hover': 'breezy',
  'crab-leg': 'light',
  'downwind-turn': 'breezy',
  'upwind-first': 'light',
  'surprise-hold-loss': 'light',
  'turn-back-call': 'light',
};

/** Nine in ten at the standard: a drill that only leads up to something has nothing left to teach. */
const COMES_OFF = 0.9;
/** Below this much doubt, on the logit scale, the estimate is believed. */
const SURE_ENOUGH = 0.7;

export type Weighing =
  { readonly for: 'place'; readonly place: Place } | { readonly for: 'wind'; readonly windMps: number };

export type LeftOut =
  | { readonly for: 'craft' }
  | { readonly for: 'place'; readonly places: readonly Place[] }
  | { readonly for: 'wind'; readonly bands: readonly WindBand[] }
  | { readonly for: 'level'; readonly chance: number };

/** What in the pilot's own flying asks for this drill; null when nothing does. */
export function weighedFor(
  drillId: DrillId,
  { places = [], windiestMps = null }: Circumstances,
): Weighing | null {
  const place = places.find((each) => BELONGS_TO[drillId]?.includes(each));
  if (place) return { for: 'place', place };
  const wants = WANTS_WIND[drillId];
  return wants !== undefined &&
    windiestMps !== null &&
    WIND_BANDS.indexOf(windBandOf(windiestMps)) >= WIND_BANDS.indexOf(wants)
    ? { for: 'wind', windMps: windiestMps }
    : null;
}

/** Why a drill that does not decide is of no use to this pilot now; null when it is. */
export function leftOutFor(drillId: DrillId, pilot: Circumstances): LeftOut | null {
  if (drillId === 'relative-mode-discipline' && pilot.hasPilotRelative === false) return { for: 'craft' };
  return outOfPlace(drillId, pilot) ?? outOfWind(drillId, pilot) ?? belowLevel(drillId, pilot);
}

function outOfPlace(drillId: DrillId, { places = [] }: Circumstances): LeftOut | null {
  const belongs = BELONGS_TO[drillId];
  const isElsewhere = belongs && places.length > 0 && !places.some((place) => belongs.includes(place));
  return isElsewhere ? { for: 'place', places } : null;
}

function outOfWind(drillId: DrillId, { windLimitMps }: Circumstances): LeftOut | null {
  const { bands } = drillOf(drillId);
  if (windLimitMps === undefined || !bands) return null;
  return bands.some((band) => bandsUpTo(windLimitMps).includes(band)) ? null : { for: 'wind', bands };
}

/** Comes off nearly always, as far as the pilot's reps of its kind tell. */
function belowLevel(drillId: DrillId, { abilities = {} }: Circumstances): LeftOut | null {
  const { group, kind } = drillOf(drillId);
  const ability = abilities[group];
  if (kind !== 'flown' || !ability || ability.sd > SURE_ENOUGH) return null;
  const chance = chanceMet(ability, drillId);
  return chance >= COMES_OFF ? { for: 'level', chance } : null;
}
