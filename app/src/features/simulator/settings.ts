import type { DrillId } from '@skelby/core/drills/drills';
import { type Exercise, modeFlown } from '@skelby/core/assessment/exercise';
import type { Drill, Side } from '@skelby/core/drills/drill';
import type { Jet } from '@skelby/core/simulator/gusts-dryden';
import type { PilotedMode } from '@skelby/core/simulator/control/control';
import { practiceOf, type PracticeSetUp } from '@skelby/core/simulator/practice';
import { exerciseOf } from '@skelby/core/assessment/exercises';
import type { FlightMode } from '@skelby/core/vocabulary/flying';
import { type PracticeSurroundings, solidsAround } from '@skelby/core/simulator/surroundings';
import { type CraftRecord, craftFacts, type SpeedSetting } from '@skelby/core/vocabulary/craft-facts';
import type { Failsafe } from '@skelby/core/reconstruct/return-height';
import type { WindBand } from '@skelby/core/vocabulary/wind-band';
import { GUST_SHARE, type Gusts, type PracticeLink } from '@skelby/core/schemas/practice-link';
import type { FlightStart } from './use-flight';

/** How a drill is flown here, as the page has it now. */
export interface PracticeSettings {
  readonly side: Side | null;
  readonly mode: PilotedMode;
  readonly setting: SpeedSetting;
  readonly windMps: number;
  readonly gusts: Gusts;
  readonly jet: boolean;
  readonly around: PracticeSurroundings;
  readonly holdDrops: boolean;
  readonly sensors: boolean;
  readonly relative: boolean;
  readonly returnHeightM: number;
  readonly onLinkLoss: Failsafe;
  readonly cameraDeg: number;
}

/** Wind that a drill starts with: that of the first band it must be shown in. */
const BAND_WIND_MPS: Readonly<Record<WindBand, number>> = { calm: 1, light: 3.5, breezy: 5.5 };
/** Up-tilt of a camera that looks ahead in flight. Common practice. */
const USUAL_CAMERA_DEG = 15;

/** Crosses the field in front of the pilot from the left. */
const CROSSING_JET: Jet = { x: -14, y: 16, z: 3, towardDeg: 90, speedMps: 6, radiusM: 1.6, reachM: 28 };

/** How a drill is set up and judged on the simulator. */
export interface DrillSetUp {
  readonly setUp: PracticeSetUp;
  readonly course: Exercise;
}

/** @returns null for a drill that is not flown here */
export function drillSetUp(drillId: DrillId, side: Side | null, mode: FlightMode): DrillSetUp | null {
  const [setUp, course] = [practiceOf(drillId, side, mode), exerciseOf(drillId, side)];
  return setUp && course ? { setUp, course } : null;
}

export function settingsFrom(
  link: PracticeLink,
  drill: Drill<DrillId>,
  { setUp, course }: DrillSetUp,
): PracticeSettings {
  return {
    side: link.side ?? drill.sides[0] ?? null,
    mode: link.mode ?? modeFlown(course, setUp.mode),
    setting: link.setting ?? course.setting ?? 'normal',
    windMps: link.wind ?? BAND_WIND_MPS[(drill.bands ?? ['calm'])[0]!],
    gusts: link.gusts ?? 'usual',
    jet: link.jet ?? false,
    around: link.around ?? 'none',
    holdDrops: link.hold === 'drops',
    sensors: link.sensors ?? true,
    relative: link.relative ?? false,
    returnHeightM: link.home,
    onLinkLoss: link.lost ?? 'return',
    cameraDeg: link.camera ?? USUAL_CAMERA_DEG,
  };
}

/** The same as a link tells it; what the drill has by itself is left out. */
export function linkFrom(
  now: PracticeSettings,
  drill: Drill<DrillId>,
  usual: PracticeSettings,
  craftText: string | null,
): Partial<Record<keyof PracticeLink, string | number | boolean | null>> {
  return {
    side: drill.sides.length > 0 ? now.side : null,
    mode: now.mode === usual.mode ? null : now.mode,
    setting: now.setting === usual.setting ? null : now.setting,
    wind: now.windMps === usual.windMps ? null : now.windMps,
    gusts: now.gusts === 'usual' ? null : now.gusts,
    jet: now.jet || null,
    around: now.around === 'none' ? null : now.around,
    hold: now.holdDrops ? 'drops' : null,
    sensors: now.sensors ? null : false,
    relative: now.relative || null,
    home: now.returnHeightM === usual.returnHeightM ? null : now.returnHeightM,
    lost: now.onLinkLoss === usual.onLinkLoss ? null : now.onLinkLoss,
    camera: now.cameraDeg === usual.cameraDeg ? null : now.cameraDeg,
    craft: craftText,
  };
}

/** What the flight needs of it. */
export function flightFrom(
  drillId: DrillId,
  now: PracticeSettings,
  { setUp, course }: DrillSetUp,
  craft: CraftRecord,
): FlightStart {
  const solids = [
    ...setUp.solids,
    ...solidsAround(
      now.around,
      course.stages.map((stage) => stage.path),
    ),
  ];
  const facts = craftFacts(craft);
  return {
    drillId,
    side: now.side,
    craft,
    start: setUp.start,
    holdDrops: now.holdDrops,
    returnHeightM: now.returnHeightM,
    onLinkLoss: now.onLinkLoss,
    sensors: { sides: now.sensors ? facts.sensorSides : [], inFast: facts.sensorsInFast },
    scene: {
      solids,
      wind: {
        speedMps: now.windMps,
        fromDeg: setUp.windFromDeg,
        gusts: GUST_SHARE[now.gusts],
        jets: [...setUp.jets, ...(now.jet ? [CROSSING_JET] : [])],
      },
    },
  };
}
