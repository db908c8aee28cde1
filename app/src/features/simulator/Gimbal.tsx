import { type PointerEvent, useEffect, useRef, useState } from 'react';
import { reachOf, StickFace } from '../../shared/field/SticksHeld';
import type { Hand, Hands, Thumb } from './hands';

interface GimbalProps {
  readonly hand: Hand;
  readonly hands: Hands;
  readonly says: string;
  /** Stays up or down where it was let go: a throttle without height hold. */
  readonly stays: boolean;
  readonly size: number;
}

/** One stick under a thumb. */
export function Gimbal({ hand, hands, says, stays, size }: GimbalProps) {
  const [at, setAt] = useState<Thumb>(() => hands.touched(hand));
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
  const free = () => to({ across: 0, up: stays ? at.up : 0 });
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
