import { causeOf, type CauseId } from '../causes/causes';
import { drillOf, type DrillId } from '../drills/drills';
import type { SpeedSetting } from '../vocabulary/craft-facts';
import { type FlightMode, onReleaseIn, type Place } from '../vocabulary/flying';
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
}

export interface BrokenLimit {
  readonly causeId: CauseId;
  /** Which restriction, why it is broken, and what would do. Speeds are left open for the school's units. */
  readonly words: string;
}

const PLACE_NAMES: Readonly<Record<Place, string>> = {
  open: 'open ground',
  trees: 'among trees',
  indoors: 'indoors',
  'under-structure': 'under a structure',
  'built-up': 'between walls',
  water: 'over water',
};

/** What has to be seen to before this pilot flies here, each once. */
export const needsOf = (
  weaknesses: readonly Pick<Restricting, 'causeId'>[],
  place: Place | null,
): readonly Need[] => [
  ...new Set(
    weaknesses.flatMap(({ causeId }) =>
      (RESTRICTION_LIMITS[causeId] ?? []).flatMap((limit) =>
        limit.limit === 'needs' && (!limit.at || (place !== null && limit.at.includes(place)))
          ? [limit.what]
          : [],
      ),
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

/** Wind that this pilot may fly in until cleared, m/s. */
export const windLimitUnder = (
  weaknesses: readonly Pick<Restricting, 'causeId'>[],
  windLimitMps: number,
): number =>
  windLimitMps *
  Math.min(
    1,
    ...weaknesses.flatMap(({ causeId }) =>
      (RESTRICTION_LIMITS[causeId] ?? []).flatMap((limit) =>
        limit.limit === 'wind-share' ? [limit.share] : [],
      ),
    ),
  );

/** A flight outside any drill, as far as restrictions have a say in it. */
export interface FreeFlight {
  readonly place: Place;
  readonly setting: SpeedSetting;
  /** Mode of the craft. */
  readonly mode: FlightMode;
}

/** What a limit says against a place; null when nothing. */
function againstPlace(limit: RestrictionLimit, place: Place | null, isWithoutHold: boolean): string | null {
  if (place === null) return null;
  if (limit.limit === 'not-at' && limit.places.includes(place))
    return `not ${PLACE_NAMES[place]} until cleared; fly it on open ground.`;
  if (limit.limit === 'without-hold-only-at' && isWithoutHold && !limit.places.includes(place))
    return `without hold only on ${limit.places.map((each) => PLACE_NAMES[each]).join(' or ')} until cleared.`;
  return null;
}

/** Everything that the limits of open weaknesses say against a flight. */
const brokenWhere = <W extends Pick<Restricting, 'causeId'>>(
  weaknesses: readonly W[],
  against: (limit: RestrictionLimit, weakness: W) => string | null,
): readonly BrokenLimit[] =>
  weaknesses.flatMap((weakness) =>
    (RESTRICTION_LIMITS[weakness.causeId] ?? []).flatMap((limit): BrokenLimit[] => {
      const { causeId } = weakness;
      const why = against(limit, weakness);
      return why === null ? [] : [{ causeId, words: `${causeOf(causeId).name}: ${why}` }];
    }),
  );

/** The restrictions that a flight outside any drill would break; wind and reserve have sums of their own. */
export const brokenByFlight = (
  { place, setting, mode }: FreeFlight,
  weaknesses: readonly Pick<Restricting, 'causeId'>[],
): readonly BrokenLimit[] =>
  brokenWhere(weaknesses, (limit) =>
    limit.limit === 'needs' && limit.what === 'slow-setting' && setting !== 'slow'
      ? 'only the slow setting until cleared; switch to slow.'
      : againstPlace(limit, place, onReleaseIn(mode) === 'manual'),
  );

/** The restrictions that a planned flight would break. On the simulator nothing is broken. */
export function brokenBy(flying: PlannedFlying, weaknesses: readonly Restricting[]): readonly BrokenLimit[] {
  if (flying.flownOn === 'simulator') return [];
  const { place, windMps, windLimitMps } = flying;
  const drill = drillOf(flying.drillId);
  return brokenWhere(weaknesses, (limit, { causeId, drillIds }) => {
    if (limit.limit === 'wind-share') {
      const most = limit.share * windLimitMps;
      return windMps !== null && windMps > most
        ? `no more than {v:${most.toFixed(1)}} of wind until cleared; it is {v:${windMps.toFixed(1)}}.`
        : null;
    }
    if (limit.limit === 'no-drills')
      return limit.drills.includes(drill.id) && !drillIds.includes(drill.id)
        ? `${drill.name} goes against "${causeOf(causeId).restriction}"; on the simulator, or once cleared.`
        : null;
    return againstPlace(limit, place, drill.assistance !== 'as-flown');
  });
}
