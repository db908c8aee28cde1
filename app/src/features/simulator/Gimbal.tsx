import type { Axis } from '@skelby/core/vocabulary/flying';
import { type PointerEvent, type RefObject, useEffect, useRef, useState } from 'react';
import { reachOf, StickFace } from '../../shared/field/SticksHeld';
import type { Hand, Hands, Thumb } from './hands';

interface GimbalProps {
  readonly hand: Hand;
  readonly hands: Hands;
  readonly says: string;
  /** Stays up or down where it was let go: a throttle without height hold. */
  readonly stays: boolean;
  readonly size: number;
  /** What it moves, up and across. */
  readonly moves: { readonly vertical: Axis; readonly horizontal: Axis };
}

/** Less than this nobody sees. */
const SEEN = 0.01;

/** Where keys, a controller or the phone's tilt hold it, while no thumb does. */
function useHeldElsewhere(
  { hands, moves: { vertical, horizontal } }: GimbalProps,
  isUnderThumb: RefObject<boolean>,
  show: (at: Thumb) => void,
): void {
  const latest = useRef(show);
  latest.current = show;
  useEffect(() => {
    let frame = 0;
    let shown: Thumb | null = null;
    const look = () => {
      frame = requestAnimationFrame(look);
      if (isUnderThumb.current) return;
      const sticks = hands.read();
      const [across, up] = [sticks[horizontal], sticks[vertical]];
      if (shown && Math.abs(across - shown.across) < SEEN && Math.abs(up - shown.up) < SEEN) return;
      shown = { across, up };
      latest.current(shown);
    };
    look();
    return () => cancelAnimationFrame(frame);
  }, [hands, vertical, horizontal, isUnderThumb]);
}

/** One stick under a thumb. */
export function Gimbal(props: GimbalProps) {
  const { hand, hands, says, stays, size } = props;
  const isUnderThumb = useRef(false);
  const [at, setAt] = useState<Thumb>(() => hands.touched(hand));
  useHeldElsewhere(props, isUnderThumb, setAt);
  const plate = useRef<HTMLDivElement>(null);
  const to = (thumb: Thumb) => {
    setAt(thumb);
    hands.touch(hand, thumb);
  };
  const held = (event: PointerEvent) => {
    const box = plate.current!.getBoundingClientRect();
    const reach = (from: number) => Math.min(1, Math.max(-1, from / reachOf(size)));
    to({
      across: reach(event.clientX - box.x - box.width / 2),
      up: reach(box.y + box.height / 2 - event.clientY),
    });
  };
  const free = () => {
    isUnderThumb.current = false;
    to({ across: 0, up: stays ? at.up : 0 });
  };
  const stayed = useRef(stays);
  stayed.current = stays;
  // Taken off the screen under a thumb, it is let go: nothing will say so later.
  useEffect(
    () => () => hands.place(hand, { across: 0, up: stayed.current ? hands.touched(hand).up : 0 }),
    [hand, hands],
  );
  return (
    <div
      ref={plate}
      role="img"
      aria-label={says}
      style={{ touchAction: 'none', userSelect: 'none' }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        isUnderThumb.current = true;
        held(event);
      }}
      onPointerMove={(event) => {
        if (event.buttons > 0) held(event);
      }}
      onPointerUp={free}
      onPointerCancel={free}
    >
      <StickFace at={at} size={size} />
    </div>
  );
}
