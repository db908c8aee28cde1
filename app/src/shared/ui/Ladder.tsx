import { type RungId, RUNGS } from '@skelby/core/clearance/rungs';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { themed } from './theme';
import { Words } from './Words';

/** The five rungs of clearance: two rails, and rungs that fill from the bottom up. */

export const RUNG_NAMES: Readonly<Record<RungId, string>> = {
  test: 'Test',
  coverage: 'Sides and winds',
  days: 'Days',
  kept: 'Check',
  signed: 'Signed',
};

const useStyles = themed((theme) => ({
  small: {
    width: 44,
    borderLeftWidth: 4,
    borderRightWidth: 4,
    borderColor: theme.ink,
    paddingVertical: 4,
    gap: 5,
  },
  smallRung: { height: 5, backgroundColor: theme.shade },
  // A border, since a forced palette keeps no background.
  fill: { borderColor: theme.ink },
  smallFill: { borderTopWidth: 5 },
  largeFill: { borderTopWidth: 12 },
  large: { borderLeftWidth: 0 },
  step: { flexDirection: 'row', minHeight: 66 },
  rails: {
    width: 64,
    borderLeftWidth: 7,
    borderRightWidth: 7,
    borderColor: theme.ink,
    justifyContent: 'center',
  },
  rung: {
    height: 16,
    backgroundColor: theme.shade,
    borderTopWidth: 2,
    borderBottomWidth: 2,
    borderColor: theme.ink,
  },
  words: { flex: 1, paddingLeft: 16, paddingVertical: 8, justifyContent: 'center', minWidth: 0 },
}));

const widthOf = (share: number) => `${Math.round(Math.min(1, Math.max(0, share)) * 100)}%` as const;

/** @param shares how full each rung is, test first */
export function SmallLadder({ shares }: { readonly shares: readonly number[] }) {
  const styles = useStyles();
  const met = shares.filter((share) => share >= 1).length;
  return (
    <View style={styles.small} role="img" aria-label={`${met} of ${RUNGS.length} steps`}>
      {[...shares].reverse().map((share, i) => (
        <View key={RUNGS[RUNGS.length - 1 - i]} style={styles.smallRung}>
          <View style={[styles.fill, styles.smallFill, { width: widthOf(share) }]} />
        </View>
      ))}
    </View>
  );
}

export interface LargeRung {
  readonly id: RungId;
  readonly share: number;
  readonly met: boolean;
  /** What is there and what is missing, in words. */
  readonly words: ReactNode;
}

export function LargeLadder({ rungs }: { readonly rungs: readonly LargeRung[] }) {
  const styles = useStyles();
  return (
    <View role="list" aria-label="Steps to clearance">
      {[...rungs].reverse().map((rung) => (
        <View key={rung.id} style={styles.step} role="listitem">
          <View style={styles.rails}>
            <View style={styles.rung}>
              <View style={[styles.fill, styles.largeFill, { width: widthOf(rung.share) }]} />
            </View>
          </View>
          <View style={styles.words}>
            <Words as="strong">{`${RUNG_NAMES[rung.id]}${rung.met ? ' ✓' : ''}`}</Words>
            <Words as="soft">{rung.words}</Words>
          </View>
        </View>
      ))}
    </View>
  );
}
