import type { CauseId } from '../causes/causes';
import { type FliesIn, hasTwoForms } from '../clearance/counts-for-test';
import type { Drill } from '../drills/drill';
import { drillOf, type DrillId } from '../drills/drills';
import type { SpeedSetting } from '../vocabulary/craft-facts';
import { type FlightMode, onReleaseIn, type Place } from '../vocabulary/flying';
import { type Said, sentence } from '../vocabulary/said';
import { type RestrictionLimit, RESTRICTION_LIMITS, type Need } from './limits';

/** An open weakness, as far as it restricts. */
export interface Restricting {
  readonly causeId: CauseId;
  /** Drills of its own plan: they are there to mend it, and stay open. */
  readonly drillIds: readonly DrillId[];
}

export interface PlannedFlying {
  readonly drillId: DrillId;
  readonly flownOn: 'craft' | 'simulator';
  readonly place: Place | null;
  readonly windMps: number | null;
  readonly windLimitMps: number;
  /** How the pilot flies; absent: not known. */
  readonly flies?: FliesIn;
}

export interface BrokenLimit {
  readonly causeId: CauseId;
  /** Which restriction, why it is broken, and what would do. */
  readonly said: Said;
}

/** What has to be seen to before this pilot flies here, each once. */
export const needsOf = (
  weaknesses: readonly Pick<Restricting, 'causeId'>[],
  place: Place | null,
): readonly Need[] => [
  ...new Set(
    weaknesses.flatMap(({ causeId }) =>
      (RESTRICTION_LIMITS[causeId] ?? []).flatMap((limit): readonly Need[] => {
        if (limit.limit === 'slow') return ['slow-setting'];
        return limit.limit === 'needs' && (!limit.at || (place !== null && limit.at.includes(place)))
          ? [limit.what]
          : [];
      }),
    ),
  ),
];

/** Charge at which the feet have to be down, per cent: the usual one, or more after a battery weakness. */
export const reserveOf = (
  weaknesses: readonly Pick<Restricting, 'causeId'>[],
  usualPercent: number,
): number =>
  Math.max(
    usualPercent,
    ...weaknesses.flatMap(({ causeId }) =>
      (RESTRICTION_LIMITS[causeId] ?? []).flatMap((limit) =>
        limit.limit === 'reserve' ? [limit.percent] : [],
      ),
    ),
  );

/** Wind that this pilot may fly in until cleared, m/s, outside the drills of the weakness that says so. */
export const windLimitUnder = (
  weaknesses: readonly Pick<Restricting, 'causeId'>[],
  windLimitMps: number,
): number =>
  windLimitMps * leastOf(weaknesses, (limit) => (limit.limit === 'wind-share' ? limit.share : 1), 1);

/** Share of the distance at which the craft can be read that this pilot may use until cleared. */
export const sightShareUnder = (weaknesses: readonly Pick<Restricting, 'causeId'>[]): number =>
  leastOf(weaknesses, (limit) => (limit.limit === 'sight-share' ? limit.share : 1), 1);

const leastOf = (
  weaknesses: readonly Pick<Restricting, 'causeId'>[],
  of: (limit: RestrictionLimit) => number,
  most: number,
): number =>
  Math.min(most, ...weaknesses.flatMap(({ causeId }) => (RESTRICTION_LIMITS[causeId] ?? []).map(of)));

/** A flight outside any drill, as far as restrictions have a say in it; null: nobody has told. */
export interface FreeFlight {
  readonly place: Place;
  readonly setting: SpeedSetting;
  /** Mode flown. */
  readonly mode: FlightMode;
  readonly pilotRelative: boolean;
  readonly heightM: number | null;
  /** Nearest thing to hit, and nearest person who has no part in it, m. */
  readonly nearestM: number | null;
  readonly peopleM: number | null;
}

const tenth = (value: number): number => Math.round(value * 10) / 10;

/** What a limit says against a place; null when nothing. */
function againstPlace(limit: RestrictionLimit, place: Place | null, isWithoutHold: boolean): Said | null {
  if (place === null) return null;
  if (limit.limit === 'not-at' && limit.places.includes(place)) return sentence('limit.not-at', { place });
  if (limit.limit === 'without-hold-only-at' && isWithoutHold && !limit.places.includes(place))
    return sentence('limit.without-hold-only-at', { places: limit.places });
  return null;
}

/** Everything that the limits of open weaknesses say against a flight. */
const brokenWhere = <W extends Pick<Restricting, 'causeId'>>(
  weaknesses: readonly W[],
  against: (limit: RestrictionLimit, weakness: W) => Said | null,
): readonly BrokenLimit[] =>
  weaknesses.flatMap((weakness) =>
    (RESTRICTION_LIMITS[weakness.causeId] ?? []).flatMap((limit): BrokenLimit[] => {
      const { causeId } = weakness;
      const why = against(limit, weakness);
      return why === null ? [] : [{ causeId, said: sentence('limit.of-cause', { cause: causeId, why }) }];
    }),
  );

/** What a limit says against a number that was told, or that nobody has. */
const needsAtLeast = (
  value: number | null,
  leastM: number,
  what: 'height' | 'people' | 'things',
): Said | null => {
  if (value === null) return sentence(`limit.${what}-not-told`, { leastM });
  return value < leastM ? sentence(`limit.${what}-too-near`, { value, leastM }) : null;
};

/** What a limit says against a flight outside any drill; null when nothing. */
function againstFlight(limit: RestrictionLimit, flight: FreeFlight): Said | null {
  const { place, setting, mode, heightM, nearestM, peopleM, pilotRelative } = flight;
  const isWithoutHold = onReleaseIn(mode) === 'manual';
  switch (limit.limit) {
    case 'slow':
      if (setting === 'slow' || (limit.withinM !== null && nearestM !== null && nearestM >= limit.withinM))
        return null;
      return limit.withinM === null
        ? sentence('limit.slow')
        : sentence('limit.slow-within', { withinM: limit.withinM });
    case 'floor':
      return limit.of === 'manual' && !isWithoutHold ? null : needsAtLeast(heightM, limit.m, 'height');
    case 'people':
      return needsAtLeast(peopleM, limit.m, 'people');
    case 'hold-within':
      return isWithoutHold ? needsAtLeast(nearestM, limit.m, 'things') : null;
    case 'no-pilot-relative':
      return pilotRelative ? sentence('limit.no-pilot-relative') : null;
    default:
      return againstPlace(limit, place, isWithoutHold);
  }
}

/** The restrictions that a flight outside any drill would break; wind, sight and reserve have sums of their own. */
export const brokenByFlight = (
  flight: FreeFlight,
  weaknesses: readonly Pick<Restricting, 'causeId'>[],
): readonly BrokenLimit[] => brokenWhere(weaknesses, (limit) => againstFlight(limit, flight));

/** Whether a drill is flown with hold off by such a pilot; where nobody said how one flies, as usual. */
const isFlownWithoutHold = (drill: Pick<Drill, 'assistance' | 'handsForm'>, flies?: FliesIn): boolean =>
  drill.assistance !== 'as-flown' || (flies !== undefined && hasTwoForms(drill, flies));

/**
 * The restrictions that a planned drill would break. On the simulator nothing is broken; inside the drills of its
 * own plan a restriction holds only as far as the place goes, since none may stand in the way of what lifts it.
 */
export function brokenBy(flying: PlannedFlying, weaknesses: readonly Restricting[]): readonly BrokenLimit[] {
  if (flying.flownOn === 'simulator') return [];
  const { place, windMps, windLimitMps } = flying;
  const drill = drillOf(flying.drillId);
  return brokenWhere(weaknesses, (limit, { causeId, drillIds }) => {
    const isOwn = drillIds.includes(drill.id);
    if (limit.limit === 'wind-share') {
      const most = limit.share * windLimitMps;
      return !isOwn && windMps !== null && windMps > most
        ? sentence('limit.wind-share', { most: tenth(most), windMps: tenth(windMps) })
        : null;
    }
    if (limit.limit === 'no-drills')
      return limit.drills.includes(drill.id) && !isOwn
        ? sentence('limit.no-drill', { drill: drill.id, cause: causeId })
        : null;
    return againstPlace(limit, place, isFlownWithoutHold(drill, flying.flies));
  });
}

/** How far a restriction holds inside the drills that lift it, and who is there. */
export const insideItsDrills = (causeId: CauseId): Said =>
  (RESTRICTION_LIMITS[causeId] ?? []).some(({ limit }) => limit === 'wind-share')
    ? sentence('limit.own-drills-whole-wind')
    : sentence('limit.own-drills');
