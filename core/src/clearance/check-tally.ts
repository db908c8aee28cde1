import type { Side } from '../drills/drill';
import type { DrillId } from '../drills/drills';
import { CHECK_ATTEMPTS, CHECK_MET_NEEDED } from './clearing-rule';
import type { Rep } from './facts';

export interface DrillTally {
  readonly drillId: DrillId;
  /** Null where the drill has no sides; absent in the first edition, whose check goes round them. */
  readonly side?: Side | null;
  /** Attempts that must be met. */
  readonly needed: number;
  readonly met: number;
  readonly missed: number;
  readonly passed: boolean;
}

/** One check being flown: so many attempts at each deciding drill, of which so many must be met. */
export class CheckTally {
  private readonly of: Map<string, { met: number; missed: number }>;

  constructor(private readonly keyDrills: readonly DrillId[]) {
    this.of = new Map(keyDrills.map((drillId) => [drillId, { met: 0, missed: 0 }]));
  }

  /**
   * Adds an attempt; a drill that is through takes no more. Says how the check ended, or null while it goes
   * on.
   */
  add(rep: Pick<Rep, 'drillId' | 'met'>): 'passed' | 'failed' | null {
    const drill = this.of.get(rep.drillId);
    if (!drill || drill.met >= CHECK_MET_NEEDED) return null;
    if (rep.met) drill.met += 1;
    else drill.missed += 1;
    if (drill.missed > CHECK_ATTEMPTS - CHECK_MET_NEEDED) return 'failed';
    return this.passed() ? 'passed' : null;
  }

  passed(): boolean {
    return this.keyDrills.length > 0 && [...this.of.values()].every((drill) => drill.met >= CHECK_MET_NEEDED);
  }

  drills(): readonly DrillTally[] {
    return this.keyDrills.map((drillId) => {
      const { met, missed } = this.of.get(drillId)!;
      return { drillId, needed: CHECK_MET_NEEDED, met, missed, passed: met >= CHECK_MET_NEEDED };
    });
  }
}
