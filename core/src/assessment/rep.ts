import { AutoReturn } from '../simulator/control/auto-return';
import type { ModeNow, StickPosition } from '../simulator/control/control';
import type { CraftModel } from '../simulator/craft-model';
import {
  SimulatedFlight,
  type SimulatedScene,
  type Start,
  PHYSICS_STEP_S,
} from '../simulator/simulated-flight';
import { Random } from '../simulator/random';
import type { SpeedSetting } from '../vocabulary/craft-facts';
import type { Failsafe } from '../reconstruct/return-height';
import { failsafeSticks, landingSticks } from '../simulator/control/failsafe';
import { LANDS_ITSELF_BELOW } from '../simulator/pack';
import { type FittedSensors, heedSensors } from '../simulator/sensors';
import {
  modeIndex,
  type Sample,
  settingIndex,
  LOG_HZ,
  type AnswerNumber,
  type LogEventName,
  FlightLogWriter,
} from '../flight-log/flight-log';
import type { Exercise, Surprise } from './exercise';
import { Referee } from './referee';
import { SticksSince } from './taking-over';

const LINE_EVERY = Math.round(1 / (LOG_HZ * PHYSICS_STEP_S));
const SNAP_S = 0.9;
const CARRIED_M = 6;
/** How long hold keeps, and how long it is away, where it drops by chance, s. */
const HOLD_KEEPS_S = [4, 20] as const;
const HOLD_AWAY_S = [4, 10] as const;

/** How a rep is set up. */
export interface RepFlightSetUp {
  readonly craft: CraftModel;
  readonly course: Exercise;
  readonly scene: SimulatedScene;
  readonly start: Start;
  readonly seed: number;
  readonly sensors?: FittedSensors;
  /** Hold drops now and then, unforeseen, and comes back. */
  readonly holdDrops?: boolean;
  readonly returnHeightM?: number;
  /** What the craft does by itself when the link is lost; it goes home where nothing is said. */
  readonly onLinkLoss?: Failsafe;
  readonly home?: readonly [number, number];
}

/** What is pressed beside the sticks. */
export interface Pressed {
  /** What the pilot says: one of the answers to choose from, or just that it is said. */
  readonly answer?: AnswerNumber | boolean;
  readonly takeOver?: boolean;
}

const NOTHING: Pressed = {};
/** What a surprise is in a log. */
const writtenAs = (begins: Surprise = 'call'): LogEventName =>
  begins === 'spun' || begins === 'carried-off' || begins === 'set-back' ? 'call' : begins;
const NO_SENSORS: FittedSensors = { sides: [], inFast: false };
/** Spread of what a craft is off its trim by, m/s²: half a degree of lean. From memory. */
const TRIM_MPS2 = 0.08;

/** One go at a drill: the craft flies, the referee follows, and all of it is written down. */
export class RepFlight {
  readonly flight: SimulatedFlight;
  readonly referee: Referee;
  readonly writer = new FlightLogWriter();
  /** Nearest thing that the obstacle sensors see, m. */
  nearestM = Infinity;
  autoReturn: AutoReturn | null = null;
  private since = new SticksSince();
  /** Its pack is nearly flat: it comes down by itself, wherever it is. */
  landsItself = false;
  private readonly random: Random;
  private holdLost = false;
  private failsafe: AutoReturn | null = null;
  private holdTurnsS = Infinity;
  /** The speed setting that was drawn by lot; null: the pilot's own. */
  private drawnSetting: SpeedSetting | null = null;
  private toSay: AnswerNumber | boolean = false;
  private isPressed = false;
  private count = 0;
  private happened: LogEventName[] = [];
  /** The sticks as the sensors let them through. */
  private heeded: StickPosition | null = null;

  constructor(private readonly setUp: RepFlightSetUp) {
    const { craft, scene, start, seed, course } = setUp;
    this.random = new Random(seed ^ 0x3a17);
    const off = new Random(seed ^ 0x7121);
    const trim = { ahead: TRIM_MPS2 * off.normal(), right: TRIM_MPS2 * off.normal() };
    this.flight = new SimulatedFlight(craft, { trim, ...scene }, start, seed);
    if (setUp.holdDrops) this.holdTurnsS = this.between(HOLD_KEEPS_S);
    this.referee = new Referee(
      course,
      craft,
      this.line(
        { throttle: 0, yaw: 0, pitch: 0, roll: 0 },
        { mode: course.mode ?? 'position-hold', setting: 'normal', pilotHeadingDeg: null, hold: true },
      ),
      this.random,
    );
  }

  get isOver(): boolean {
    return this.referee.over !== null || this.flight.ended !== null;
  }
  get holdIsLost(): boolean {
    return this.holdLost;
  }

  /** Gives hold back, or takes it away. */
  dropHold(lost: boolean): void {
    if (lost && !this.holdLost) this.happens('hold-lost');
    this.holdLost = lost;
  }

  get linkIsLost(): boolean {
    return this.failsafe !== null;
  }

  /** The craft no longer hears the sticks, or hears them again. */
  loseLink(lost: boolean): void {
    if (lost === this.linkIsLost) return;
    this.failsafe = lost ? this.wayHome() : null;
    this.happens(lost ? 'link-lost' : 'link-back');
  }

  goHome(): void {
    this.autoReturn = this.wayHome();
    this.since = new SticksSince();
    this.happens('return');
  }

  private wayHome(): AutoReturn {
    const { craft, home = [0, 6], returnHeightM = 30 } = this.setUp;
    return new AutoReturn(craft, home[0], home[1], returnHeightM);
  }

  /** Moves on by STEP_S. After it is over the craft flies on, and is still written down. */
  step(sticks: StickPosition, asked: ModeNow, pressed: Pressed = NOTHING): void {
    const { flight } = this;
    if (flight.ended) return;
    this.hear(pressed.answer ?? false);
    const steered = this.steered(sticks, asked, pressed);
    const { mode } = steered;
    const flown = this.heedsPack(mode) ? landingSticks(steered.flown) : steered.flown;
    if (flight.timeS > this.holdTurnsS) {
      this.dropHold(!this.holdLost);
      this.holdTurnsS = flight.timeS + this.between(this.holdLost ? HOLD_AWAY_S : HOLD_KEEPS_S);
    }
    if (this.count % LINE_EVERY === 0) {
      this.heed(flown, mode);
      if (this.toSay) this.happens(this.toSay === true ? 'answer' : `answer-${this.toSay}`);
      this.toSay = false;
      this.write(sticks, mode);
    }
    flight.step(this.heeded ?? flown, mode);
    this.count += 1;
    if (flight.ended) {
      this.happens('crash');
      this.write(sticks, mode);
    }
  }

  /** An answer counts once, however long it is pressed. */
  private hear(answer: AnswerNumber | boolean): void {
    if (answer && !this.isPressed) this.toSay = answer;
    this.isPressed = answer !== false;
  }

  /** Whoever steers now, by the sticks that reach the craft: the pilot, its failsafe, or its return. */
  private steered(sticks: StickPosition, asked: ModeNow, pressed: Pressed) {
    const { setUp } = this;
    const { body } = this.flight;
    const mode: ModeNow = {
      ...asked,
      ...(this.holdLost ? { hold: false } : {}),
      ...(this.drawnSetting ? { setting: this.drawnSetting } : {}),
    };
    const byItself: ModeNow = { ...mode, mode: 'position-hold', setting: 'normal', pilotHeadingDeg: null };
    if (this.failsafe)
      return { flown: failsafeSticks(setUp.onLinkLoss ?? 'return', body, this.failsafe), mode: byItself };
    if (!this.autoReturn) return { flown: sticks, mode };
    if (!pressed.takeOver && !this.since.pushedOut(sticks))
      return { flown: this.autoReturn.sticks(body), mode: byItself };
    this.autoReturn = null;
    this.happens('take-over');
    return { flown: sticks, mode };
  }

  /** Whether a nearly flat pack brings it down now. By hand nothing does: it flies until it falls. */
  private heedsPack({ mode }: ModeNow): boolean {
    const { charge, landed } = this.flight;
    const heeds =
      charge < LANDS_ITSELF_BELOW && !landed && (mode === 'position-hold' || mode === 'height-hold');
    if (heeds && !this.landsItself) this.happens('lands-itself');
    this.landsItself = heeds;
    return heeds;
  }

  /** Looks round with the sensors. */
  private heed(flown: StickPosition, mode: ModeNow): void {
    const { craft, scene, sensors = NO_SENSORS } = this.setUp;
    const heeded = heedSensors(this.flight.body, flown, {
      fitted: sensors,
      spanM: craft.spanM,
      setting: mode.setting,
      holdsPosition: mode.mode === 'position-hold' && mode.hold,
      topSpeedMps: craft.topSpeedMps[mode.setting],
      solids: scene.solids,
    });
    this.nearestM = heeded.nearestM;
    this.heeded = heeded.sticks === flown ? null : heeded.sticks;
  }

  private between([least, most]: readonly [number, number]): number {
    return least + (most - least) * this.random.uniform();
  }

  private happens(is: LogEventName): void {
    this.happened.push(is);
    this.writer.happens(is, this.flight.timeS);
  }

  private write(sticks: StickPosition, mode: ModeNow): void {
    const sample = this.line(sticks, mode);
    const happened = this.happened;
    this.happened = [];
    const surprised = this.referee.stage.until.is === 'surprise';
    if (this.referee.follow(sample, happened)) this.begin(surprised);
    this.writer.add(sample);
  }

  /** What comes with the part that begins. */
  private begin(surprised: boolean): void {
    const { flight, random } = this;
    const { begins, drawnFrom } = this.referee.stage;
    if (drawnFrom) this.drawnSetting = drawnFrom[Math.floor(drawnFrom.length * random.uniform())]!;
    switch (begins) {
      case 'hold-lost':
        this.holdLost = true;
        break;
      case 'snap-over':
        flight.dropSide(random.uniform() < 0.5 ? 1 : -1, SNAP_S);
        break;
      case 'upset':
        flight.upset(random);
        break;
      case 'return':
        this.goHome();
        return;
      case 'spun':
      case 'carried-off':
      case 'set-back':
        this.putElsewhere(begins);
        break;
      case 'call':
      case undefined:
        break;
    }
    // Written at the line on which it came, so that a log tells it again.
    if (surprised) this.writer.happens(writtenAs(begins), flight.timeS);
  }

  /** Somewhere else, or with its nose elsewhere, as nobody foresees; or back to where the part begins. */
  private putElsewhere(how: 'spun' | 'carried-off' | 'set-back'): void {
    const { flight, random } = this;
    const { px, py, pz } = flight.body;
    const { path, nose } = this.referee.stage;
    if (how === 'set-back') {
      if (path.is === 'segment') flight.carry(...path.from, typeof nose === 'number' ? nose : 0);
      return;
    }
    if (how === 'spun') {
      flight.carry(px, py, pz, 360 * random.uniform());
      return;
    }
    const toward = 2 * Math.PI * random.uniform();
    flight.carry(
      px + CARRIED_M * Math.cos(toward),
      py + 2 + 3 * Math.abs(Math.sin(toward)),
      path.is === 'segment' ? path.to[2] : pz,
      360 * random.uniform(),
    );
  }

  private line(sticks: StickPosition, mode: ModeNow): Sample {
    const { body, acting, timeS, charge } = this.flight;
    return {
      t: timeS,
      x: body.px,
      y: body.py,
      z: body.pz,
      vx: body.vx,
      vy: body.vy,
      vz: body.vz,
      qw: body.qw,
      qx: body.qx,
      qy: body.qy,
      qz: body.qz,
      throttle: sticks.throttle,
      yaw: sticks.yaw,
      pitch: sticks.pitch,
      roll: sticks.roll,
      mode: modeIndex(mode.mode),
      setting: settingIndex(mode.setting),
      relative: mode.pilotHeadingDeg === null ? 0 : 1,
      hold: mode.hold ? 1 : 0,
      battery: charge,
      windX: acting.windX,
      windY: acting.windY,
      windZ: acting.windZ,
    };
  }
}
