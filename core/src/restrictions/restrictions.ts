import { causeOf } from '../causes/causes';
import { drillOf } from '../drills/drills';
import type { SpeedSetting } from '../vocabulary/craft-facts';
import { type FlightMode, onReleaseIn, type Place } from '../vocabulary/flying';
import { LIMITS, type Need } from './limits';

/** An open weakness, as far as it restricts. */
export interface Restricting {
  readonly causeId: string;
  /** Drills of its own plan: they are there to mend it, and stay open. */
  readonly drillIds: readonly string[];
}

export interface PlannedFlying {
  readonly drillId: string;
  readonly flownOn: 'craft' | 'simulator';
  readonly place: Place | null;
  readonly windMps: number | null;
  readonly windLimitMps: number;
}

export interface Broken {
  readonly causeId: string;
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
      (LIMITS[causeId] ?? []).flatMap((limit) =>
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
      (LIMITS[causeId] ?? []).flatMap((limit) => (limit.limit === 'reserve' ? [limit.percent] : [])),
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
      (LIMITS[causeId] ?? []).flatMap((limit) => (limit.limit === 'wind-share' ? [limit.share] : [])),
    ),
  );

/** A flight outside any drill, as far as restrictions have a say in it. */
export interface FreeFlight {
  readonly place: Place;
  readonly setting: SpeedSetting;
  /** Mode of the craft. */
  readonly mode: FlightMode;
}

/** The restrictions that a flight outside any drill would break; wind and reserve have sums of their own. */
export const brokenByFlight = (
  { place, setting, mode }: FreeFlight,
  weaknesses: readonly Pick<Restricting, 'causeId'>[],
): readonly Broken[] =>
  weaknesses.flatMap(({ causeId }) =>
    (LIMITS[causeId] ?? []).flatMap((limit): Broken[] => {
      const broken = (why: string): Broken[] => [{ causeId, words: `${causeOf(causeId).name}: ${why}` }];
      if (limit.limit === 'needs' && limit.what === 'slow-setting' && setting !== 'slow')
        return broken('only the slow setting until cleared; switch to slow.');
      if (limit.limit === 'not-at' && limit.places.includes(place))
        return broken(`not ${PLACE_NAMES[place]} until cleared; fly on open ground.`);
      if (
        limit.limit === 'without-hold-only-at' &&
        onReleaseIn(mode) === 'manual' &&
        !limit.places.includes(place)
      )
        return broken(
          `without hold only on ${limit.places.map((each) => PLACE_NAMES[each]).join(' or ')} until cleared.`,
        );
      return [];
    }),
  );

/** The restrictions that a planned flight would break. On the simulator nothing is broken. */
export function brokenBy(flying: PlannedFlying, weaknesses: readonly Restricting[]): readonly Broken[] {
  if (flying.flownOn === 'simulator') return [];
  const drill = drillOf(flying.drillId);
  return weaknesses.flatMap(({ causeId, drillIds }) => {
    const cause = causeOf(causeId);
    const broken = (why: string): Broken => ({ causeId, words: `${cause.name}: ${why}` });
    return (LIMITS[causeId] ?? []).flatMap((limit): Broken[] => {
      switch (limit.limit) {
        case 'needs':
        case 'reserve':
          return [];
        case 'not-at':
          return flying.place !== null && limit.places.includes(flying.place)
            ? [broken(`not ${PLACE_NAMES[flying.place]} until cleared; fly it on open ground.`)]
            : [];
        case 'wind-share': {
          const most = limit.share * flying.windLimitMps;
          return flying.windMps !== null && flying.windMps > most
            ? [
                broken(
                  `no more than {v:${most.toFixed(1)}} of wind until cleared; it is {v:${flying.windMps.toFixed(1)}}.`,
                ),
              ]
            : [];
        }
        case 'without-hold-only-at':
          return drill.assistance !== 'as-flown' &&
            flying.place !== null &&
            !limit.places.includes(flying.place)
            ? [
                broken(
                  `without hold only on ${limit.places.map((place) => PLACE_NAMES[place]).join(' or ')} until cleared.`,
                ),
              ]
            : [];
        case 'no-drills':
          return limit.drills.includes(drill.id) && !drillIds.includes(drill.id)
            ? [
                broken(
                  `${drill.name} goes against "${cause.restriction}"; on the simulator, or once cleared.`,
                ),
              ]
            : [];
      }
    });
  });
}
