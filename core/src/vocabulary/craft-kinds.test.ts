import { craftShape } from '../schemas/records';
import { craftFacts } from './craft-facts';
import { CRAFT_KIND_IDS, CRAFT_KINDS } from './craft-kinds';

/** Air density at sea level, kg/m³ (ISA), and gravity, m/s². */
const [RHO, G] = [1.225, 9.80665];

test.each(CRAFT_KIND_IDS)('the usual craft of kind %s is one that can be saved', async (id) => {
  await expect(craftShape.validate({ ...CRAFT_KINDS[id], name: 'Ours', note: '' })).resolves.toBeTruthy();
});

test.each(CRAFT_KIND_IDS)('the usual craft of kind %s hangs together', (id) => {
  const { massKg, rotors, rotorRadiusM, spanM, topSpeedMps } = CRAFT_KINDS[id];
  // Hover: induced velocity by momentum theory lies where that of small craft does, 3 to 12 m/s (Leishman 2006, ch. 2).
  const induced = Math.sqrt((massKg * G) / (2 * RHO * rotors * Math.PI * rotorRadiusM ** 2));
  expect([id, induced > 3 && induced < 13]).toEqual([id, true]);
  // From motor to motor across: rotors find room beside each other on their circle.
  expect([id, spanM * Math.sin(Math.PI / rotors) > 2 * rotorRadiusM]).toEqual([id, true]);
  expect([id, topSpeedMps <= 30]).toEqual([id, true]);
  expect(craftFacts({ ...CRAFT_KINDS[id] }).topSpeedMps.normal).toBe(topSpeedMps);
});
