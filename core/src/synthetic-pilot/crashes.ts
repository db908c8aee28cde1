import type { DrillId } from '../drills/drills';
import type { Side } from '../drills/drill';
import { answersOf, type Evidence } from '../evidence/evidence';
import { craftModel } from '../simulator/craft-model';
import type { Solid } from '../simulator/world';
import { type CraftRecord, craftFacts, type SpeedSetting } from '../vocabulary/craft-facts';
import type { FlightMode } from '../vocabulary/flying';
import { rank, type RankedCause } from '../ranking/rank';
import { exerciseOf } from '../assessment/exercises';
import { evidenceFrom } from '../flight-reading/read-flight';
import { partsOf, scoreParts } from '../assessment/score';
import { flyDrill } from './fly-drill';
import { HABIT_SHOWS, type Habit } from './habits';

/** Where a habit is let run until it goes wrong. */
export interface CrashScene {
  readonly drillId: DrillId;
  readonly side?: Side;
  readonly windMps: number;
  readonly mode?: FlightMode;
  readonly setting?: SpeedSetting;
  readonly solids?: readonly Solid[];
}

const wall = (y: number): Solid => ({
  solid: 'box',
  x: 0,
  y,
  z: 3,
  alongM: 0.4,
  acrossM: 30,
  highM: 6,
  turnedDeg: 0,
});
const side = (x: number): Solid => ({
  solid: 'box',
  x,
  y: 14,
  z: 3,
  alongM: 40,
  acrossM: 0.4,
  highM: 6,
  turnedDeg: 0,
});

/**
 * Where the flight, and what its drill saw to, can show the habit. What a pilot felt no flight tells, and
 * turning back too late breaks nothing: neither is here.
 */
export const CRASH_SCENES: Readonly<Partial<Record<Habit, readonly CrashScene[]>>> = {
  'mirrors-nose-in': [
    { drillId: 'nose-in-hover', windMps: 3, solids: [side(7), side(-7), wall(20)] },
    { drillId: 'clock-hover', side: 'nose-in', windMps: 3, mode: 'height-hold' },
  ],
  'flies-side-on-as-tail-in': [
    { drillId: 'side-on-hover', side: 'nose-left', windMps: 3, solids: [side(9), side(-9), wall(18)] },
    { drillId: 'clock-hover', side: 'nose-right', windMps: 3, mode: 'height-hold' },
  ],
  'drops-straight-down': [
    { drillId: 'slow-vertical', windMps: 1 },
    { drillId: 'zigzag-descent', windMps: 1 },
  ],
  'spins-its-turns': [
    { drillId: 'power-turn', side: 'right', windMps: 3 },
    { drillId: 'power-turn', side: 'left', windMps: 5 },
  ],
  'lingers-low': [{ drillId: 'pop-up-takeoff', windMps: 2 }],
  'brakes-late': [
    { drillId: 'brake-to-mark', windMps: 2, solids: [wall(29)] },
    { drillId: 'hold-off-line', windMps: 2, solids: [wall(31)] },
  ],
  'backs-blind': [{ drillId: 'turn-then-go', windMps: 2, solids: [wall(9)] }],
  'rises-early': [
    {
      drillId: 'under-roof-pass',
      windMps: 2,
      solids: [{ solid: 'box', x: 0, y: 28, z: 4, alongM: 14, acrossM: 8, highM: 0.2, turnedDeg: 0 }],
    },
  ],
  'aims-at-the-frame': [
    { drillId: 'gap-chain', windMps: 2 },
    { drillId: 'portal-drop', windMps: 2 },
  ],
  'freezes-on-drift': [
    { drillId: 'surprise-hold-loss', windMps: 4, solids: [side(8)] },
    { drillId: 'hold-off-hover', windMps: 4, mode: 'height-hold' },
  ],
  'forgets-the-wind': [
    { drillId: 'crab-leg', side: 'left', windMps: 12, setting: 'slow', solids: [side(7)] },
  ],
  'heavy-hands': [{ drillId: 'tail-in-hover', windMps: 2 }],
  coasts: [{ drillId: 'never-coast', windMps: 1 }],
  'turns-by-yaw-alone': [{ drillId: 'roll-then-look', side: 'right', windMps: 2 }],
  'no-power-in-a-lean': [{ drillId: 'lean-and-lift', windMps: 1 }],
  'wrong-stick': [{ drillId: 'single-stick', windMps: 1 }],
  'watches-the-return': [{ drillId: 'return-takeover', windMps: 2 }],
  'guesses-the-nose': [
    { drillId: 'home-by-readout', windMps: 2 },
    { drillId: 'look-away-recover', windMps: 3 },
  ],
  'talks-first': [{ drillId: 'pause-then-talk', windMps: 2 }],
  'switches-relative-turned': [{ drillId: 'relative-mode-discipline', windMps: 2 }],
};

export interface ReadCrash {
  readonly planted: string;
  readonly ranked: readonly RankedCause[];
  readonly evidence: Evidence;
  readonly crashed: boolean;
}

/**
 * Lets a habit fly until it goes wrong, reads the flight, and ranks what it read. @returns null when nothing
 * went wrong
 */
export function readCrash(
  record: CraftRecord,
  habit: Habit,
  scene: CrashScene,
  seed: number,
): ReadCrash | null {
  const facts = craftFacts(record);
  const craft = craftModel(facts);
  const { track, score, ended, solids } = flyDrill(craft, {
    ...(scene.mode ? { pilotMode: scene.mode } : {}),
    ...(scene.setting ? { setting: scene.setting } : {}),
    drillId: scene.drillId,
    side: scene.side ?? null,
    windMps: scene.windMps,
    habits: new Set([habit]),
    seed,
    solids: scene.solids ?? [],
  });
  if (!score.wrong && !ended) return null;
  const course = exerciseOf(scene.drillId, scene.side ?? null)!;
  const parts = partsOf(track, { course, craft, solids });
  const atS = ended?.atS ?? Math.min(scoreParts(parts, course).toS, score.wrong!.atS);
  const evidence = evidenceFrom({ track, cuts: parts.segments, atS, ended, facts, solids, simulated: {} });
  return {
    planted: HABIT_SHOWS[habit].cause,
    ranked: rank(answersOf(evidence), facts).causes,
    evidence,
    crashed: ended !== null,
  };
}

/**
 * How often each planted cause was named first: counts by planted cause and by what was named. @param
 * fromSeed of the first flight of each scene
 */
export function confusion(
  record: CraftRecord,
  perScene: number,
  fromSeed: number,
): {
  readonly table: ReadonlyMap<string, ReadonlyMap<string, number>>;
  readonly right: number;
  readonly all: number;
} {
  const table = new Map<string, Map<string, number>>();
  let [right, all] = [0, 0];
  for (const [habit, scenes] of Object.entries(CRASH_SCENES) as [Habit, readonly CrashScene[]][]) {
    for (const scene of scenes) {
      for (let i = 0; i < perScene; i += 1) {
        const read = readCrash(record, habit, scene, fromSeed + 17 * i);
        if (!read) continue;
        const named = read.ranked[0]!.id;
        const row = table.get(read.planted) ?? new Map<string, number>();
        row.set(named, (row.get(named) ?? 0) + 1);
        table.set(read.planted, row);
        all += 1;
        if (named === read.planted) right += 1;
      }
    }
  }
  return { table, right, all };
}
