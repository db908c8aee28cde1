import type { CheckDue, DrilledLately, FlownLately, PlaceFlown, SignsPage } from '../pages/signs';
import { daysBetween } from '../vocabulary/day';
import { binomialAtMost } from '../rates/exact-interval';
import { atLeastAgain } from './beta-binomial';
import { funnel, type FunnelPoint } from './funnel';

/** So many of the last reps of a drill are held against those before, of which there must be so many. */
export const REPS_LATELY = 30;
export const REPS_BEFORE = 30;
export const MOST_REPS_BEFORE = 100;
/** So many days are lately for what is flown. */
export const DAYS_LATELY = 30;
/** Seldomer than once in so many looks it comes by chance alone. */
export const ONE_LOOK_IN = 300;
/** One near-miss more is no sign, however seldom they are. */
const FEWEST_NEAR_MISSES = 3;
/** A check that waits longer than this has been forgotten. */
export const CHECK_WAITS_DAYS = 14;
/** Whoever flew so often in the year before, and then not for so long, is not who they were. */
export const RESTED_DAYS = 45;
const FLEW_OFTEN = 12;

export type EarlySign =
  | { readonly kind: 'misses-more'; readonly of: DrilledLately }
  | { readonly kind: 'near-misses-more'; readonly of: FlownLately }
  | { readonly kind: 'check-waits'; readonly of: CheckDue; readonly days: number }
  | { readonly kind: 'not-flown'; readonly of: FlownLately; readonly days: number };

/** Where near-misses gather: one site in one wind, beyond what so much flying sees by chance. */
export type Gathering = PlaceFlown & Pick<FunnelPoint, 'expected'>;

export interface EarlySigns {
  /** Of each pilot what there is, in the order in which they came; nobody is ranked. */
  readonly pilots: readonly {
    readonly pilotId: string;
    readonly pilotName: string;
    readonly signs: readonly EarlySign[];
  }[];
  readonly places: readonly Gathering[];
}

/** Whether a drill is missed more often than before, beyond chance. */
export const missesMore = ({ lately, before }: Pick<DrilledLately, 'lately' | 'before'>): boolean =>
  lately.tries >= REPS_LATELY &&
  before.tries >= REPS_BEFORE &&
  atLeastAgain(lately, before) < 1 / ONE_LOOK_IN;

/** Whether more near-misses come than before for as much flying: given how many in all, the last ones are binomial. */
export function nearMissesMore({ lately, before }: Pick<FlownLately, 'lately' | 'before'>): boolean {
  if (lately.nearMisses < FEWEST_NEAR_MISSES || lately.flights === 0 || before.flights === 0) return false;
  const share = lately.flights / (lately.flights + before.flights);
  const all = lately.nearMisses + before.nearMisses;
  return 1 - binomialAtMost(lately.nearMisses - 1, all, share) < 1 / ONE_LOOK_IN;
}

/** What may go wrong next, before it has: of pilots, and of places. */
export function earlySigns({ today, drilled, flown, checks, places }: SignsPage): EarlySigns {
  const rests = ({ lastFlownOn, before }: FlownLately) =>
    before.flights >= FLEW_OFTEN && daysBetween(lastFlownOn, today) >= RESTED_DAYS;
  const signs: readonly EarlySign[] = [
    ...drilled.filter(missesMore).map((of) => ({ kind: 'misses-more', of }) as const),
    ...flown.filter(nearMissesMore).map((of) => ({ kind: 'near-misses-more', of }) as const),
    ...checks
      .map((of) => ({ kind: 'check-waits', of, days: daysBetween(of.due, today) }) as const)
      .filter(({ days }) => days >= CHECK_WAITS_DAYS),
    ...flown
      .filter(rests)
      .map((of) => ({ kind: 'not-flown', of, days: daysBetween(of.lastFlownOn, today) }) as const),
  ];
  const pilots = new Map(signs.map(({ of: { pilotId, pilotName } }) => [pilotId, { pilotId, pilotName }]));
  const counted = places.map(({ nearMisses, flights }) => ({ events: nearMisses, exposure: flights }));
  return {
    pilots: [...pilots.values()]
      .sort((a, b) => a.pilotName.localeCompare(b.pilotName))
      .map((pilot) => ({ ...pilot, signs: signs.filter(({ of }) => of.pilotId === pilot.pilotId) })),
    places: funnel(counted).flatMap(({ is, expected }, i) =>
      is === 'more' && places[i]!.nearMisses >= FEWEST_NEAR_MISSES ? [{ ...places[i]!, expected }] : [],
    ),
  };
}
