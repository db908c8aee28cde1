import { axesOf, type StickLayout } from '@skelby/core/vocabulary/flying';
import type { StickPosition } from '@skelby/core/simulator/control/control';
import { type PointerEvent, useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { themed } from '../../shared/ui/theme';
import type { Hand, Hands, Thumb } from './hands';

const KNOB_SHARE = 0.36;
const reachOf = (size: number) => (size * (1 - KNOB_SHARE)) / 2;

const useStyles = themed((theme) => ({
  plate: { borderWidth: 3, borderColor: theme.ink, backgroundColor: theme.shade },
  across: { position: 'absolute', left: 8, right: 8, height: 2, backgroundColor: theme.rule },
  upright: { position: 'absolute', top: 8, bottom: 8, width: 2, backgroundColor: theme.rule },
  knob: { position: 'absolute', backgroundColor: theme.ink },
  pair: { flexDirection: 'row', gap: 12 },
}));

/** A stick seen from above, where it is held. */
function StickFace({ at, size }: { readonly at: Thumb; readonly size: number }) {
  const styles = useStyles();
  const knob = size * KNOB_SHARE;
  const rest = (size - knob) / 2 - 3;
  const reach = reachOf(size);
  return (
    <View style={[styles.plate, { width: size, height: size }]}>
      <View style={[styles.across, { top: size / 2 - 4 }]} />
      <View style={[styles.upright, { left: size / 2 - 4 }]} />
      <View
        style={[
          styles.knob,
          {
            width: knob,
            height: knob,
            borderRadius: knob / 2,
            left: rest,
            top: rest,
            transform: [{ translateX: at.across * reach }, { translateY: -at.up * reach }],
          },
        ]}
      />
    </View>
  );
}

/** Both sticks as they were held. */
export function SticksHeld({
  layout,
  sticks,
  size,
}: {
  readonly layout: StickLayout;
  readonly sticks: StickPosition;
  readonly size: number;
}) {
  const styles = useStyles();
  const { left, right } = axesOf(layout);
  return (
    <View style={styles.pair} role="img" aria-label="Sticks as they were held">
      {[left, right].map(({ vertical, horizontal }, i) => (
        <StickFace key={i} at={{ across: sticks[horizontal], up: sticks[vertical] }} size={size} />
      ))}
    </View>
  );
}

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
