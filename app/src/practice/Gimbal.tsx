import { type PointerEvent, useRef, useState } from 'react';
import { View } from 'react-native';
import { themed } from '../ui/theme';
import type { Hand, Hands, Thumb } from './hands';

const SIZE = 150;
const KNOB = 54;
const REACH = (SIZE - KNOB) / 2;

const useStyles = themed((theme) => ({
  plate: { width: SIZE, height: SIZE, borderWidth: 3, borderColor: theme.ink, backgroundColor: theme.shade },
  across: { position: 'absolute', left: 8, right: 8, top: SIZE / 2 - 4, height: 2, backgroundColor: theme.rule },
  upright: { position: 'absolute', top: 8, bottom: 8, left: SIZE / 2 - 4, width: 2, backgroundColor: theme.rule },
  knob: { position: 'absolute', width: KNOB, height: KNOB, borderRadius: KNOB / 2, backgroundColor: theme.ink, left: (SIZE - KNOB) / 2 - 3, top: (SIZE - KNOB) / 2 - 3 },
}));

interface GimbalProps {
  readonly hand: Hand;
  readonly hands: Hands;
  readonly says: string;
  /** Stays up or down where it was let go: a throttle without height hold. */
  readonly stays: boolean;
}

/** One stick under a thumb. */
export function Gimbal({ hand, hands, says, stays }: GimbalProps) {
  const styles = useStyles();
  const [at, setAt] = useState<Thumb>({ across: 0, up: 0 });
  const plate = useRef<HTMLDivElement>(null);
  const to = (thumb: Thumb) => { setAt(thumb); hands.touch(hand, thumb); };
  const held = (event: PointerEvent) => {
    const box = plate.current!.getBoundingClientRect();
    const reach = (from: number) => Math.min(1, Math.max(-1, from / REACH));
    to({ across: reach(event.clientX - box.x - box.width / 2), up: reach(box.y + box.height / 2 - event.clientY) });
  };
  const free = () => to({ across: 0, up: stays ? at.up : 0 });
  return (
    <div
      ref={plate} role="img" aria-label={says} style={{ touchAction: 'none', userSelect: 'none' }}
      onPointerDown={(event) => { event.currentTarget.setPointerCapture(event.pointerId); held(event); }} onPointerMove={(event) => { if (event.buttons > 0) held(event); }} onPointerUp={free} onPointerCancel={free}
    >
      <View style={styles.plate}>
        <View style={styles.across} />
        <View style={styles.upright} />
        <View style={[styles.knob, { transform: [{ translateX: at.across * REACH }, { translateY: -at.up * REACH }] }]} />
      </View>
    </div>
  );
}
