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
import type { FittedSensors } from '@skelby/core/simulator/sensors';
import type { Failsafe } from '@skelby/core/reconstruct/return-height';
import type { WindBand } from '@skelby/core/vocabulary/wind-band';
import { craftAsText, GUST_SHARE, type Gusts, type PracticeLink } from '@skelby/core/schemas/practice-link';
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
  /** The pilot walks about while it flies. */
  readonly walks: boolean;
  /** At the start, percent. */
  readonly chargePercent: number;
  readonly returnHeightM: number;
  readonly onLinkLoss: Failsafe;
  readonly cameraDeg: number;
}

/** Wind that a drill starts with: that of the first band it must be shown in. */
const BAND_WIND_MPS: Readonly<Record<WindBand, number>> = { calm: 1, light: 3.5, breezy: 5.5 };
/** Up-tilt of a camera that looks ahead in flight. Common practice. */
const USUAL_CAMERA_DEG = 15;
export const FULL_PERCENT = 100;

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

/** What neither a link nor the drill says. */
const AS_A_RULE = {
  gusts: 'usual',
  jet: false,
  around: 'none',
  sensors: true,
  relative: false,
  walks: false,
  onLinkLoss: 'return',
  chargePercent: FULL_PERCENT,
  cameraDeg: USUAL_CAMERA_DEG,
} as const satisfies Partial<PracticeSettings>;

/** What a link does say of these. */
function toldBy({ gusts, jet, around, sensors, relative, walks, lost, charge, camera }: PracticeLink) {
  const told: { readonly [K in keyof typeof AS_A_RULE]: PracticeSettings[K] | null } = {
    gusts,
    jet,
    around,
    sensors,
    relative,
    walks,
    onLinkLoss: lost,
    chargePercent: charge,
    cameraDeg: camera,
  };
  return Object.fromEntries(Object.entries(told).filter(([, value]) => value !== null)) as Partial<
    Pick<PracticeSettings, keyof typeof AS_A_RULE>
  >;
}

export function settingsFrom(
  link: PracticeLink,
  drill: Pick<Drill<DrillId>, 'sides' | 'bands'>,
  { setUp, course }: DrillSetUp,
): PracticeSettings {
  return {
    ...AS_A_RULE,
    ...toldBy(link),
    side: link.side ?? drill.sides[0] ?? null,
    mode: link.mode ?? modeFlown(course, setUp.mode),
    setting: link.setting ?? course.setting ?? 'normal',
    windMps: link.wind ?? BAND_WIND_MPS[(drill.bands ?? ['calm'])[0]!],
    holdDrops: link.hold === 'drops',
    returnHeightM: link.home,
  };
}

/** The same as a link tells it; what the drill has by itself is left out. */
export function linkFrom(
  now: PracticeSettings,
  drill: Drill<DrillId>,
  usual: PracticeSettings,
  craftText: string | null,
): Partial<Record<keyof PracticeLink, string | number | boolean | null>> {
  const unlessUsual = <K extends keyof PracticeSettings>(name: K) =>
    now[name] === usual[name] ? null : now[name];
  return {
    side: drill.sides.length > 0 ? now.side : null,
    mode: unlessUsual('mode'),
    setting: unlessUsual('setting'),
    wind: unlessUsual('windMps'),
    gusts: unlessUsual('gusts'),
    jet: unlessUsual('jet'),
    around: unlessUsual('around'),
    hold: now.holdDrops ? 'drops' : null,
    sensors: unlessUsual('sensors'),
    relative: unlessUsual('relative'),
    walks: unlessUsual('walks'),
    charge: unlessUsual('chargePercent'),
    home: unlessUsual('returnHeightM'),
    lost: unlessUsual('onLinkLoss'),
    camera: unlessUsual('cameraDeg'),
    craft: craftText,
  };
}

/**
 * What can only be changed on the ground, as one text; mode, speed setting, pilot-relative and camera are switched in
 * flight.
 */
export function setAnew(
  { mode, setting, relative, cameraDeg, ...rest }: PracticeSettings,
  craft: CraftRecord,
): string {
  return JSON.stringify([rest, craftAsText(craft)]);
}

/** The obstacle sensors of a craft. */
export function sensorsOf(craft: CraftRecord): FittedSensors {
  const { sensorSides, sensorsInFast } = craftFacts(craft);
  return { sides: sensorSides, inFast: sensorsInFast };
}

/** What the flight needs of it. */
export function flightFrom(
  drillId: FlightStart['drillId'],
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
  return {
    drillId,
    side: now.side,
    craft,
    start: setUp.start,
    holdDrops: now.holdDrops,
    returnHeightM: now.returnHeightM,
    onLinkLoss: now.onLinkLoss,
    walks: now.walks,
    sensors: { ...sensorsOf(craft), ...(now.sensors ? {} : { sides: [] }) },
    scene: {
      solids,
      charge: now.chargePercent / 100,
      wind: {
        speedMps: now.windMps,
        fromDeg: setUp.windFromDeg,
        gusts: GUST_SHARE[now.gusts],
        jets: [...setUp.jets, ...(now.jet ? [CROSSING_JET] : [])],
      },
    },
  };
}
