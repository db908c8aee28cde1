import { View } from 'react-native';
import { themed } from '../ui/theme';
import { Words } from '../ui/Words';

const useStyles = themed(() => ({ line: { flexDirection: 'row', alignItems: 'center', gap: 12 } }));

interface MomentProps {
  readonly begin: number;
  readonly end: number;
  readonly t: number;
  readonly onMove: (t: number) => void;
}

/** The moment of a flight that is shown, to be moved. */
export function MomentSlider({ begin, end, t, onMove }: MomentProps) {
  const styles = useStyles();
  return (
    <View style={styles.line}>
      <input
        type="range"
        aria-label="Moment of the flight"
        min={begin}
        max={end}
        step={0.05}
        value={t}
        onChange={(event) => onMove(Number(event.target.value))}
        style={{ flex: 1, height: 44, accentColor: 'currentColor' }}
      />
      <Words as="figure">{`${(t - begin).toFixed(1)} s`}</Words>
    </View>
  );
}
