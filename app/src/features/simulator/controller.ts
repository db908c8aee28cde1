import type { StickShape } from '@skelby/core/simulator/expo';
import type { Axis } from '@skelby/core/vocabulary/flying';
import { keep, kept } from '../../shared/storage/storage';

/**
 * Where one axis of the craft sits on a controller: which of its axes, and its values at one end, at rest and
 * at the other.
 */
export interface AxisAt {
  readonly index: number;
  readonly low: number;
  readonly rest: number;
  readonly high: number;
}

/** What a switch or button of a controller does. */
export const SWITCH_USES = ['again', 'camera', 'hold', 'home', 'rate'] as const;
export type SwitchUse = (typeof SWITCH_USES)[number];

export interface ControllerSetUp {
  readonly axes: Readonly<Record<Axis, AxisAt>>;
  /** Centre-softening of pitch, roll and yaw, 0 to 1. */
  readonly softening: number;
  /** Share of the sticks' travel while the switch for it is on, 0 to 1; absent in a set-up of an older version: all of it. */
  readonly rate?: number;
  /** Of each axis, −1 to 1; absent: none. */
  readonly trims?: Readonly<Partial<Record<Axis, number>>>;
  readonly switches: Readonly<Partial<Record<SwitchUse, number>>>;
}

/** What of a controller is read; the browser's own object has more. */
export interface PadNow {
  /** Where it is plugged in, as the browser counts. */
  readonly index: number;
  readonly id: string;
  readonly axes: readonly number[];
  readonly pressed: readonly boolean[];
}

const DRIFT = 0.04;
const LEAST_SWING = 0.35;
const nameOf = (id: string) => `controller.${id}`;

/**
 * Each device keeps its own set-up on this phone; looked up once, since sticks are read sixty times a second.
 */
const known = new Map<string, ControllerSetUp | null>();
export function keptSetUpOnce(id: string): ControllerSetUp | null {
  const found = known.get(id);
  if (found !== undefined) return found;
  const read = kept<ControllerSetUp>(nameOf(id)) ?? null;
  known.set(id, read);
  return read;
}
export function keepSetUp(id: string, setUp: ControllerSetUp): void {
  known.set(id, setUp);
  keep(nameOf(id), setUp);
}

/** Stick of one axis, −1 to 1, from what the device says. */
export function stickAt({ index, low, rest, high }: AxisAt, axes: readonly number[]): number {
  const raw = axes[index] ?? rest;
  const end = (raw - rest) * (high - rest) >= 0 ? high : low;
  if (Math.abs(end - rest) < 1e-3) return 0;
  const share = Math.min(1, Math.abs((raw - rest) / (end - rest)));
  return share < DRIFT ? 0 : end === high ? share : -share;
}

/** How pitch, roll or yaw is shaped now, by what the switches say. */
export const shapeOf = (
  { softening, rate = 1, trims = {}, switches }: ControllerSetUp,
  axis: Axis,
  pressed: readonly boolean[],
): StickShape => ({
  softening,
  rate: switches.rate !== undefined && pressed[switches.rate] ? rate : 1,
  trim: trims[axis] ?? 0,
});

/** Axis that has been moved farthest from where it rested; null when none has been plainly. */
export function movedAxis(
  resting: readonly number[],
  now: readonly number[],
  taken: readonly number[],
): number | null {
  let best: number | null = null;
  now.forEach((value, i) => {
    const swing = Math.abs(value - (resting[i] ?? 0));
    if (
      !taken.includes(i) &&
      swing > LEAST_SWING &&
      (best === null || swing > Math.abs(now[best]! - (resting[best] ?? 0)))
    )
      best = i;
  });
  return best;
}

/** Order in which a set-up asks, and where each stick is to go. */
export const ASKED: readonly { readonly axis: Axis; readonly high: string; readonly low: string }[] = [
  { axis: 'throttle', high: 'Throttle all the way up', low: 'Throttle all the way down' },
  { axis: 'yaw', high: 'Yaw all the way right', low: 'Yaw all the way left' },
  { axis: 'pitch', high: 'Pitch all the way forward', low: 'Pitch all the way back' },
  { axis: 'roll', high: 'Roll all the way right', low: 'Roll all the way left' },
];

/** All controllers that are plugged in, sticks or not. */
export const padsNow = (): readonly PadNow[] =>
  [...(navigator.getGamepads?.() ?? [])].flatMap((pad) =>
    pad
      ? [
          {
            index: pad.index,
            id: pad.id,
            axes: pad.axes,
            pressed: pad.buttons.map((button) => button.pressed || button.value > 0.5),
          },
        ]
      : [],
  );

interface Picked {
  readonly id: string;
  readonly index: number;
}
const PICKED = 'controller-picked';
let picked: Picked | null | undefined;

/** Flies with this one from now on, and whenever it is plugged in again. */
export function pickPad({ id, index }: PadNow): void {
  picked = { id, index };
  keep(PICKED, picked);
}

/** The one that was picked; else one that has been set up, else the first with two sticks, else the first. */
export function chosenPad(pads: readonly PadNow[]): PadNow | null {
  if (picked === undefined) picked = kept<Picked>(PICKED) ?? null;
  const wanted = picked;
  return (
    pads.find((pad) => pad.id === wanted?.id && pad.index === wanted.index) ??
    pads.find((pad) => pad.id === wanted?.id) ??
    pads.find((pad) => keptSetUpOnce(pad.id) !== null) ??
    pads.find((pad) => pad.axes.length >= ASKED.length) ??
    pads[0] ??
    null
  );
}

/** The controller that flies now. */
export const padNow = (): PadNow | null => chosenPad(padsNow());
