import { isChoosing } from '../../shared/ui/keys-of-roles';
import { expoCurve, shapedStick } from '@skelby/core/simulator/expo';
import { axesOf, type Axis, type StickLayout } from '@skelby/core/vocabulary/flying';
import type { StickPosition } from '@skelby/core/simulator/control/control';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { type ControllerSetUp, keptSetUpOnce, type PadNow, padNow, shapeOf, stickAt } from './controller';
import type { Tilt } from './tilt';

/** Where one thumb holds its stick, −1 to 1: right and up positive. */
export interface Thumb {
  readonly across: number;
  readonly up: number;
}
export type Hand = 'left' | 'right';

const KEYS: Readonly<Record<string, { readonly hand: Hand; readonly across: number; readonly up: number }>> =
  {
    KeyW: { hand: 'left', across: 0, up: 1 },
    KeyS: { hand: 'left', across: 0, up: -1 },
    KeyA: { hand: 'left', across: -1, up: 0 },
    KeyD: { hand: 'left', across: 1, up: 0 },
    ArrowUp: { hand: 'right', across: 0, up: 1 },
    ArrowDown: { hand: 'right', across: 0, up: -1 },
    ArrowLeft: { hand: 'right', across: -1, up: 0 },
    ArrowRight: { hand: 'right', across: 1, up: 0 },
  };
/** A key is not a thumb: it moves the stick this far. */
const KEY_TRAVEL = 0.6;
/**
 * Gimbals of a game controller as the standard mapping of the Gamepad API has them, until it is set up
 * otherwise.
 */
const PAD_AXES: Readonly<Record<Hand, readonly [number, number]>> = { left: [0, 1], right: [2, 3] };
const DRIFT = 0.06;
/** So far a controller's throttle is moved on purpose. */
const PAD_MOVES = 0.1;
const CENTRE: Thumb = { across: 0, up: 0 };

/** What both hands hold, by axis of the craft. */
export function sticksOf(layout: StickLayout, left: Thumb, right: Thumb): StickPosition {
  const axes = axesOf(layout);
  const of: Record<Axis, number> = { throttle: 0, yaw: 0, pitch: 0, roll: 0 };
  of[axes.left.vertical] = left.up;
  of[axes.left.horizontal] = left.across;
  of[axes.right.vertical] = right.up;
  of[axes.right.horizontal] = right.across;
  return of;
}

const stronger = (a: number, b: number): number => (Math.abs(a) >= Math.abs(b) ? a : b);
const added = (a: number, b: number): number => Math.max(-1, Math.min(1, a + b));
const eachAxis = (of: (axis: Axis) => number): StickPosition => ({
  throttle: of('throttle'),
  yaw: of('yaw'),
  pitch: of('pitch'),
  roll: of('roll'),
});

/** A controller as it comes: the standard mapping, by hands. */
function unsetThumb(pad: PadNow, hand: Hand): Thumb {
  if (pad.axes.length < 4) return CENTRE;
  const [x, y] = PAD_AXES[hand];
  const past = (value: number) => (Math.abs(value) < DRIFT ? 0 : value);
  return { across: past(pad.axes[x] ?? 0), up: past(-(pad.axes[y] ?? 0)) };
}

/** A controller that has been set up: by axes of the craft. */
function setSticks(pad: PadNow, setUp: ControllerSetUp): StickPosition {
  return eachAxis((axis) => {
    const stick = stickAt(setUp.axes[axis], pad.axes);
    return axis === 'throttle' ? stick : shapedStick(stick, shapeOf(setUp, axis, pad.pressed));
  });
}

const heldOn = (pad: PadNow, setUp: ControllerSetUp | null, layout: StickLayout): StickPosition =>
  setUp ? setSticks(pad, setUp) : sticksOf(layout, unsetThumb(pad, 'left'), unsetThumb(pad, 'right'));

/**
 * Whose throttle counts, the thumb's on the screen or the controller's: both stay where they were left, so it
 * is whichever was moved last. A controller that has been set up is there to be flown with.
 */
export class ThrottleFrom {
  private last: number | null = null;
  private isPad = false;

  /** @param pad throttle of the controller now, null without one. @returns whether it is the controller's */
  look(pad: number | null, isSetUp: boolean): boolean {
    if (pad === null) {
      this.last = null;
      this.isPad = false;
      return false;
    }
    if (this.last === null) this.isPad = isSetUp;
    this.last ??= pad;
    if (Math.abs(pad - this.last) > PAD_MOVES) {
      this.isPad = true;
      this.last = pad;
    }
    return this.isPad;
  }
  /** The thumb took its own. */
  touched(): void {
    this.isPad = false;
  }
}

/** Something is typed, or one came to a choice by keys, and goes on there. */
const isOfTheForm = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement || isChoosing(target);

/** The keys that are down. @returns what they hold of one hand's stick */
function useKeys(): (hand: Hand) => Thumb {
  const pressed = useRef(new Set<string>());
  useEffect(() => {
    const down = (event: KeyboardEvent) => {
      if (!KEYS[event.code] || isOfTheForm(event.target)) return;
      pressed.current.add(event.code);
      event.preventDefault();
    };
    const up = (event: KeyboardEvent) => pressed.current.delete(event.code);
    const gone = () => pressed.current.clear();
    // Before whatever had the focus last: it flies, and chooses nothing.
    window.addEventListener('keydown', down, { capture: true });
    window.addEventListener('keyup', up);
    window.addEventListener('blur', gone);
    return () => {
      window.removeEventListener('keydown', down, { capture: true });
      window.removeEventListener('keyup', up);
      window.removeEventListener('blur', gone);
    };
  }, []);
  return useCallback((hand) => {
    let [across, up] = [0, 0];
    for (const code of pressed.current) {
      const key = KEYS[code]!;
      if (key.hand === hand) {
        across += key.across * KEY_TRAVEL;
        up += key.up * KEY_TRAVEL;
      }
    }
    return { across, up };
  }, []);
}

/**
 * Touch, keys, the phone's tilt and a controller, whichever moves a stick farther; keys move a throttle from
 * where the thumb left it.
 */
export function useHands(layout: StickLayout, tilt: Tilt) {
  const touched = useRef<Record<Hand, Thumb>>({ left: CENTRE, right: CENTRE });
  const keyed = useKeys();
  const softening = useRef(0);
  const [from] = useState(() => new ThrottleFrom());
  return useMemo(() => {
    const place = (hand: Hand, at: Thumb) => {
      touched.current[hand] = at;
    };
    return {
      /** A thumb moves its stick. */
      touch: (hand: Hand, at: Thumb) => {
        place(hand, at);
        from.touched();
      },
      /** Puts a stick somewhere without anybody's doing. */
      place,
      touched: (hand: Hand): Thumb => touched.current[hand],
      /** Both thumbs off. @param throttle where it stands, −1 to 1 */
      rest: (throttle: number) => {
        const of = (vertical: Axis): Thumb => ({ across: 0, up: vertical === 'throttle' ? throttle : 0 });
        const axes = axesOf(layout);
        touched.current = { left: of(axes.left.vertical), right: of(axes.right.vertical) };
      },
      /** The drill asks for softer sticks. */
      soften: (share: number) => {
        softening.current = share;
      },
      read: (): StickPosition => {
        const pad = padNow();
        const setUp = pad ? keptSetUpOnce(pad.id) : null;
        const thumbs = sticksOf(layout, touched.current.left, touched.current.right);
        const keys = sticksOf(layout, keyed('left'), keyed('right'));
        const held = pad && heldOn(pad, setUp, layout);
        const leaned = tilt.read();
        const padThrottle = from.look(held?.throttle ?? null, setUp !== null);
        return eachAxis((axis) => {
          if (axis === 'throttle')
            return padThrottle && held
              ? stronger(keys.throttle, held.throttle)
              : added(thumbs.throttle, keys.throttle);
          return expoCurve(
            stronger(stronger(added(thumbs[axis], keys[axis]), held?.[axis] ?? 0), leaned?.[axis] ?? 0),
            softening.current,
          );
        });
      },
    };
  }, [layout, tilt, from, keyed]);
}
export type Hands = ReturnType<typeof useHands>;
