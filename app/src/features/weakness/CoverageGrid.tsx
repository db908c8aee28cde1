import { useDrills } from '../../shared/api/use-drills';
import type { Clearance } from '@skelby/core/clearance/clearance';
import type { CoverageCell } from '@skelby/core/clearance/coverage';
import { View } from 'react-native';
import { themed } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import { BAND_WORDS, SIDE_WORDS } from '../../shared/copy/copy';

const useStyles = themed((theme) => ({
  cells: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  cell: { borderWidth: 2, borderColor: theme.ink, paddingHorizontal: 10, paddingVertical: 6, minWidth: 88 },
  shown: { backgroundColor: theme.ink },
  onInk: { color: theme.ground },
}));

const WHAT_WORDS = { craft: 'On the craft', 'as-flown': 'Hold on, as usual' } as const;

const nameOf = ({ what }: CoverageCell): string =>
  typeof what === 'string'
    ? WHAT_WORDS[what]
    : 'side' in what
      ? SIDE_WORDS[what.side]
      : `${BAND_WORDS[what.band]} wind`;

/** Where each deciding drill has been shown on the craft, and where not yet. */
export function CoverageGrid({ clearance }: { readonly clearance: Clearance }) {
  const { drillOf } = useDrills();
  const styles = useStyles();
  const drills = [...new Set(clearance.coverage.map((cell) => cell.drillId))];
  return (
    <View style={{ gap: 12 }}>
      {drills.map((drillId) => (
        <View
          key={drillId}
          style={{ gap: 6 }}
          role="list"
          aria-label={`Coverage of ${drillOf(drillId).name}`}
        >
          <Words as="strong">{drillOf(drillId).name}</Words>
          <View style={styles.cells}>
            {clearance.coverage
              .filter((cell) => cell.drillId === drillId)
              .map((cell) => (
                <View
                  key={nameOf(cell)}
                  role="listitem"
                  style={[styles.cell, cell.shown ? styles.shown : null]}
                >
                  <Words
                    style={cell.shown ? styles.onInk : null}
                  >{`${cell.shown ? '✓' : '–'} ${nameOf(cell)}`}</Words>
                </View>
              ))}
          </View>
        </View>
      ))}
    </View>
  );
}
