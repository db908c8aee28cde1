import { laidOver } from './laid-over';
import type { DrawnPoint, Stretch } from './stretch';

const point: DrawnPoint = { t: 0, x: 1, y: 2, z: 3, speedMps: 0, afterGap: false };
const whole: Stretch = { fromS: 0, toS: 1, path: [point], lanes: [], modes: [] };

test('two flights lie beside each other as they were flown, on the earth', () => {
  // One minute of latitude is a nautical mile, 1 852 m, to within 0.6 % on the ellipsoid (at 60 degrees 1 857 m).
  const [moved] = laidOver(
    { origin: { latDeg: 60, lonDeg: 8 } },
    { origin: { latDeg: 60 + 1 / 60, lonDeg: 8 }, whole },
  );
  expect(moved!.x).toBeCloseTo(1, 1);
  expect(moved!.y - 2).toBeGreaterThan(1_850);
  expect(moved!.y - 2).toBeLessThan(1_863);
});

test('two places, or places that nobody knows, are laid over each other by where each began', () => {
  const here = { latDeg: 60, lonDeg: 8 };
  expect(laidOver({ origin: here }, { origin: { latDeg: 61, lonDeg: 8 }, whole })).toEqual([point]);
  expect(laidOver({ origin: null }, { origin: here, whole })).toEqual([point]);
});
