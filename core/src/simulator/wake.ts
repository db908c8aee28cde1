import type { CraftModel } from './craft-model';
import type { Acting, BodyState } from './rigid-body';

type Vector = readonly [number, number, number];

/** Parcels of wake kept, and how often one is left behind. */
const PARCELS = 50;
const EVERY_S = 0.02;
/** Younger parcels are the rotors' own outflow, not a wake to run into. */
const OWN_S = 0.12;
/** How fast the wake slows down and dies, s. */
const SLOWS_S = 0.45;
const DIES_S = 0.6;
const WIDENS_MPS = 0.5;
/** Lift a rotor loses right in a fresh wake, as a share. */
const DEEPEST = 0.45;

/**
 * The air that a craft has pushed away, as puffs that drift off, slow down and die. A rotor that runs back
 * into them loses lift by itself: that is what drops one
 * side. Ours, after momentum theory: a puff starts at twice the induced velocity, away from the thrust.
 */
export class Wake {
  private readonly x = new Float64Array(PARCELS);
  private readonly y = new Float64Array(PARCELS);
  private readonly z = new Float64Array(PARCELS);
  private readonly vx = new Float64Array(PARCELS);
  private readonly vy = new Float64Array(PARCELS);
  private readonly vz = new Float64Array(PARCELS);
  private readonly age = new Float64Array(PARCELS).fill(Infinity);
  private next = 0;
  private since = 0;

  /** @param dt between two steps, s */
  constructor(private readonly dt: number) {}

  /**
   * Lets the puffs drift on, and leaves one behind when it is time.
   * @param axis the thrust axis
   * @param inducedMps by which the rotors push the air away now
   * @param dt s
   */
  step({ px, py, pz }: BodyState, axis: Vector, inducedMps: number, { windX, windY, windZ }: Acting): void {
    const { dt } = this;
    const [nx, ny, nz] = axis;
    const slower = 1 - dt / SLOWS_S;
    for (let i = 0; i < PARCELS; i += 1) {
      if (this.age[i]! === Infinity) continue;
      this.age[i]! += dt;
      this.vx[i]! *= slower;
      this.vy[i]! *= slower;
      this.vz[i]! *= slower;
      this.x[i]! += (this.vx[i]! + windX) * dt;
      this.y[i]! += (this.vy[i]! + windY) * dt;
      this.z[i]! += (this.vz[i]! + windZ) * dt;
    }
    this.since += dt;
    if (this.since < EVERY_S) return;
    this.since = 0;
    const i = this.next;
    this.next = (i + 1) % PARCELS;
    [this.x[i], this.y[i], this.z[i], this.age[i]] = [px, py, pz, 0];
    [this.vx[i], this.vy[i], this.vz[i]] = [-2 * inducedMps * nx, -2 * inducedMps * ny, -2 * inducedMps * nz];
  }

  /**
   * Share of its lift that a rotor at this place keeps, 1 in clean air. @param axis its thrust axis
   */
  kept({ spanM, inducedMps }: CraftModel, at: Vector, axis: Vector): number {
    const px = at[0],
      py = at[1],
      pz = at[2],
      nx = axis[0],
      ny = axis[1],
      nz = axis[2];
    let into = 0;
    for (let i = 0; i < PARCELS; i += 1) {
      const age = this.age[i]!;
      if (age < OWN_S || age === Infinity) continue;
      const dx = px - this.x[i]!,
        dy = py - this.y[i]!,
        dz = pz - this.z[i]!;
      const radius = 0.5 * spanM + WIDENS_MPS * age;
      const near = (dx * dx + dy * dy + dz * dz) / (radius * radius);
      if (near > 4) continue;
      const flow = -(this.vx[i]! * nx + this.vy[i]! * ny + this.vz[i]! * nz) / (2 * inducedMps);
      if (flow > 0) into += flow * Math.exp(-near - age / DIES_S);
    }
    return 1 - DEEPEST * (1 - Math.exp(-into));
  }
}
