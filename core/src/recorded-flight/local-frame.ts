/** World Geodetic System 1984: semi-major axis, m, and flattening (NIMA TR8350.2). */
const A = 6_378_137;
const F = 1 / 298.257_223_563;
const E2 = F * (2 - F);
const RAD = Math.PI / 180;

/**
 * A flat map around a place, east and north in m: along the ellipsoid's own radii of curvature there, to the second order (any
 * geodesy text). Within 3 km it is off by less than 1 m.
 */
export class LocalFrame {
  private readonly perLat: number;
  private readonly perLon: number;
  private readonly bends: number;
  private readonly curves: number;

  constructor(
    readonly latDeg: number,
    readonly lonDeg: number,
  ) {
    const sin = Math.sin(latDeg * RAD);
    const w = Math.sqrt(1 - E2 * sin * sin);
    const [meridian, across] = [(A * (1 - E2)) / w ** 3, A / w];
    this.perLat = meridian * RAD;
    this.perLon = across * Math.cos(latDeg * RAD) * RAD;
    // Meridians come together: a step east is shorter further from the equator.
    this.bends = -Math.tan(latDeg * RAD) * RAD;
    // A parallel curves toward the pole: who goes straight east comes to lie south of it.
    this.curves = Math.tan(latDeg * RAD) / (2 * across);
  }

  /** @returns east and north, m */
  toLocal(latDeg: number, lonDeg: number): readonly [number, number] {
    const dLat = latDeg - this.latDeg;
    const dLon = ((((lonDeg - this.lonDeg) % 360) + 540) % 360) - 180;
    const east = this.perLon * dLon * (1 + this.bends * dLat);
    return [east, this.perLat * dLat + this.curves * east * east];
  }

  /** @returns latitude and longitude, degrees */
  toEarth(eastM: number, northM: number): readonly [number, number] {
    const dLat = (northM - this.curves * eastM * eastM) / this.perLat;
    return [this.latDeg + dLat, this.lonDeg + eastM / (this.perLon * (1 + this.bends * dLat))];
  }
}
