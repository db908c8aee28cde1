import type { Exercise } from '@skelby/core/assessment/exercise';
import type { WordedDrill } from '@skelby/copy/drills';
import { throttleStick } from '@skelby/core/simulator/control/control';
import type { PathPoint } from '@skelby/core/geometry/path';
import type { PracticeSetUp } from '@skelby/core/simulator/practice';
import type { CraftRecord } from '@skelby/core/vocabulary/craft-facts';
import type { StickLayout } from '@skelby/core/vocabulary/flying';
import { type RefObject, useCallback, useEffect, useRef, useState } from 'react';
import { keptSetUpOnce, padNow } from './controller';
import type { FieldHandle } from '../../shared/field/Field';
import { type Hands, useHands } from './hands';
import { Live, type PracticeStanding, standingIn } from './live';
import type { Scored, Shown } from './practice-messages';
import { flightFrom, type PracticeSettings } from './settings';
import { useCraftSound, useSoundWhile } from './use-craft-sound';
import type { Tilt } from './tilt';
import { type Pace, slower } from './pace';
import { type FlightStart, useFlight } from './use-flight';

const ON_GROUND_M = 0.3;
const READ_SWITCHES_MS = 60;

export interface DrillToFly {
  readonly drill: Pick<WordedDrill, 'byEye'> & { readonly id: FlightStart['drillId'] };
  readonly course: Exercise;
  readonly setUp: PracticeSetUp;
  readonly craft: CraftRecord;
  readonly settings: PracticeSettings;
  readonly layout: StickLayout;
  readonly tilt: Tilt;
  /** Of what is heard, 0 to 1. */
  readonly volume: number;
  /** Places of a way that is drawn to fly after; null: none. Keep it stable. */
  readonly ghost: readonly PathPoint[] | null;
  readonly onScored: (scored: Scored) => void;
}

interface SwitchUses {
  readonly again: () => void;
  readonly camera: () => void;
  readonly hold: () => void;
  readonly home: () => void;
}

/** Switches of a controller that has been set up, looked at a few times a second. */
function useSwitches(uses: SwitchUses): void {
  const now = useRef(uses);
  now.current = uses;
  useEffect(() => {
    let before: readonly boolean[] = [];
    const look = setInterval(() => {
      const pad = padNow();
      const switches = pad ? (keptSetUpOnce(pad.id)?.switches ?? {}) : {};
      for (const [use, button] of Object.entries(switches))
        if (use !== 'rate' && pad?.pressed[button] && !before[button]) now.current[use as keyof SwitchUses]();
      before = pad?.pressed ?? [];
    }, READ_SWITCHES_MS);
    return () => clearInterval(look);
  }, []);
}

/** Tells of each scored flight once. */
function useTold(scored: Scored | null, onScored: (scored: Scored) => void): void {
  const told = useRef(onScored);
  told.current = onScored;
  useEffect(() => {
    if (scored) told.current(scored);
  }, [scored]);
}

/** Without height hold and in the air, the throttle waits where it carries the craft; else in the middle. */
const throttleAtRest = ({ settings: { mode }, setUp, craft }: DrillToFly): number =>
  (mode !== 'rate' && mode !== 'self-level') || setUp.start.z < ON_GROUND_M
    ? 0
    : throttleStick(1 / craft.thrustToWeight);

/** Sticks at rest before a flight, and how many flights there were: the drawn sticks begin anew with each. */
function useRest(fly: DrillToFly, hands: Hands, isHeld: boolean) {
  const [round, setRound] = useState(0);
  const waits = throttleAtRest(fly);
  const rest = useCallback(() => {
    hands.rest(waits);
    setRound((n) => n + 1);
  }, [hands, waits]);
  useEffect(() => {
    if (!isHeld) rest();
  }, [isHeld, rest]);
  return { rest, round };
}

/** Draws what is flown after, again with each field that is drawn. */
function useGhost(field: RefObject<FieldHandle | null>, ghost: DrillToFly['ghost'], isOver: boolean): void {
  useEffect(() => {
    if (!isOver) field.current?.showPath(ghost);
  }, [field, ghost, isOver]);
}

/** One drill being flown: the flight in its worker, the hands on it, and what is shown of it. */
export function useFly(fly: DrillToFly) {
  const { drill, course, setUp, craft, settings, layout, tilt, onScored } = fly;
  const field = useRef<FieldHandle>(null);
  const [live] = useState(() => new Live());
  const [standing, setStanding] = useState<PracticeStanding | null>(null);
  const [throughCamera, setThroughCamera] = useState(false);
  const hands = useHands(layout, tilt);
  const [from] = useState(() => flightFrom(drill.id, settings, { setUp, course }, craft));
  const { mode, setting, relative } = settings;
  const sound = useCraftSound(craft, from.scene.wind, fly.volume);

  const onFrame = (now: Shown) => {
    const began = performance.now();
    const drawn = field.current?.draw(now);
    performance.measure('skelby.practice', {
      start: began,
      detail: { ...drawn, workMs: now.workMs, timeS: now.timeS },
    });
    hands.soften(now.part.expo);
    live.show(now, began);
    sound.hear(now, throughCamera);
    setStanding((last) => standingIn(now, last));
  };
  const [pace, setPace] = useState<Pace>(1);
  const flight = useFlight(from, {
    pace,
    mode: { mode, setting, pilotHeadingDeg: relative && mode !== 'rate' ? 0 : null, hold: true },
    sticks: hands.read,
    onFrame,
  });
  useGhost(field, fly.ghost, flight.scored !== null);
  useSoundWhile(sound, flight.isFlying);
  const { rest, round } = useRest(fly, hands, flight.isFlying || flight.isFrozen);
  useTold(flight.scored, onScored);
  const anew = (begin: () => void) => () => {
    rest();
    begin();
  };
  const again = anew(flight.again);
  const turnHold = () => flight.dropHold(!(standing?.holdLost ?? false));
  const turnCamera = () => setThroughCamera((on) => !on);
  const seen = standing?.part.seen ?? null;
  useSwitches({ again, camera: turnCamera, hold: turnHold, home: flight.goHome });
  return {
    field,
    live,
    standing,
    throughCamera: flight.isFlying && seen ? seen === 'camera' : throughCamera,
    turnCamera,
    round,
    hands,
    scene: from.scene,
    flight,
    again,
    next: anew(flight.next),
    pace,
    turnPace: () => setPace(slower),
    turnHold,
    turnLink: () => flight.loseLink(!(standing?.linkLost ?? false)),
  };
}

export type FlyState = ReturnType<typeof useFly>;
