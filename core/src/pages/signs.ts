import type { CauseId } from '../causes/causes';
import type { DrillId } from '../drills/drills';
import type { Level } from '../vocabulary/training';
import type { Day } from '../vocabulary/day';
import type { BandFlown, HappenedIn } from './insights';

export interface PilotNamed {
  readonly pilotId: string;
  readonly pilotName: string;
}

/** One drill at one level, on the craft or on the simulator: the last reps, and those before them. */
export interface DrilledLately extends PilotNamed {
  readonly drillId: DrillId;
  readonly level: Level;
  readonly flownOn: 'craft' | 'simulator';
  readonly lately: { readonly events: number; readonly tries: number };
  readonly before: { readonly events: number; readonly tries: number };
}

/** Flights and near-misses of a pilot in the last days, and in the year before. */
export interface FlownLately extends PilotNamed {
  readonly lately: Pick<HappenedIn, 'flights' | 'nearMisses'>;
  readonly before: Pick<HappenedIn, 'flights' | 'nearMisses'>;
  readonly lastFlownOn: Day;
}

export interface CheckDue extends PilotNamed {
  readonly weaknessId: string;
  readonly causeId: CauseId;
  readonly due: Day;
}

/** One site in one wind. */
export interface PlaceFlown extends BandFlown {
  readonly siteId: string;
  readonly siteName: string;
}

/** What early signs are looked for in. */
export interface SignsPage {
  readonly today: Day;
  readonly drilled: readonly DrilledLately[];
  readonly flown: readonly FlownLately[];
  readonly checks: readonly CheckDue[];
  readonly places: readonly PlaceFlown[];
}
