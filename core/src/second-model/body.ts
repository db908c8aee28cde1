/**
 * A craft as a point with a lean: the simplest body that still slides, lags and is blown about. It shares no code with
 * the simulator, so that what reads flights is tried on flights of another hand. Common practice; every constant ours.
 */

export interface StickHands {
  readonly throttle: number;
  readonly yaw: number;
  readonly pitch: number;
  readonly roll: number;
}
export const LET_GO: StickHands = { throttle: 0, yaw: 0, pitch: 0, roll: 0 };

/** What the craft does by itself now. */
export interface Aids {
  readonly holdsPlace: boolean;
  readonly holdsHeight: boolean;
}

export interface Weather {
  /** Mean wind, east and north, m/s. */
  readonly x: number;
  readonly y: number;
  /** Spread of the gusts, m/s. */
  readonly gusts: number;
}

const G = 9.81;
const TOP_MPS = 10;
const STICK_PUSH = 5.5;
const DRAG_S = 2.6;
const LEAN_LAG_S = 0.28;
const CLIMB_LAG_S = 0.35;
const CLIMB_MPS = 3;
const YAW_DEG_PER_S = 110;
const YAW_LAG_S = 0.15;
const GUST_S = 1.8;

export class PointCraft {
  x = 0;
  y = 0;
  z = 0;
  vx = 0;
  vy = 0;
  vz = 0;
  /** Push by leaning, east and north, m/s². */
  pushX = 0;
  pushY = 0;
  noseDeg = 0;
  private yawRate = 0;
  private gustX = 0;
  private gustY = 0;
  windX = 0;
  windY = 0;
  /** Thrown out of its attitude by so much about its nose, degrees; it comes back by itself. */
  thrownDeg = 0;

  constructor(
    private readonly weather: Weather,
    private readonly normal: () => number,
  ) {}

  step(sticks: StickHands, aids: Aids, dt: number): void {
    this.blow(dt);
    const nose = (this.noseDeg * Math.PI) / 180;
    const toward = (along: number, aside: number): [number, number] => [
      along * Math.sin(nose) + aside * Math.cos(nose),
      along * Math.cos(nose) - aside * Math.sin(nose),
    ];
    let [wantX, wantY] = toward(STICK_PUSH * sticks.pitch, STICK_PUSH * sticks.roll);
    if (aids.holdsPlace) {
      const [speedX, speedY] = toward(TOP_MPS * sticks.pitch, TOP_MPS * sticks.roll);
      [wantX, wantY] = [
        2 * (speedX - this.vx) + (this.vx - this.windX) / DRAG_S,
        2 * (speedY - this.vy) + (this.vy - this.windY) / DRAG_S,
      ];
      const size = Math.hypot(wantX, wantY);
      if (size > STICK_PUSH) [wantX, wantY] = [(wantX * STICK_PUSH) / size, (wantY * STICK_PUSH) / size];
    }
    this.pushX += (dt / LEAN_LAG_S) * (wantX - this.pushX);
    this.pushY += (dt / LEAN_LAG_S) * (wantY - this.pushY);
    this.vx += dt * (this.pushX + (this.windX - this.vx) / DRAG_S);
    this.vy += dt * (this.pushY + (this.windY - this.vy) / DRAG_S);
    this.vz += (dt / CLIMB_LAG_S) * (CLIMB_MPS * sticks.throttle - this.vz);
    this.x += dt * this.vx;
    this.y += dt * this.vy;
    this.z = Math.max(0, this.z + dt * this.vz);
    this.yawRate += (dt / YAW_LAG_S) * (YAW_DEG_PER_S * sticks.yaw - this.yawRate);
    this.noseDeg += dt * this.yawRate;
    this.thrownDeg *= Math.exp(-dt / 0.5);
  }

  private blow(dt: number): void {
    const keeps = Math.exp(-dt / GUST_S);
    const fresh = this.weather.gusts * Math.sqrt(1 - keeps * keeps);
    this.gustX = keeps * this.gustX + fresh * this.normal();
    this.gustY = keeps * this.gustY + fresh * this.normal();
    this.windX = this.weather.x + this.gustX;
    this.windY = this.weather.y + this.gustY;
  }

  /** Attitude, body to world: [w, x, y, z]. */
  get attitude(): readonly [number, number, number, number] {
    const lean = Math.atan(Math.hypot(this.pushX, this.pushY) / G);
    const way = Math.atan2(this.pushY, this.pushX);
    const tilt = product(
      [Math.cos(lean / 2), -Math.sin(way) * Math.sin(lean / 2), Math.cos(way) * Math.sin(lean / 2), 0],
      turned(Math.PI / 2 - (this.noseDeg * Math.PI) / 180),
    );
    const thrown = (this.thrownDeg * Math.PI) / 360;
    return product(tilt, [Math.cos(thrown), Math.sin(thrown), 0, 0]);
  }
}

type Four = readonly [number, number, number, number];
const turned = (angle: number): Four => [Math.cos(angle / 2), 0, 0, Math.sin(angle / 2)];
const product = ([a, b, c, d]: Four, [e, f, g, h]: Four): Four => [
  a * e - b * f - c * g - d * h,
  a * f + b * e + c * h - d * g,
  a * g - b * h + c * e + d * f,
  a * h + b * g - c * f + d * e,
];
