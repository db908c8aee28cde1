import type { CheckInWords } from '@skelby/copy/checks';
import { Pressable, View } from 'react-native';
import { useUnits } from '../api/use-units';
import { themed, TOUCH } from '../ui/theme';
import { Words } from '../ui/Words';

const useStyles = themed((theme) => ({
  item: {
    minHeight: TOUCH,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    borderBottomWidth: 1,
    borderBottomColor: theme.rule,
    paddingVertical: 8,
  },
  box: {
    width: 34,
    height: 34,
    borderWidth: 3,
    borderColor: theme.ink,
    alignItems: 'center',
    justifyContent: 'center',
  },
  ticked: { backgroundColor: theme.ink },
  tick: { color: theme.ground, fontSize: 22, lineHeight: 26 },
  words: { flex: 1 },
}));

/** What is known from numbers is as it is; the rest is in order once somebody has looked. */
export const isInOrder = ({ id, go }: Pick<CheckInWords, 'id' | 'go'>, seen: readonly string[]): boolean =>
  go ?? seen.includes(id);

interface CheckRowsProps {
  readonly checks: readonly CheckInWords[];
  /** Ids of what somebody has looked at. */
  readonly seen: readonly string[];
  readonly onToggle: (id: string) => void;
}

/** Things to look at before a flight, each to be ticked or known from numbers. */
export function CheckRows({ checks, seen, onToggle }: CheckRowsProps) {
  const styles = useStyles();
  const { sentence } = useUnits();
  return (
    <View>
      {checks.map((check) => {
        const ok = isInOrder(check, seen);
        return (
          <Pressable
            key={check.id}
            role="checkbox"
            aria-checked={ok}
            disabled={check.go !== null}
            onPress={() => onToggle(check.id)}
            style={styles.item}
          >
            <View style={[styles.box, ok ? styles.ticked : null]} aria-hidden>
              <Words as="strong" style={ok ? styles.tick : null}>
                {ok ? '✓' : check.go === false ? '✗' : ''}
              </Words>
            </View>
            <Words as={check.go === false ? 'strong' : 'body'} style={styles.words}>
              {sentence(check.words)}
            </Words>
          </Pressable>
        );
      })}
    </View>
  );
}
