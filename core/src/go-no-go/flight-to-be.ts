import type { LostLinkAdvice } from '../reconstruct/return-height';
import type { Restricting } from '../restrictions/restrictions';
import type { CraftFacts, SpeedSetting } from '../vocabulary/craft-facts';
import type { FlightMode, Place } from '../vocabulary/flying';
import type { Said } from '../vocabulary/said';

/** A flight that is about to be flown. Null: nobody has told, and a person has to look. */
export interface FlightToBe {
  readonly craft: CraftFacts;
  readonly setting: SpeedSetting;
  /** Mode flown. */
  readonly mode: FlightMode;
  readonly pilotRelative: boolean;
  /** The pilot's own wind limit, m/s; open weaknesses cut it further. */
  readonly windLimitMps: number;
  readonly place: Place;
  readonly tallestM: number;
  /** Of a roof or a canopy above the flight, m; null: open sky, or not known. */
  readonly ceilingM: number | null;
  /** What somebody has told of the site to watch out for now; empty or absent: nothing. */
  readonly hazard?: string;
  /** What local rules allow, m. */
  readonly heightLimitM: number;
  readonly heightM: number | null;
  /** Nearest thing to hit, and nearest person who has no part in it, m. */
  readonly nearestM: number | null;
  readonly peopleM: number | null;
  /** As read in the hand. */
  readonly windMps: number;
  readonly gustMps: number | null;
  /** Where the wind comes from, off the way out: 0 head wind out, 180 tail wind out; null: against the way home. */
  readonly windFromOutDeg: number | null;
  readonly farthestM: number | null;
  readonly chargePct: number | null;
  readonly reservePct: number;
  readonly altitudeM: number;
  readonly visibilityM: number | null;
  readonly rain: boolean | null;
  /** Minutes until the nose can no longer be read. */
  readonly lightMin: number | null;
  /** Open weaknesses of the pilot. */
  readonly weaknesses: readonly Pick<Restricting, 'causeId'>[];
}

/** One thing that was looked at. */
export interface FlightCheck {
  readonly id: string;
  /** Null: a person has to look. */
  readonly go: boolean | null;
  readonly said: Said;
  /** What would make it go; null where it does. */
  readonly remedy: Said | null;
}

export interface FlightFigures {
  /** The lesser of what the charge and what the eye allow, m; null while the charge is not told. */
  readonly turnBackM: number | null;
  readonly standOffM: number;
  readonly descentLimitMps: number;
  readonly sightLimitM: number;
  readonly lostLink: LostLinkAdvice;
}

export interface FlightCard extends FlightFigures {
  /** Null: something has still to be looked at, and nothing speaks against it. */
  readonly go: boolean | null;
  readonly checks: readonly FlightCheck[];
}
