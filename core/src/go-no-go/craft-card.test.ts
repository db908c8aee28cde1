import { stoppingFrom } from '../reconstruct/craft-stopping';
import { stoppingDistance } from '../reconstruct/stopping-distance';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { craftCard } from './craft-card';

const CRAFT = craftFacts({
  ...USUAL_CRAFT,
  sensorSides: ['ahead', 'below'],
  sensorsInFast: false,
  hasHeightHold: true,
  hasPositionHold: true,
});

test('the faster the setting, the longer the stop; letting go is always longer; fast has no sensors', () => {
  const { settings } = craftCard(CRAFT);
  const stops = settings.map(({ stopM }) => stopM);
  expect([...stops].sort((a, b) => a - b)).toEqual(stops);
  for (const { stopM, releasedM } of settings) expect(releasedM!).toBeGreaterThan(stopM);
  expect(settings.map(({ sensorsOn }) => sensorsOn)).toEqual([true, true, false]);
  // The very sum that the debrief works with.
  const { topSpeedMps } = settings[2]!;
  expect(stops[2]).toBe(stoppingDistance(stoppingFrom(CRAFT, 'fast', topSpeedMps)).totalM);
});

test('a craft without hold offers no mode that holds, and nothing stops it by itself', () => {
  const bare = {
    ...CRAFT,
    mode: 'self-level' as const,
    hasPositionHold: false,
    hasHeightHold: false,
    sensorSides: [],
  };
  const card = craftCard(bare);
  expect(card.modes.map(({ mode }) => mode)).toEqual(['self-level']);
  // Of a mode that the record does not tell of nothing is claimed.
  expect(craftCard(CRAFT).modes.map(({ mode }) => mode)).toEqual(['height-hold', 'position-hold']);
  expect(card.settings.every(({ releasedM, sensorsOn }) => releasedM === null && sensorsOn === null)).toBe(
    true,
  );
});
