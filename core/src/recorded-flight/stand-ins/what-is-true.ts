import type { FlightLog } from '../../flight-log/flight-log';
import { headingOf, rotationOf } from '../../geometry/rotation';
import { PILOTED_MODES } from '../../simulator/control/control';
import { LocalFrame } from '../local-frame';
import type { RecordedField } from '../mapping/fields';
import type { MadeUpRecorder } from './recorders';

/** Where the lessons of the stand-ins are flown: a made-up field. */
export const FIELD_PLACE = { latDeg: 47.2104, lonDeg: 11.0283, altitudeM: 612 } as const;
/** When, s since 1970. */
export const BEGUN_AT_S = Date.UTC(2026, 4, 9, 9, 30, 0) / 1000;

const DEG = Math.PI / 180;

/** What a recorder sees at a line of a true flight, in SI, with its own errors; a mode as its word. */
export class SeenBy {
  private readonly frame = new LocalFrame(FIELD_PLACE.latDeg, FIELD_PLACE.lonDeg);
  private off: [number, number] = [0, 0];
  private heldAt = -Infinity;
  private held: [number, number] = [0, 0];
  private lastT: number | null = null;

  constructor(
    private readonly log: FlightLog,
    private readonly recorder: MadeUpRecorder,
    private readonly normal: () => number,
  ) {
    const { wander } = recorder;
    if (wander) this.off = [wander.m * normal(), wander.m * normal()];
  }

  at(i: number): { readonly field: (field: RecordedField) => number; readonly mode: string } {
    const { columns: c } = this.log;
    const { placesHz, driftM = 0, modes } = this.recorder;
    const t = c.t[i]!;
    this.err(t);
    if (!placesHz || t - this.heldAt >= 1 / placesHz - 1e-6) {
      this.heldAt = t;
      this.held = [c.x[i]! + this.off[0], c.y[i]! + this.off[1]];
    }
    const [east, north] = this.held;
    const [lat, lon] = this.frame.toEarth(east, north);
    const [vx, vy] = [c.vx[i]!, c.vy[i]!];
    const attitude = { qw: c.qw[i]!, qx: c.qx[i]!, qy: c.qy[i]!, qz: c.qz[i]! };
    const r = rotationOf(attitude);
    const up = c.z[i]! + (driftM * t) / 600;
    const seen: Partial<Record<RecordedField, number>> = {
      ...{ time: t, latitude: lat, longitude: lon, east, north, up },
      ...{ v_east: vx, v_north: vy, v_up: c.vz[i]!, speed: Math.hypot(vx, vy) },
      course: ((Math.atan2(vx, vy) / DEG + 360) % 360) * DEG,
      heading: ((headingOf(attitude) + 360) % 360) * DEG,
      // Nose up and right side down, as aviation counts them.
      pitch: Math.asin(Math.max(-1, Math.min(1, r[6]!))),
      roll: Math.atan2(r[7]!, r[8]!),
      ...{ q_w: attitude.qw, q_x: attitude.qx, q_y: attitude.qy, q_z: attitude.qz },
      ...{ stick_throttle: c.throttle[i]!, stick_yaw: c.yaw[i]! },
      ...{ stick_pitch: c.pitch[i]!, stick_roll: c.roll[i]! },
      ...{ battery: c.battery[i]!, satellites: 14, wind_east: c.windX[i]!, wind_north: c.windY[i]! },
      hold: c.hold[i]!,
    };
    return { field: (field) => seen[field] ?? NaN, mode: modes?.[PILOTED_MODES[c.mode[i]!]!] ?? '' };
  }

  private err(t: number): void {
    const { wander } = this.recorder;
    if (wander && this.lastT !== null) {
      const keeps = Math.exp(-(t - this.lastT) / wander.s);
      const fresh = wander.m * Math.sqrt(1 - keeps * keeps);
      this.off = [keeps * this.off[0] + fresh * this.normal(), keeps * this.off[1] + fresh * this.normal()];
    }
    this.lastT = t;
  }
}
