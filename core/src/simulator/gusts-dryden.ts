import { OPEN_COUNTRY_EXPONENT } from '../reconstruct/wind-at-height';
import { Random } from './random';
import type { BodyState } from './rigid-body';

const FEET = 0.3048;
const MEASURED_AT_M = 20 * FEET;
const LEAST_SPEED_MPS = 1;
const ROOT3 = Math.sqrt(3);

export interface DrydenScales {
  /** Lengths, m. */
  readonly lu: number;
  readonly lv: number;
  readonly lw: number;
  /** Intensities, m/s. */
  readonly su: number;
  readonly sv: number;
  readonly sw: number;
}

/**
 * Scales of low-altitude turbulence: L_w = h, L_u = L_v = h / (0.177 + 0.000823 h)^1.2, σ_w = 0.1 W₂₀, σ_u =
 * σ_v = σ_w / (0.177 + 0.000823 h)^0.4, h in feet and held
 * from 10 to 1000.
 * Source: MIL-F-8785C, 3.7.2.
 * @param heightM above ground
 * @param windAt20ftMps mean wind 20 ft up
 */
export function drydenScales(heightM: number, windAt20ftMps: number): DrydenScales {
  const h = Math.min(1000, Math.max(10, heightM / FEET));
  const k = 0.177 + 0.000823 * h;
  const lw = h * FEET;
  const lu = lw / k ** 1.2;
  const sw = 0.1 * windAt20ftMps;
  const su = sw / k ** 0.4;
  return { lu, lv: lu, lw, su, sv: su, sw };
}

/** How one component of the turbulence goes on for a step. */
interface Turbulence {
  readonly random: Random;
  /** Intensity, m/s. */
  readonly sigma: number;
  /** Share of itself that a first-order process keeps over the step. */
  readonly keeps: number;
}
/** @param speedMps of the craft through the air, at least 1 */
const keptOver = (speedMps: number, dt: number, length: number): number =>
  Math.exp((-speedMps * dt) / length);

/** One component along the wind: a first-order process whose spectrum is Dryden's. */
class Along {
  private z = 0;

  step({ random, sigma, keeps: a }: Turbulence): number {
    this.z = a * this.z + Math.sqrt(1 - a * a) * random.normal();
    return sigma * this.z;
  }
}

/** One component across it: two first-order processes in a row, as Dryden's transverse spectrum asks. */
class Across {
  private z1 = 0;
  private z2 = 0;

  step({ random, sigma, keeps: a }: Turbulence): number {
    const old = this.z1;
    this.z1 = a * old + Math.sqrt(1 - a * a) * random.normal();
    this.z2 = a * this.z2 + (1 - a) * 0.5 * (old + this.z1);
    return (sigma * (ROOT3 * this.z1 + (1 - ROOT3) * this.z2)) / Math.SQRT2;
  }
}

/** A stream of air out of a door, a fan or round a corner. */
export interface Jet {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  /** Where it blows to, degrees clockwise from north. */
  readonly towardDeg: number;
  readonly speedMps: number;
  /** Half-width at its mouth, m. It widens by a tenth of the way. */
  readonly radiusM: number;
  readonly reachM: number;
}

/** Air that is called calm still breathes: mean wind below which it never falls, m/s. Common practice. */
const CALM_MPS = 0.5;

export interface Wind {
  /** Mean wind 20 ft (6.1 m) up, m/s. */
  readonly speedMps: number;
  /** Where it comes from, degrees clockwise from north. */
  readonly fromDeg: number;
  /** Turbulence as a share of the standard's: 1 is the standard, 0 none. */
  readonly gusts: number;
  readonly jets: readonly Jet[];
}

export const STILL: Wind = { speedMps: 0, fromDeg: 0, gusts: 0, jets: [] };

/** Where the craft is, m. */
type Place = Pick<BodyState, 'px' | 'py' | 'pz'>;

/** The air at the craft: mean wind by the power law, turbulence, jets. World axes: x east, y north, z up. */
export class Air {
  x = 0;
  y = 0;
  z = 0;
  private readonly random: Random;
  private readonly u = new Along();
  private readonly v = new Across();
  private readonly w = new Across();
  private readonly alongX: number;
  private readonly alongY: number;

  constructor(
    private readonly wind: Wind,
    seed: number,
  ) {
    this.random = new Random(seed);
    const from = (wind.fromDeg * Math.PI) / 180;
    [this.alongX, this.alongY] = [-Math.sin(from), -Math.cos(from)];
  }

  /** Moves on to where the craft is now. @param speedMps of the craft through the air */
  step(place: Place, speedMps: number, dt: number): void {
    const { pz } = place;
    const { wind, alongX, alongY, random } = this;
    const height = pz < 0.5 ? 0.5 : pz;
    const speed6m = wind.gusts > 0 ? Math.max(CALM_MPS, wind.speedMps) : wind.speedMps;
    const mean = speed6m === 0 ? 0 : speed6m * (height / MEASURED_AT_M) ** OPEN_COUNTRY_EXPONENT;
    let [along, across, up] = [mean, 0, 0];
    if (wind.gusts > 0) {
      const { lu, lv, lw, su, sv, sw } = drydenScales(pz, speed6m);
      const speed = Math.max(LEAST_SPEED_MPS, speedMps);
      along += wind.gusts * this.u.step({ random, sigma: su, keeps: keptOver(speed, dt, lu) });
      across += wind.gusts * this.v.step({ random, sigma: sv, keeps: keptOver(speed, dt, lv) });
      up += wind.gusts * this.w.step({ random, sigma: sw, keeps: keptOver(speed, dt, lw) });
    }
    this.x = along * alongX - across * alongY;
    this.y = along * alongY + across * alongX;
    this.z = up;
    for (const jet of wind.jets) this.blow(jet, place);
  }

  private blow(jet: Jet, { px, py, pz }: Place): void {
    const toward = (jet.towardDeg * Math.PI) / 180;
    const [dx, dy] = [Math.sin(toward), Math.cos(toward)];
    const along = (px - jet.x) * dx + (py - jet.y) * dy;
    if (along < 0 || along > jet.reachM) return;
    const aside = Math.hypot((px - jet.x) * dy - (py - jet.y) * dx, pz - jet.z);
    const radius = jet.radiusM + along / 10;
    const share = Math.exp(-((aside / radius) ** 4)) * (1 - along / jet.reachM);
    this.x += jet.speedMps * share * dx;
    this.y += jet.speedMps * share * dy;
  }
}
