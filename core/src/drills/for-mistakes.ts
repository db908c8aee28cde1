import type { MissReason } from '../clearance/facts';
import type { HouseDrillId } from './drills';

/**
 * What is drilled against a mistake that was seen, the easiest first: common practice. It proposes no plan, which hangs on
 * why something happened and not on what was seen.
 */
export const DRILLS_FOR_MISTAKES: Readonly<Record<MissReason, readonly [HouseDrillId, HouseDrillId]>> = {
  'wrong-first-move': ['mirror-call', 'clock-hover'],
  'off-the-mark': ['half-thumb', 'fore-aft-line'],
  height: ['lean-and-lift', 'circle-height-steps'],
  nose: ['tail-in-ring', 'circle-both-ways'],
  'too-fast': ['brake-to-mark', 'slow-slalom'],
  'too-late': ['brake-to-mark', 'climb-over'],
  'sensor-stopped-it': ['sensor-find-out', 'brake-to-mark'],
  'taken-over': ['release-drill', 'safe-posture'],
};

/** The mistake that was made most often, the later of two; null: none was. */
export const mostOften = (mistakes: readonly MissReason[]): MissReason | null => {
  const times = (what: MissReason) => mistakes.filter((each) => each === what).length;
  return mistakes.reduce<MissReason | null>(
    (most, each) => (most === null || times(each) >= times(most) ? each : most),
    null,
  );
};
