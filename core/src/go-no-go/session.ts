import { exerciseOf } from '../assessment/exercises';
import { RESERVE_PCT } from '../reconstruct/energy-home';
import { brokenBy, needsOf, reserveOf, type Restricting } from '../restrictions/restrictions';
import type { SessionFields } from '../schemas/session';
import { craftFacts, type CraftRecord, USUAL_CRAFT } from '../vocabulary/craft-facts';
import type { FlightMode, Place } from '../vocabulary/flying';
import { sentence } from '../vocabulary/said';
import type { FlightCheck } from './flight-to-be';
import { judgeFlight, USUAL_HEIGHT_LIMIT_M } from './judge';

/** What drills are flown at that have no course: low, and near the pilot. */
const USUAL_DRILL = { heightM: 5, farthestM: 30 } as const;

/** How high and how far the drills of a pilot go, m. */
function reachOf(
  { content }: SessionToBe,
  pilotId: string,
): { readonly heightM: number; readonly farthestM: number } {
  const drills = content.packs.flatMap((pack) => pack.blocks.filter((block) => block.pilotId === pilotId));
  const places = drills.flatMap(({ drillId, side }) =>
    (exerciseOf(drillId, side)?.stages ?? []).flatMap(({ path }) => {
      if (path.is === 'point') return [path.at];
      return path.is === 'segment' ? [path.from, path.to] : [path.centre];
    }),
  );
  return {
    heightM: Math.ceil(Math.max(USUAL_DRILL.heightM, ...places.map(([, , z]) => z))),
    farthestM: Math.ceil(Math.max(USUAL_DRILL.farthestM, ...places.map(([x, y]) => Math.hypot(x, y)))),
  };
}

interface PilotFlying {
  readonly id: string;
  readonly name: string;
  readonly mode: FlightMode;
  readonly windLimitMps: number;
  readonly holdOff?: boolean;
  /** Null: it is not known which; a usual one stands in. */
  readonly craft: CraftRecord | null;
  /** Open weaknesses, by their keys. */
  readonly weaknesses: readonly (Pick<Restricting, 'causeId'> & { readonly id: string })[];
}

export interface SessionToBe {
  readonly content: Pick<SessionFields, 'windMps' | 'packs'>;
  readonly pilots: readonly PilotFlying[];
  readonly site: {
    readonly place: Place;
    readonly tallestM: number;
    readonly ceilingM?: number | null;
  } | null;
  /** Minutes of light left; null: not told. */
  readonly lightMin: number | null;
}

/** Checks that speak of the day or the place, and are asked once for all who fly. */
const OF_THE_DAY: readonly string[] = ['gust', 'rain', 'light', 'people', 'height', 'sight'];

/** Drills of the session that a pilot's open weaknesses rule out. */
function ruledOut({ content, site }: SessionToBe, pilot: PilotFlying): readonly FlightCheck[] {
  const blocks = content.packs.flatMap((pack) => pack.blocks).filter((block) => block.pilotId === pilot.id);
  // Drills of a weakness's own plan stay open to it.
  const restricting = pilot.weaknesses.map(({ id, causeId }) => ({
    causeId,
    drillIds: blocks.filter((block) => block.weaknessId === id).map((block) => block.drillId),
  }));
  return [...new Set(blocks.map((block) => block.drillId))].flatMap((drillId) =>
    brokenBy(
      {
        drillId,
        flownOn: 'craft',
        place: site?.place ?? null,
        windMps: content.windMps,
        windLimitMps: pilot.windLimitMps,
        flies: pilot,
      },
      restricting,
    ).map(({ causeId, said }) => ({
      id: `until-cleared ${causeId} ${drillId} ${pilot.id}`,
      go: false,
      said: sentence('check.ruled-out', { pilot: pilot.name, drill: drillId, of: said }),
      remedy: sentence('remedy.ruled-out'),
    })),
  );
}

/** What the judge says of one pilot's flying in the session. */
function checksOf(session: SessionToBe, pilot: PilotFlying): readonly FlightCheck[] {
  const { content, site, lightMin } = session;
  const { checks } = judgeFlight({
    ...reachOf(session, pilot.id),
    craft: craftFacts(pilot.craft ?? { ...USUAL_CRAFT, mode: pilot.mode }),
    setting: 'normal',
    mode: pilot.mode,
    pilotRelative: false,
    windLimitMps: pilot.windLimitMps,
    place: site?.place ?? 'open',
    tallestM: site?.tallestM ?? 0,
    ceilingM: site?.ceilingM ?? null,
    heightLimitM: USUAL_HEIGHT_LIMIT_M,
    nearestM: null,
    peopleM: null,
    windMps: content.windMps,
    gustMps: null,
    windFromOutDeg: null,
    chargePct: null,
    reservePct: reserveOf(pilot.weaknesses, RESERVE_PCT),
    altitudeM: 0,
    visibilityM: null,
    rain: null,
    lightMin,
    // What they rule out is judged drill by drill.
    weaknesses: [],
  });
  return checks.map((each) =>
    OF_THE_DAY.includes(each.id)
      ? each
      : {
          ...each,
          id: `${each.id} ${pilot.id}`,
          said: sentence('check.of-pilot', { pilot: pilot.name, of: each.said }),
        },
  );
}

/**
 * What is asked before anybody of a session flies: the same judge as for a card, once for each pilot, and what
 * open weaknesses rule out and ask for.
 */
export function judgeSession(session: SessionToBe): readonly FlightCheck[] {
  const flying = session.pilots.filter((pilot) =>
    session.content.packs.some((pack) => pack.pilotId === pilot.id),
  );
  const all = flying.flatMap((pilot) => [
    ...checksOf(session, pilot),
    ...ruledOut(session, pilot),
    ...needsOf(pilot.weaknesses, session.site?.place ?? null).map((need) => ({
      id: `needs ${need} ${pilot.id}`,
      go: null,
      said: sentence('check.need-of-pilot', { pilot: pilot.name, need }),
      remedy: sentence('remedy.need'),
    })),
  ]);
  // Of what is asked once for all, the strictest stands.
  const strictest = new Map<string, FlightCheck>();
  for (const each of all) {
    const there = strictest.get(each.id);
    if (!there || (each.go === false && there.go !== false)) strictest.set(each.id, each);
  }
  return [...strictest.values()];
}

/** Of these checks, what nobody may fly with unless a trainer says why. */
export const refusedIn = <Check extends Pick<FlightCheck, 'go'>>(
  checks: readonly Check[],
): readonly Check[] => checks.filter(({ go }) => go === false);
