import { axesOf, type StickLayout } from '@skelby/core/vocabulary/flying';
import type { StickPosition } from '@skelby/core/simulator/control/control';
import { View } from 'react-native';
import { themed } from '../ui/theme';

const KNOB_SHARE = 0.36;
/** How far its knob goes from the middle, px. */
export const reachOf = (size: number) => (size * (1 - KNOB_SHARE)) / 2;

const useStyles = themed((theme) => ({
  plate: { borderWidth: 3, borderColor: theme.ink, backgroundColor: theme.shade },
  across: { position: 'absolute', left: 8, right: 8, height: 2, backgroundColor: theme.rule },
  upright: { position: 'absolute', top: 8, bottom: 8, width: 2, backgroundColor: theme.rule },
  knob: { position: 'absolute', backgroundColor: theme.ink },
  pair: { flexDirection: 'row', gap: 12 },
}));

/** Where one stick is, each way from −1 to 1. */
interface StickPlace {
  readonly across: number;
  readonly up: number;
}

/** A stick seen from above, where it is held. */
export function StickFace({ at, size }: { readonly at: StickPlace; readonly size: number }) {
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
