import { type CraftRecord, craftFacts } from '@skelby/core/flying/craft-facts';
import type { ModeNow, StickNow } from '@skelby/core/flight/control';
import { craftModel } from '@skelby/core/flight/craft-model';
import { type Ended, Flight, type Scene, type Start, STEP_S } from '@skelby/core/flight/flight';

/** Starts anew. */
export interface ToStart {
  readonly do: 'start';
  readonly craft: CraftRecord;
  readonly scene: Scene;
  readonly start: Start;
  readonly seed: number;
}

/** Flies on for as long as the page's last frame took. */
export interface ToFly {
  readonly do: 'fly';
  readonly sticks: StickNow;
  readonly mode: ModeNow;
  readonly seconds: number;
}

/** Where the craft is, for drawing. */
export interface Shown {
  readonly position: readonly [number, number, number];
  readonly velocity: readonly [number, number, number];
  /** Body to world: w, x, y, z. */
  readonly attitude: readonly [number, number, number, number];
  readonly timeS: number;
  readonly charge: number;
  readonly wash: number;
  readonly wind: readonly [number, number, number];
  readonly landed: boolean;
  readonly ended: Ended;
  /** What the physics of this frame took, ms. */
  readonly workMs: number;
}

/** A page that stood still does not make the craft jump. */
const LONGEST_S = 0.1;

let flight: Flight | null = null;
let owed = 0;

function shown({ body, acting, timeS, charge, wash, landed, ended }: Flight, workMs: number): Shown {
  return {
    position: [body.px, body.py, body.pz], velocity: [body.vx, body.vy, body.vz], attitude: [body.qw, body.qx, body.qy, body.qz], timeS, charge, wash,
    wind: [acting.windX, acting.windY, acting.windZ], landed, ended, workMs,
  };
}

self.onmessage = ({ data }: MessageEvent<ToStart | ToFly>) => {
  const began = performance.now();
  if (data.do === 'start') {
    flight = new Flight(craftModel(craftFacts(data.craft)), data.scene, data.start, data.seed);
    owed = 0;
  } else if (flight) {
    owed += Math.min(LONGEST_S, data.seconds);
    for (; owed >= STEP_S; owed -= STEP_S) flight.step(data.sticks, data.mode);
  }
  if (flight) self.postMessage(shown(flight, performance.now() - began));
};
