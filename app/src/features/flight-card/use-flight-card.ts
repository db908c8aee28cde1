import { restricts } from '@skelby/core/clearance/open-states';
import type { Craft, Pilot, Roster, Site, TodayList, WeaknessLine } from '@skelby/core/pages/pages';
import { RESERVE_PCT } from '@skelby/core/reconstruct/energy-home';
import type { FlightToBe } from '@skelby/core/go-no-go/flight-to-be';
import { USUAL_HEIGHT_LIMIT_M } from '@skelby/core/go-no-go/judge';
import { reserveOf } from '@skelby/core/restrictions/restrictions';
import { craftFacts, type SpeedSetting } from '@skelby/core/vocabulary/craft-facts';
import { useState } from 'react';
import { keep, kept } from '../../shared/storage/storage';
import { offerUndo } from '../../shared/ui/undo';

/** Another name than before: what an older version filled in by itself is nothing that was told. */
const NAME = 'flight-card.2';

/** The numbers of the form, in SI units, and between what they may be. */
export const FORM_LIMITS = {
  windMps: [0, 30],
  gustMps: [0, 40],
  farthestM: [1, 20_000],
  chargePct: [0, 100],
  reservePct: [0, 60],
  visibilityM: [10, 50_000],
  heightM: [0, 500],
  heightLimitM: [1, 500],
  nearestM: [0, 1000],
  peopleM: [0, 2000],
  lightMin: [0, 1440],
} as const;
export type NumberName = keyof typeof FORM_LIMITS;
type Numbers = { readonly [Name in NumberName]: number | null };

export interface Chosen extends Numbers {
  readonly pilotId: string | null;
  readonly craftId: string | null;
  readonly siteId: string | null;
  readonly setting: SpeedSetting;
  /** Null: nobody said; it is taken as against the way home. */
  readonly windFromOutDeg: number | null;
  /** Null: nobody has looked. */
  readonly rain: boolean | null;
  /** Ids of what somebody has looked at. */
  readonly seen: readonly string[];
}

const FRESH: Chosen = {
  pilotId: null,
  craftId: null,
  siteId: null,
  setting: 'normal',
  windMps: 3,
  gustMps: 5,
  windFromOutDeg: null,
  farthestM: 50,
  chargePct: 100,
  reservePct: RESERVE_PCT,
  visibilityM: 5000,
  heightM: null,
  heightLimitM: USUAL_HEIGHT_LIMIT_M,
  nearestM: null,
  peopleM: null,
  lightMin: null,
  rain: null,
  seen: [],
};

/** Whether a number is there and may be so. */
export const isWithin = (name: NumberName, value: number | null): value is number =>
  value !== null && value >= FORM_LIMITS[name][0] && value <= FORM_LIMITS[name][1];

/** What may stay open: a person looks and ticks, and nothing is taken as told. */
const MAY_BE_OPEN = ['heightM', 'nearestM', 'peopleM', 'lightMin'] as const satisfies readonly NumberName[];
type OpenName = (typeof MAY_BE_OPEN)[number];
export const mayBeOpen = (name: NumberName): boolean => (MAY_BE_OPEN as readonly NumberName[]).includes(name);

type Given = { readonly [Name in NumberName]: Name extends OpenName ? number | null : number };
const NAMES = Object.keys(FORM_LIMITS) as NumberName[];
const givenIn = (chosen: Chosen): Given | null =>
  NAMES.every((name) => isWithin(name, chosen[name]) || (chosen[name] === null && mayBeOpen(name)))
    ? (Object.fromEntries(NAMES.map((name) => [name, chosen[name]])) as unknown as Given)
    : null;

interface Picked {
  readonly pilot: Pilot;
  readonly craft: Craft;
  readonly site: Site;
  readonly open: readonly WeaknessLine[];
}

/** The flight that the card judges; null while something is missing. */
function flightToBe(chosen: Chosen, { pilot, craft, site, open }: Partial<Picked>): FlightToBe | null {
  const given = givenIn(chosen);
  if (!pilot || !craft || !site || !open || !given) return null;
  return {
    ...given,
    craft: craftFacts(craft),
    setting: chosen.setting,
    mode: craft.mode,
    pilotRelative: false,
    windLimitMps: pilot.windLimitMps,
    place: site.place,
    tallestM: site.tallestM,
    ceilingM: site.ceilingM ?? null,
    hazard: site.hazard ?? '',
    windFromOutDeg: chosen.windFromOutDeg,
    reservePct: reserveOf(open, given.reservePct),
    altitudeM: site.altitudeM ?? 0,
    rain: chosen.rain,
    weaknesses: open,
  };
}

/** What was chosen on the form, and the flight that it makes. */
export function useFlightCard(roster: Roster, today: TodayList) {
  const [chosen, setChosen] = useState<Chosen>(() => ({ ...FRESH, ...kept<Partial<Chosen>>(NAME) }));
  // What was looked at was looked at for this flight: another pilot, craft, place or number asks again.
  const put = (part: Partial<Chosen>) =>
    setChosen((last) => {
      const next = { ...last, seen: [], ...part };
      keep(NAME, next);
      return next;
    });
  const pilot = roster.pilots.find((each) => each.id === chosen.pilotId);
  const craft = roster.craft.find((each) => each.id === chosen.craftId);
  const site = roster.sites.find((each) => each.id === chosen.siteId);
  const open = today.weaknesses.filter((each) => each.pilotId === pilot?.id && restricts(each));
  return {
    chosen,
    put,
    pickPilot: (pilotId: string) => {
      const picked = roster.pilots.find((each) => each.id === pilotId);
      put({
        pilotId,
        craftId: picked?.lastCraftId ?? chosen.craftId,
        siteId: picked?.lastSiteId ?? chosen.siteId,
      });
    },
    look: (id: string) =>
      put({
        seen: chosen.seen.includes(id) ? chosen.seen.filter((each) => each !== id) : [...chosen.seen, id],
      }),
    anew: () => {
      offerUndo('Flight card begun anew', () => put(chosen));
      put(FRESH);
    },
    open,
    names: [pilot?.name ?? '', craft?.name ?? '', site?.name ?? ''],
    flight: flightToBe(chosen, {
      open,
      ...(pilot ? { pilot } : {}),
      ...(craft ? { craft } : {}),
      ...(site ? { site } : {}),
    }),
  };
}
