import { type FlightLog, FlightLogWriter, type LogColumn, type LogEvent } from '../flight-log/flight-log';

/** Columns that many recorders leave out, by what they belong to. */
export const LEFT_OUT = {
  sticks: ['throttle', 'yaw', 'pitch', 'roll'],
  wind: ['windX', 'windY', 'windZ'],
  hold: ['hold', 'mode', 'setting', 'relative'],
  attitude: ['qw', 'qx', 'qy', 'qz'],
  battery: ['battery'],
} as const satisfies Readonly<Record<string, readonly LogColumn[]>>;

export interface Recorder {
  /** Lines a second. */
  readonly hz: number;
  /** How far places wander, m: satellites do, slowly. */
  readonly wanderM: number;
  readonly leavesOut: readonly (keyof typeof LEFT_OUT)[];
}

const WANDER_S = 12;
const SPEED_NOISE_MPS = 0.08;
const STICK_NOISE = 0.004;

/** Writes down what happens as a recorder would: now and then, with noise, and not everything. */
export class FlightRecorder {
  private readonly writer = new FlightLogWriter();
  private readonly unknown: ReadonlySet<LogColumn>;
  private offX = 0;
  private offY = 0;
  private next = 0;

  constructor(
    private readonly of: Recorder,
    private readonly normal: () => number,
  ) {
    this.unknown = new Set(of.leavesOut.flatMap((group) => [...LEFT_OUT[group]]));
    this.offX = of.wanderM * normal();
    this.offY = of.wanderM * normal();
  }

  /** @param line everything as it is */
  look(line: Readonly<Record<LogColumn, number>>): void {
    if (line.t + 1e-9 < this.next) return;
    this.next += 1 / this.of.hz;
    const { normal } = this;
    const keeps = Math.exp(-1 / (this.of.hz * WANDER_S));
    const fresh = this.of.wanderM * Math.sqrt(1 - keeps * keeps);
    this.offX = keeps * this.offX + fresh * normal();
    this.offY = keeps * this.offY + fresh * normal();
    const noisy: Record<LogColumn, number> = {
      ...line,
      x: line.x + this.offX,
      y: line.y + this.offY,
      vx: line.vx + SPEED_NOISE_MPS * normal(),
      vy: line.vy + SPEED_NOISE_MPS * normal(),
      vz: line.vz + SPEED_NOISE_MPS * normal(),
      pitch: line.pitch + STICK_NOISE * normal(),
      roll: line.roll + STICK_NOISE * normal(),
    };
    for (const column of this.unknown) noisy[column] = NaN;
    this.writer.add(noisy);
  }

  log(events: readonly LogEvent[] = []): FlightLog {
    for (const { is, t } of events) this.writer.happens(is, t);
    return this.writer.track();
  }
}
