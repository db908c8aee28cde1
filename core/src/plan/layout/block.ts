import type { Level } from '../../vocabulary/training';
import type { FlightMode } from '../../vocabulary/flying';
import type { DrillId } from '../../drills/drills';
import type { CauseId } from '../../causes/causes';
import type { Purpose } from '../../clearance/facts';
import type { Said } from '../../vocabulary/said';
import type { Side } from '../../drills/drill';

/** Some reps of one drill by one pilot, flown one after the other on one pack. */
export interface Block {
  readonly id: string;
  readonly pilotId: string;
  /** These two are null where it is flown for the course. */
  readonly weaknessId: string | null;
  readonly causeId: CauseId | null;
  readonly drillId: DrillId;
  readonly side: Side | null;
  readonly purpose: Purpose;
  readonly level: Level;
  readonly reps: number;
  /** The mode it is flown in; none on the ground, and absent where it is not known. */
  readonly mode?: FlightMode | null;
  readonly minutes: number;
  /** What it is expected to bring towards clearing; see docs/session.md for the unit. */
  readonly gain: number;
  /** The pilot has never flown this drill: at most one such drill a session. */
  readonly isNew: boolean;
  /** Drills of this session that come before it, on the same pack or an earlier one. */
  readonly after: readonly string[];
  /** The other half of a mixed pair: not on the same pack. */
  readonly apartFrom: string | null;
}

/** A block with why it is offered. */
export interface ProposedBlock extends Block {
  readonly why: Said;
}

/** A block as it is kept with a session: why it is there, as it was said to the trainer. */
export interface PlannedBlock extends Block {
  readonly why: string;
}

/** What the trainer has for today. */
export interface Means {
  readonly packs: number;
  /** Flying time of a pack down to the landing reserve, minutes. */
  readonly packMinutes: number;
  /** From the first take-off to the end of light or of the lesson, minutes; null: as long as it takes. */
  readonly minutes: number | null;
}

export interface Pack<B extends Block = Block> {
  readonly pilotId: string;
  readonly blocks: readonly B[];
  /** This pilot has just flown two in a row. */
  readonly restBefore: boolean;
}

export interface SessionLayout<B extends Block = Block> {
  readonly packs: readonly Pack<B>[];
  readonly gain: number;
  /** Whole time, with changes and rests, minutes. */
  readonly minutes: number;
  /** Blocks that found no room. */
  readonly left: readonly B[];
  /** Pilots with something to fly for whom there was no pack. */
  readonly grounded: readonly Grounded[];
  /** Blocks that were never weighed, since the pilot had more than can be. */
  readonly notWeighed: number;
}

export interface Grounded {
  readonly pilotId: string;
  /** No block fits a pack, all packs are taken by others, or there is no time for one more. */
  readonly why: 'no-block-fits' | 'no-pack' | 'no-time';
}

/**
 * Whether two blocks may not share a pack: one drill stands once in a pack, but for tests or checks of its several
 * sides.
 */
export const standsTwice = (a: Block, b: Block): boolean =>
  a.drillId === b.drillId && (a.purpose === 'practice' || b.purpose === 'practice' || a.side === b.side);

export const CHANGE_MINUTES = 4;
export const REST_MINUTES = 15;
/** Common practice: one or two packs, a break, one or two more. */
export const PACKS_PER_PILOT = 4;
export const PACKS_IN_A_ROW = 2;
