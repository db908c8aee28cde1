import { SCENES } from '../choreography/scenes';
import { drillOf, isDrillId } from '../drills/drills';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { STILL } from './gusts-dryden';
import { CENTRED } from './control/control';
import { craftModel } from './craft-model';
import { SimulatedFlight } from './simulated-flight';
import { practiceOf } from './practice';
import { distanceTo, gate } from './world';

const CRAFT = craftModel(craftFacts(USUAL_CRAFT));
const flown = Object.keys(SCENES)
  .filter(isDrillId)
  .filter((id) => drillOf(id).simulator !== 'no-use');

test('every drill that the simulator is for is set up, and its craft starts clear of everything', () => {
  expect(flown.length).toBeGreaterThan(40);
  for (const id of flown) {
    for (const side of drillOf(id).sides.length > 0 ? drillOf(id).sides : [null]) {
      const setUp = practiceOf(id, side, 'position-hold')!;
      for (const solid of setUp.solids)
        expect([
          id,
          side,
          distanceTo(solid, setUp.start.x, setUp.start.y, setUp.start.z) > CRAFT.spanM / 2,
        ]).toEqual([id, side, true]);
      const flight = new SimulatedFlight(CRAFT, { solids: setUp.solids, wind: STILL }, setUp.start, 1);
      for (let i = 0; i < 500; i += 1)
        flight.step(CENTRED, {
          mode: setUp.mode === 'rate' || setUp.mode === 'self-level' ? 'height-hold' : setUp.mode,
          setting: 'normal',
          pilotHeadingDeg: null,
          hold: true,
        });
      expect([id, side, flight.ended]).toEqual([id, side, null]);
    }
  }
});

test('hold off, by hand, or as the pilot flies', () => {
  expect(practiceOf('hold-off-hover', null, 'position-hold')?.mode).toBe('height-hold');
  expect(practiceOf('tail-in-hover', null, 'self-level')?.mode).toBe('self-level');
  expect(practiceOf('lean-and-lift', null, 'position-hold')?.mode).toBe('self-level');
  expect(practiceOf('hover-check', null, 'position-hold')).toBeNull();
});

test('a thing is hit where it is: poles, wires, boxes, balls and the bars of a gate', () => {
  expect(distanceTo({ solid: 'pole', x: 0, y: 0, fromM: 0, toM: 3, radiusM: 0.1 }, 1, 0, 2)).toBeCloseTo(
    0.9,
    12,
  );
  expect(distanceTo({ solid: 'pole', x: 0, y: 0, fromM: 0, toM: 3, radiusM: 0.1 }, 0, 0, 5)).toBeCloseTo(
    2,
    12,
  );
  expect(distanceTo({ solid: 'wire', from: [0, 0, 5], to: [10, 0, 5], radiusM: 0.01 }, 5, 3, 9)).toBeCloseTo(
    4.99,
    12,
  );
  expect(distanceTo({ solid: 'ball', x: 1, y: 1, z: 1, radiusM: 1 }, 1, 1, 4)).toBeCloseTo(2, 12);
  const wall = { solid: 'box', x: 0, y: 10, z: 2, alongM: 0.2, acrossM: 6, highM: 4, turnedDeg: 0 } as const;
  expect(distanceTo(wall, 0, 8, 2)).toBeCloseTo(1.9, 12);
  expect(distanceTo(wall, 0, 10, 2)).toBeLessThan(0);
  expect(distanceTo({ ...wall, turnedDeg: 90 }, 2, 10, 2)).toBeCloseTo(1.9, 12);
  const bars = gate([0, 10, 2], 0, 1.2);
  const room = (x: number, z: number) => Math.min(...bars.map((bar) => distanceTo(bar, x, 10, z)));
  expect(room(0, 2)).toBeCloseTo(0.57, 12);
  expect(room(0.6, 2)).toBeLessThan(0);
});
