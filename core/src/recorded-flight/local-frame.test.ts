import geodesic from 'geographiclib-geodesic';
import { LocalFrame } from './local-frame';

/** Karney's geodesics (GeographicLib, JavaScript) on the same ellipsoid. */
const EARTH = geodesic.Geodesic.WGS84;

test.each([
  [0, 10],
  [47.4, 11.2],
  [-33.9, 151.2],
  [64.1, -21.9],
])('around %p, %p a place comes to where the geodesic leads', (lat, lon) => {
  const frame = new LocalFrame(lat, lon);
  for (const bearing of [0, 37, 90, 145, 200, 270, 331])
    for (const [metres, within] of [
      [20, 0.001],
      [500, 0.02],
      [3_000, 1],
    ] as const) {
      const { lat2, lon2 } = EARTH.Direct(lat, lon, bearing, metres) as { lat2: number; lon2: number };
      const [east, north] = frame.toLocal(lat2, lon2);
      const rad = (bearing * Math.PI) / 180;
      const off = Math.hypot(east - metres * Math.sin(rad), north - metres * Math.cos(rad));
      expect([bearing, metres, off < within]).toEqual([bearing, metres, true]);
    }
});

test('there and back is the same place, over the date line too', () => {
  for (const [lat, lon] of [
    [47.4, 11.2],
    [-17.7, 179.999],
  ] as const) {
    const frame = new LocalFrame(lat, lon);
    const [nextLat, nextLon] = frame.toEarth(420, -310);
    const [east, north] = frame.toLocal(nextLat, ((nextLon + 540) % 360) - 180);
    expect(east).toBeCloseTo(420, 6);
    expect(north).toBeCloseTo(-310, 6);
  }
});
