import { asHeld, leanStick } from './tilt';

test('a lean of a few degrees is none, and 25 ° is the end of the stick', () => {
  expect([0, 1.9, -1.9].map(leanStick)).toEqual([0, 0, 0]);
  expect([12.5, 25, 60, -60].map(leanStick)).toEqual([0.5, 1, 1, -1]);
});

/**
 * Axes as in the W3C's Device Orientation: beta grows as the phone's top edge comes up, gamma as its right
 * edge goes down.
 */
test('however the phone is turned, the edge away from the pilot going down is forward, and the right hand going down is right', () => {
  const [upright, onItsLeft, upsideDown, onItsRight] = [0, 90, 180, 270] as const;
  // Away: beta falls as held; to the right: gamma grows as held.
  expect(asHeld(upright, -10, 0)).toEqual({ beta: -10, gamma: 0 });
  expect(asHeld(upright, 0, 10)).toEqual({ beta: 0, gamma: 10 });
  // Top edge to the left: away is the phone's right edge, right is its bottom.
  expect(asHeld(onItsLeft, 0, 10).beta).toBe(-10);
  expect(asHeld(onItsLeft, 10, 0).gamma).toBe(10);
  // Top edge to the right: away is the phone's left edge, right is its top.
  expect(asHeld(onItsRight, 0, -10).beta).toBe(-10);
  expect(asHeld(onItsRight, -10, 0).gamma).toBe(10);
  expect(asHeld(upsideDown, 10, -10)).toEqual({ beta: -10, gamma: 10 });
  expect(asHeld(-90, 0, -10)).toEqual(asHeld(onItsRight, 0, -10));
});
