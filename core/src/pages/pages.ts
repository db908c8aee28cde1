import type { ReportingRule } from '../debrief/reporting';
import type { Track } from '../vocabulary/training';
import type { DrillId } from '../drills/drills';
import type { CauseId } from '../causes/causes';
import type { WeaknessState } from '../clearance/rungs';
import type { SaidByPilot } from './said-by-pilot';
import type { ClearingRule } from '../clearance/clearing-rule';
import type { MissReason, TestSet, Move, OpeningStamp, Purpose, Rep } from '../clearance/facts';
import type { CourseFact } from '../course/course-facts';
import type { Checkpoint } from '../clearance/second-edition';
import type { Findings } from '../debrief/findings';
import type { DrillVersion } from '../drills/school-book';
import type { CraftRecord } from '../vocabulary/craft-facts';
import type { Experience } from '../ranking/experience';
import type { Methods, OwnMethods } from '../methods/methods';
import type { KnownOfPilot } from '../plan/propose-plan';
import type { FlownAnswers } from '../schemas/flown';
import type { SessionFields } from '../schemas/session';
import type { FlightMode, OccurrenceKind, Place, StickLayout } from '../vocabulary/flying';
import type { PilotLink } from './people';

/** What the server answers with. */

export type { Me } from './people';

export interface Pilot {
  readonly id: string;
  /** Counts its changes; an edit says which one it was made from. */
  readonly revision: number;
  readonly name: string;
  readonly stickLayout: StickLayout;
  readonly mode: FlightMode;
  readonly windLimitMps: number;
  /** Flies with position hold off too; absent in a copy kept by an older version. */
  readonly holdOff?: boolean;
  /** These two are absent in a copy kept by an older version. */
  readonly isMinor?: boolean;
  readonly consentBy?: string;
  readonly track: Track;
  /** Drills shown before anything was counted here; absent in a copy kept by an older version. */
  readonly shown?: readonly DrillId[];
  /** What the pilot is taught otherwise than the school teaches; absent in a copy kept by an older version. */
  readonly methods?: OwnMethods;
  readonly note: string;
  /** Accounts of who trains the pilot; empty or absent: every trainer of the school. */
  readonly trainerIds?: readonly string[];
  /** When name and words were blanked for good; null or absent: they were not. */
  readonly forgottenAt?: string | null;
}

export interface RosterPilot extends Pilot {
  readonly lastCraftId: string | null;
  readonly lastSiteId: string | null;
  readonly lastWindMps: number | null;
  readonly lastFlownOn: string | null;
  /** Something was said of the pilot on the course in the last months; absent in a copy kept by an older version. */
  readonly onCourse?: boolean;
}

export interface Craft extends CraftRecord {
  readonly id: string;
  readonly revision: number;
  readonly name: string;
  readonly hasPauseSwitch: boolean;
  readonly note: string;
}

export interface Site {
  readonly id: string;
  readonly revision: number;
  readonly name: string;
  readonly place: Place;
  readonly tallestM: number;
  readonly altitudeM: number | null;
  /** Emergency number, access and grid reference; absent in a copy kept by an older version. */
  readonly help?: string;
  /** Of a roof or canopy above the flight, m; absent in a copy kept by an older version. */
  readonly ceilingM?: number | null;
  /** Where it is; absent in a copy kept by an older version. */
  readonly latitudeDeg?: number | null;
  readonly longitudeDeg?: number | null;
  /** What to watch out for there now; empty or absent: nothing. */
  readonly hazard?: string;
  readonly note: string;
}

export interface Roster {
  readonly pilots: readonly RosterPilot[];
  readonly craft: readonly Craft[];
  readonly sites: readonly Site[];
  /** What has to be reported, to whom, how soon; absent in a copy kept by an older version. */
  readonly reporting?: readonly ReportingRule[];
  /** How the school teaches; absent in a copy kept by an older version, and what is not in it: the usual way. */
  readonly methods?: Partial<Methods>;
  /** Who may train here, by name; absent in a copy kept by an older version. */
  readonly trainers?: readonly Trainer[];
}

export interface Trainer {
  readonly id: string;
  readonly name: string;
}

export interface Flight {
  readonly id: string;
  readonly revision: number;
  readonly pilotId: string;
  readonly pilotName?: string;
  readonly craftId: string;
  readonly siteId: string;
  readonly day: string;
  readonly packs: number;
  readonly minutes: number;
  readonly windMps: number;
  /** As a recorder has told it; absent in a copy kept by an older version. */
  readonly farthestM?: number | null;
  readonly highestM?: number | null;
}

export interface Occurrence {
  readonly id: string;
  readonly revision: number;
  readonly pilotId: string;
  readonly kind: OccurrenceKind;
  readonly causeId: CauseId;
  readonly note: string;
  readonly craftId: string | null;
  readonly siteId: string | null;
  readonly windMps: number | null;
  readonly happenedAt: string;
  readonly day: string;
  readonly confirmedCauseId: CauseId | null;
  readonly weaknessId: string | null;
  readonly withdrawnAt: string | null;
  readonly withdrawnReason: string | null;
  /** What a recorded flight answers of its debrief; absent in a copy kept by an older version. */
  readonly flown?: FlownAnswers | null;
  /** Mistakes that were seen in a video of it; absent in a copy kept by an older version. */
  readonly seen?: readonly MissReason[];
}

export interface OccurrenceOfPilot extends Occurrence {
  readonly pilotName: string;
  readonly pilotMode: FlightMode;
  readonly pilotStickLayout: StickLayout;
}

export interface WeaknessLine {
  readonly id: string;
  readonly pilotId: string;
  readonly causeId: CauseId;
  readonly state: WeaknessState;
  readonly checkFrom: string | null;
  readonly checkPassed: boolean;
  readonly signedEarly?: boolean;
  /** On watch, and limited again until a second check is passed; absent in a copy kept by an older version. */
  readonly limited?: boolean;
  /** Reps with which a check failed; absent in a copy kept by an older version. */
  readonly failedAt?: readonly string[];
  readonly rungs: readonly number[];
  readonly openedAt: string;
}

export interface TodayList {
  /** Newest first, the first of them. */
  readonly toDebrief: readonly (Pick<
    Occurrence,
    'id' | 'kind' | 'causeId' | 'note' | 'happenedAt' | 'day' | 'pilotId'
  > & { readonly pilotName: string; readonly begun: boolean })[];
  /** How many more there are, of one's own pilots and of everybody's; absent in a copy kept by an older version. */
  readonly toDebriefLeft?: { readonly mine: number; readonly all: number };
  readonly weaknesses: readonly (WeaknessLine & { readonly pilotName: string })[];
}

/** Checks on watch that fall due within so many days stand on Today: a phone may be without signal until then. */
export const CHECKS_DAYS_AHEAD = 7;

/** What was measured of a rep, in the SI unit of its drill's value. */
export interface RepValue {
  readonly id: string;
  /** Instant, ISO 8601. */
  readonly flownAt: string;
  readonly met: boolean;
  readonly value: number;
}

export interface PilotPage {
  /** What a plan weighs beside the cause, for a weakness opened without signal; absent in a copy kept by an older version. */
  readonly known?: KnownOfPilot;
  readonly links: readonly PilotLink[];
  readonly pilot: Pilot;
  readonly weaknesses: readonly WeaknessLine[];
  /** Newest first, the first of them. */
  readonly occurrences: readonly Occurrence[];
  /** How many there are in all, and how many of each kind count; absent in a copy kept by an older version: those above. */
  readonly occurred?: { readonly all: number; readonly crashes: number; readonly nearMisses: number };
  readonly reps: readonly {
    readonly drillId: DrillId;
    readonly purpose: Purpose;
    readonly reps: number;
    readonly met: number;
    readonly lastDay: string;
    /** The newest first; absent in a copy kept by an older version. */
    readonly values?: readonly RepValue[];
  }[];
  readonly flown: {
    readonly flights: number;
    readonly packs: number;
    readonly minutes: number;
    readonly since: string | null;
  };
  readonly flights: readonly Flight[];
  /** What was said of the pilot on the course; absent in a copy kept by an older version. */
  readonly course?: readonly CourseFact[];
}

export interface WeaknessMove extends Move {
  readonly by: string | null;
  /** When the server took it; absent for one that waits, or in a copy kept by an older version. */
  readonly recordedAt?: string | null;
  readonly occurrenceId: string | null;
}

/** What the pilot flew with at the opening, and what a trainer stamped since. */
export interface WeaknessStamp extends OpeningStamp {
  /** Craft with which it happened; null or absent: not told. */
  readonly craftId?: string | null;
  readonly reason?: string;
  readonly by?: string | null;
  /** Where it comes from: `pilot-as-now` where nothing older could tell. */
  readonly toldBy?: 'opening' | 'history' | 'pilot-as-now' | 'trainer';
}

export interface RecordedRep extends Rep {
  readonly drillVersion?: number;
  readonly weaknessId: string;
  readonly pack: number;
  readonly level?: number;
  readonly measure?: number | null;
  /** Null or absent: by eye. */
  readonly judgedBy?: 'flight' | null;
  readonly sessionId?: string | null;
  /** Craft that was flown; null or absent: not said. */
  readonly craftId?: string | null;
  readonly missReason: string | null;
  /** When the server took it; absent for one that waits, or in a copy kept by an older version. */
  readonly recordedAt?: string | null;
  readonly caseId?: string | null;
  readonly stage?: number | null;
  /** From the pilot, m; null or absent: not said. */
  readonly distanceM?: number | null;
}

export interface WeaknessPage {
  /** What a plan weighs beside the cause. */
  readonly known: KnownOfPilot;
  readonly weakness: WeaknessLine;
  readonly pilot: Pilot;
  readonly rule: ClearingRule;
  readonly moves: readonly WeaknessMove[];
  /** Oldest first; absent in a copy kept by an older version: as the pilot is. */
  readonly stamps?: readonly WeaknessStamp[] | undefined;
  readonly plans: readonly {
    readonly id: string;
    readonly drillIds: readonly DrillId[];
    /** Absent in a copy kept by an older version. */
    readonly decides?: readonly DrillId[] | null;
    readonly reason: string;
    readonly madeAt: string;
  }[];
  /** Oldest first: all, or where there are a great many those that were flown lately. */
  readonly reps: readonly RecordedRep[];
  /** Where it stood before the reps that decide from there on; absent or null: all that decides is here. */
  readonly since?: Checkpoint | null;
  /** From then on every rep is here; before it only slips that wait for a second person. Absent or null: all are here. */
  readonly shownFrom?: string | null;
  /** Oldest first; absent in a copy kept by an older version. */
  readonly testSets?: readonly TestSet[] | undefined;
  readonly occurrences: readonly Occurrence[];
  /** Oldest first; absent in a copy kept by an older version. */
  readonly said?: readonly SaidByPilot[] | undefined;
}

export interface DebriefVersion {
  readonly id: string;
  readonly number: number;
  readonly state: 'open' | 'closed';
  readonly reason: string | null;
  readonly at: string;
  readonly by: string | null;
}

export interface DebriefPage {
  readonly debrief:
    (DebriefVersion & { readonly findings: Findings; readonly proposedCauseId: CauseId | null }) | null;
  /** Newest first. */
  readonly versions: readonly DebriefVersion[];
}

export interface SchoolDrillVersion extends DrillVersion {
  readonly reason: string;
  readonly madeAt: string;
  readonly by: string | null;
  readonly reps: number;
}

export interface TrainingSession {
  readonly id: string;
  readonly revision?: number;
  readonly content: SessionFields;
  readonly by: string | null;
}

export interface SchoolExperience {
  readonly enabled: boolean;
  readonly lessons: number;
  readonly counts: Experience;
}
