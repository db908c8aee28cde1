import fc from 'fast-check';
import { craftModel } from '../simulator/craft-model';
import { practiceOf } from '../simulator/practice';
import { PHYSICS_STEP_S } from '../simulator/simulated-flight';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import type { DrillId } from '../drills/drills';
import { exerciseOf } from './exercises';
import { RepFlight } from './rep';
import { FlightTape } from './tape';

/** A flight is brought to any moment of it exactly, whatever hands did, and goes on from there as it would have. */

const craft = craftModel(craftFacts(USUAL_CRAFT));
const DRILLS: readonly DrillId[] = ['tail-in-hover', 'surprise-hold-loss', 'gap-ladder', 'half-thumb'];

function flightOf(drillId: DrillId, seed: number): RepFlight {
  const set = practiceOf(drillId, null, 'position-hold') ?? practiceOf(drillId, 'left', 'position-hold')!;
  return new RepFlight({
    ...{ craft, course: exerciseOf(drillId, null) ?? exerciseOf(drillId, 'left')!, start: set.start, seed },
    ...{ holdDrops: true, onLinkLoss: 'return', returnHeightM: 12 },
    scene: {
      solids: set.solids,
      charge: 0.9,
      wind: { speedMps: 4, fromDeg: set.windFromDeg, gusts: 0.4, jets: set.jets },
    },
  });
}

const stick = fc.double({ min: -1, max: 1, noNaN: true });
const frames = fc.array(
  fc.record({
    count: fc.integer({ min: 1, max: 40 }),
    sticks: fc.record({ throttle: stick, yaw: stick, pitch: stick, roll: stick }),
    act: fc.constantFrom('none', 'none', 'none', 'hold', 'link', 'home', 'answer'),
    lost: fc.boolean(),
  }),
  { minLength: 20, maxLength: 60 },
);
const MODE = { mode: 'position-hold', setting: 'normal', pilotHeadingDeg: null, hold: true } as const;

type Frame =
  typeof frames extends fc.Arbitrary<infer T> ? (T extends readonly (infer F)[] ? F : never) : never;

function flyOn(tape: FlightTape, rep: RepFlight, frame: Frame): void {
  if (frame.act === 'hold') tape.dropHold(rep, frame.lost);
  if (frame.act === 'link') tape.loseLink(rep, frame.lost);
  if (frame.act === 'home') tape.goHome(rep);
  tape.fly(rep, frame.count, {
    sticks: frame.sticks,
    mode: MODE,
    pressed: { answer: frame.act === 'answer' },
  });
}

const stateOf = ({ flight: { body, charge, timeS, ended }, referee, holdIsLost, linkIsLost }: RepFlight) => ({
  ...{ ...body },
  ...{ charge, timeS, ended, at: referee.at, over: referee.over, holdIsLost, linkIsLost },
});

test('at every moment that is picked it is what it was then, and flown on the same it ends the same', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...DRILLS),
      fc.integer({ min: 1, max: 1e9 }),
      frames,
      fc.double({ min: 0, max: 1, noNaN: true }),
      (drillId, seed, hands, share) => {
        const [tape, flown] = [new FlightTape(), flightOf(drillId, seed)];
        const states = hands.map((frame) => {
          if (!flown.isOver) flyOn(tape, flown, frame);
          return stateOf(flown);
        });
        const picked = Math.floor(share * (states.length - 1));
        const again = flightOf(drillId, seed);
        const taken = tape.upTo(again, states[picked]!.timeS);
        expect(stateOf(again)).toEqual(states[picked]);
        // Flown on by hand, and cut once more.
        for (const frame of hands.slice(picked + 1)) if (!again.isOver) flyOn(taken, again, frame);
        expect(stateOf(again)).toEqual(states.at(-1));
        const third = flightOf(drillId, seed);
        taken.upTo(third, Infinity);
        expect(stateOf(third)).toEqual(states.at(-1));
      },
    ),
    { numRuns: 40 },
  );
}, 120_000);

test('a moment between two pictures is reached to a step', () => {
  const [tape, flown] = [new FlightTape(), flightOf('tail-in-hover', 7)];
  const rest = { throttle: 0, yaw: 0, pitch: 0.2, roll: 0 };
  tape.fly(flown, 1000, { sticks: rest, mode: MODE, pressed: {} });
  const again = flightOf('tail-in-hover', 7);
  const until = 300.4 * PHYSICS_STEP_S;
  tape.upTo(again, until);
  expect(Math.abs(again.flight.timeS - until)).toBeLessThanOrEqual(PHYSICS_STEP_S / 2 + 1e-9);
  tape.upTo(again, -5);
});
