import { MISS_REASONS, type MissReason } from '@skelby/core/clearance/facts';
import { Pressable, View } from 'react-native';
import { Button } from './Button';
import { unlessBounced } from './no-bounce';
import { FONT, themed } from './theme';
import { Words } from './Words';
import { MISS_WORDS } from '../copy/copy';

const useStyles = themed((theme) => ({
  verdicts: { flexDirection: 'row', gap: 12 },
  verdict: {
    flex: 1,
    height: 124,
    alignItems: 'center',
    justifyContent: 'center',
    borderWidth: 4,
    borderColor: theme.ink,
  },
  met: { backgroundColor: theme.ink },
  pressed: { opacity: 0.6 },
  sign: { fontFamily: FONT.bold, fontSize: 40, lineHeight: 46, color: theme.ink },
  word: { fontFamily: FONT.bold, fontSize: 22, lineHeight: 28, color: theme.ink },
  onInk: { color: theme.ground },
  reasons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  reason: { flexBasis: '47%', flexGrow: 1, paddingHorizontal: 8 },
}));

function Verdict({ met, onPress }: { readonly met: boolean; readonly onPress: () => void }) {
  const styles = useStyles();
  const ink = met ? styles.onInk : null;
  return (
    <Pressable
      role="button"
      onPress={unlessBounced(onPress)}
      style={(state) => [styles.verdict, met ? styles.met : null, state.pressed ? styles.pressed : null]}
    >
      <Words style={[styles.sign, ink]} aria-hidden>
        {met ? '✓' : '✕'}
      </Words>
      <Words style={[styles.word, ink]}>{met ? 'Met' : 'Missed'}</Words>
    </Pressable>
  );
}

/** Two halves of the screen's foot, told apart by place, fill and sign; no colour needed. */
export function Verdicts({ onMet, onMissed }: { readonly onMet: () => void; readonly onMissed: () => void }) {
  const styles = useStyles();
  return (
    <View style={styles.verdicts}>
      <Verdict met={false} onPress={onMissed} />
      <Verdict met onPress={onMet} />
    </View>
  );
}

/** The second tap of a miss. */
export function WhyMissed({
  onReason,
  onCancel,
}: {
  readonly onReason: (reason: MissReason | null) => void;
  readonly onCancel: () => void;
}) {
  const styles = useStyles();
  return (
    <View style={{ gap: 8 }}>
      <Words as="strong">Why missed?</Words>
      <View style={styles.reasons}>
        {MISS_REASONS.map((reason) => (
          <Button
            key={reason}
            style={styles.reason}
            label={MISS_WORDS[reason]}
            onPress={unlessBounced(() => onReason(reason))}
          />
        ))}
        <Button
          style={styles.reason}
          kind="quiet"
          label="Not said"
          onPress={unlessBounced(() => onReason(null))}
        />
        <Button style={styles.reason} kind="quiet" label="It was no miss" onPress={unlessBounced(onCancel)} />
      </View>
    </View>
  );
}
