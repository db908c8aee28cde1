import { exerciseOf, MEASURED_DRILLS } from '../assessment/exercises';
import { modeFlown } from '../assessment/exercise';
import { drillOf, type DrillId } from '../drills/drills';
import { craftModel } from '../simulator/craft-model';
import { practiceOf } from '../simulator/practice';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import type { PilotedMode } from '../simulator/control/control';
import { DAY, ofToday } from '../testing/by-day';
import { flyDrill } from './fly-drill';
import { meets, type NullPilot, nullPilots, othersFor } from './null-pilots';

/**
 * Doing nothing never passes. Hands off are flown through every drill here, and a few of the others by the day; all of
 * them, in every wind and on every side, in the bench.
 */

const CRAFT = craftModel(craftFacts(USUAL_CRAFT));
const ALL = nullPilots();
const LIGHT_MPS = 3.5;
const CALM_MPS = 1;

const passes = (drillId: DrillId, pilot: NullPilot, flies: PilotedMode = 'position-hold'): boolean => {
  const side = drillOf(drillId).sides[0] ?? null;
  const mode = modeFlown(exerciseOf(drillId, side)!, practiceOf(drillId, side, flies)!.mode);
  return meets(CRAFT, pilot, { drillId, side, windMps: LIGHT_MPS, mode, seed: 5 });
};

test.each(MEASURED_DRILLS)('%s is not met by hands off', (drillId) => {
  expect(passes(drillId, ALL[0]!)).toBe(false);
});

const TWO_FORMS = MEASURED_DRILLS.filter((id) => drillOf(id).handsForm);

test.each(ofToday(TWO_FORMS, 2))(
  '%s with hold off is not met by hands off either, and is by steady hands',
  (drillId) => {
    expect(passes(drillId, ALL[0]!, 'height-hold')).toBe(false);
    const side = drillOf(drillId).sides[0] ?? null;
    const steady = [7, 20].map(
      (seed) =>
        flyDrill(CRAFT, { drillId, side, windMps: CALM_MPS, seed, pilotMode: 'height-hold' }).score.met,
    );
    expect(steady).toContain(true);
  },
);

test('the sticks of another drill meet at most one drill in twenty', () => {
  const met = MEASURED_DRILLS.flatMap((drillId, i) => {
    const others = othersFor(drillId);
    const other = others[(DAY + i) % others.length]!;
    return passes(drillId, other) ? [`${drillId} by ${other.name} (day ${DAY})`] : [];
  });
  expect(met.length / MEASURED_DRILLS.length <= 1 / 20 ? [] : met).toEqual([]);
}, 120_000);

test('sticks held or moved at random meet at most one drill in twenty', () => {
  const few = [1, 2].map((i) => ALL[1 + ((DAY * 7 + i * 11) % (ALL.length - 1))]!);
  const met = MEASURED_DRILLS.flatMap((drillId) =>
    few.filter((pilot) => passes(drillId, pilot)).map((pilot) => `${drillId} by ${pilot.name} (day ${DAY})`),
  );
  expect(met.length / (few.length * MEASURED_DRILLS.length) <= 1 / 20 ? [] : met).toEqual([]);
}, 120_000);
