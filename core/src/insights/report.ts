import type { CauseId } from '../causes/causes';
import { liveMoves } from '../clearance/standing';
import type { DrillId } from '../drills/drills';
import type { GroupFlown, HappenedIn, InsightsPage, WeaknessWent } from '../pages/insights';
import { type Counted, type EventRate, eventRate, inAll } from './event-rate';
import { funnel, type FunnelPoint } from './funnel';
import { type PoissonCusum, poissonCusum } from './poisson-cusum';
import { type RateRatio, rateRatio } from './rate-ratio';
import { type MethodInsight, methodsCompared } from './methods-compared';
import { shrunkenRates } from './shrunken';
import { lastingFrom, OPENINGS, SIGNATURES } from './lasting-from';
import { type Survival, survival } from './survival';
import { type UChart, uChart } from './u-chart';

/** So many of the last months are watched against those before them. */
const WATCHED_MONTHS = 6;
const ASKED = { times: 2, falseAlarmEvery: 60 } as const;
/** Fewer weaknesses than these tell nothing of a drill. */
const FEWEST_OF_A_DRILL = 3;

/** A place, craft or wind beside the others, by crashes and near-misses together. */
export interface GroupInsight extends FunnelPoint {
  readonly id: string | null;
  readonly name: string;
  /** Drawn towards that of all, the further the less was flown: events a flight. */
  readonly shrunken: number;
}

export interface CauseInsight extends EventRate {
  readonly causeId: CauseId;
  readonly crashes: number;
  /** Share of all that happened, with those before it. */
  readonly upTo: number;
}

export interface DrillInsight {
  readonly drillId: DrillId;
  readonly weaknesses: number;
  readonly before: Counted;
  readonly after: Counted;
  /** After against before; null: nothing to compare. */
  readonly change: RateRatio | null;
}

export interface Report {
  readonly flights: number;
  readonly hours: number;
  readonly crashes: EventRate;
  readonly nearMisses: EventRate;
  readonly crashesAnHour: EventRate;
  /** Near-misses told for every crash; null: no crash. */
  readonly nearMissesACrash: number | null;
  /** Those of the period from the first in which anything was flown. */
  readonly months: readonly string[];
  /** Crashes and near-misses a flight, month after month. */
  readonly chart: UChart;
  /** The last months against those before; null: too little to learn from. */
  readonly worse: PoissonCusum | null;
  readonly sites: readonly GroupInsight[];
  readonly craft: readonly GroupInsight[];
  readonly bands: readonly GroupInsight[];
  readonly causes: readonly CauseInsight[];
  /** Days from opening to signature, and from signature to opening anew. */
  readonly toClear: Survival;
  readonly toRelapse: Survival;
  readonly drills: readonly DrillInsight[];
  /** Ways of teaching of which more than one was taken. */
  readonly methods: readonly MethodInsight[];
}

const eventsOf = ({ crashes, nearMisses, flights }: HappenedIn): Counted => ({
  events: crashes + nearMisses,
  exposure: flights,
});

function groupsOf(
  groups: readonly (HappenedIn & Pick<GroupFlown, 'id' | 'name'>)[],
): readonly GroupInsight[] {
  // What happened where nobody told the group has no flying beside it.
  const known = groups.filter(({ flights }) => flights > 0);
  const counted = known.map(eventsOf);
  const drawn = shrunkenRates(counted);
  return funnel(counted)
    .map((point, i) => ({ ...point, ...known[i]!, shrunken: drawn[i]! }))
    .map(({ id, name, shrunken, events, exposure, expected, within95, within998, is }) => ({
      ...{ id, name, shrunken, events, exposure, expected, within95, within998, is },
    }));
}

function causesOf({ causes, months }: InsightsPage): readonly CauseInsight[] {
  const flights = inAll(months.map(eventsOf)).exposure;
  const all = causes.reduce((sum, { crashes, nearMisses }) => sum + crashes + nearMisses, 0);
  let before = 0;
  return causes.map(({ causeId, crashes, nearMisses }) => {
    const events = crashes + nearMisses;
    before += events;
    return { causeId, crashes, ...eventRate({ events, exposure: flights }), upTo: before / all };
  });
}

/** What was flown of each drill's weaknesses before and after, those that were signed. */
function drillsOf(weaknesses: readonly WeaknessWent[]): readonly DrillInsight[] {
  const signed = weaknesses.filter(({ moves }) =>
    liveMoves(moves).some(({ kind }) => SIGNATURES.includes(kind)),
  );
  const ids = [...new Set(signed.flatMap(({ drillIds }) => drillIds))].sort();
  return ids.flatMap((drillId): readonly DrillInsight[] => {
    const own = signed.filter(({ drillIds }) => drillIds.includes(drillId));
    if (own.length < FEWEST_OF_A_DRILL) return [];
    const total = (of: 'before' | 'after') =>
      inAll(own.map((each) => ({ events: each[of].events, exposure: each[of].flights })));
    const [before, after] = [total('before'), total('after')];
    return [{ drillId, weaknesses: own.length, before, after, change: rateRatio(after, before) }];
  });
}

/** Months before anything was flown or happened say nothing of the school. */
function sinceTheFirst(months: InsightsPage['months']): InsightsPage['months'] {
  const first = months.findIndex(({ flights, crashes, nearMisses }) => flights + crashes + nearMisses > 0);
  return first === -1 ? [] : months.slice(first);
}

/** Everything a school can be told of itself, each figure with its interval. */
export function reportOf(page: InsightsPage): Report {
  const months = sinceTheFirst(page.months);
  const { sites, craft, bands, weaknesses, to } = page;
  const total = (of: (month: HappenedIn) => number) => months.reduce((sum, month) => sum + of(month), 0);
  const flights = total((month) => month.flights);
  const hours = total((month) => month.minutes) / 60;
  const crashes = total((month) => month.crashes);
  const nearMisses = total((month) => month.nearMisses);
  const counted = months.map(eventsOf);
  return {
    ...{ flights, hours, months: months.map(({ month }) => month) },
    crashes: eventRate({ events: crashes, exposure: flights }),
    nearMisses: eventRate({ events: nearMisses, exposure: flights }),
    crashesAnHour: eventRate({ events: crashes, exposure: hours }),
    nearMissesACrash: crashes > 0 ? nearMisses / crashes : null,
    chart: uChart(counted),
    worse: poissonCusum(counted.slice(0, -WATCHED_MONTHS), counted.slice(-WATCHED_MONTHS), ASKED),
    sites: groupsOf(sites),
    craft: groupsOf(craft),
    bands: groupsOf(bands.map(({ band, ...each }) => ({ ...each, id: band, name: band ?? '' }))),
    causes: causesOf(page),
    toClear: survival(lastingFrom(weaknesses, to, OPENINGS, SIGNATURES)),
    toRelapse: survival(lastingFrom(weaknesses, to, SIGNATURES, ['reopened'])),
    drills: drillsOf(weaknesses),
    methods: methodsCompared(page),
  };
}
