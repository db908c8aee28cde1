import { radioOf, stopOf } from '../../shared/ui/keys-of-roles';
import {
  isAtLeast,
  RECURRENCE_CLASSES,
  type Likelihood,
  riskOf,
  SEVERITIES,
  type Severity,
} from '@skelby/core/debrief/severity';
import { Pressable, View } from 'react-native';
import { themed, TOUCH } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import { LIKELIHOOD_WORDS, RISK_WORDS, SEVERITY_WORDS } from './severity-copy';

const useStyles = themed((theme) => ({
  row: { flexDirection: 'row', alignItems: 'stretch', borderTopWidth: 1, borderTopColor: theme.rule },
  head: { width: 96, justifyContent: 'center', paddingVertical: 6, paddingRight: 8 },
  small: { fontSize: 14, lineHeight: 19 },
  cell: {
    flex: 1,
    minHeight: TOUCH,
    minWidth: 48,
    alignItems: 'center',
    justifyContent: 'center',
    borderLeftWidth: 2,
    borderLeftColor: theme.ground,
    backgroundColor: theme.shade,
  },
  medium: { borderStyle: 'solid', borderWidth: 2, borderColor: theme.soft },
  high: { borderWidth: 4, borderColor: theme.ink },
  chosen: { backgroundColor: theme.ink },
  chosenText: { color: theme.ground },
  actual: { flex: 1.1 },
  barred: { backgroundColor: theme.ground, borderColor: theme.rule, borderStyle: 'dashed', borderWidth: 1 },
}));

interface SeverityMatrixProps {
  readonly actual: Severity | null;
  readonly potential: Severity | null;
  readonly likelihood: Likelihood | null;
  readonly onActual: (severity: Severity) => void;
  readonly onPotential: (severity: Severity, likelihood: Likelihood) => void;
}

function Heads() {
  const styles = useStyles();
  return (
    <View style={[styles.row, { borderTopWidth: 0 }]}>
      <View style={styles.head} />
      <View style={[styles.head, styles.actual, { width: undefined, alignItems: 'center' }]}>
        <Words as="strong" style={styles.small}>
          It was
        </Words>
      </View>
      {RECURRENCE_CLASSES.map((each) => (
        <View
          key={each}
          style={[styles.head, { flex: 1, width: undefined, paddingRight: 0, alignItems: 'center' }]}
        >
          <Words as="soft" style={styles.small}>
            {LIKELIHOOD_WORDS[each]}
          </Words>
        </View>
      ))}
    </View>
  );
}

interface CouldBeProps {
  readonly severity: Severity;
  readonly likelihood: Likelihood;
  readonly chosen: boolean;
  /** Less than it came to already. */
  readonly barred: boolean;
  /** Keys lead to it; from there to the others. */
  readonly stop: boolean;
  readonly onPress: () => void;
}

/** One square: how bad, how likely, and what risk that is. */
function CouldBe({ severity, likelihood, chosen, barred, stop, onPress }: CouldBeProps) {
  const styles = useStyles();
  const risk = riskOf(severity, likelihood);
  return (
    <Pressable
      role="radio"
      {...radioOf('next time')}
      tabIndex={stop ? 0 : -1}
      aria-checked={chosen}
      disabled={barred}
      aria-disabled={barred}
      aria-label={`It could be: ${SEVERITY_WORDS[severity]}, ${LIKELIHOOD_WORDS[likelihood].toLowerCase()}. Risk ${RISK_WORDS[risk].toLowerCase()}`}
      onPress={onPress}
      style={[
        styles.cell,
        risk === 'medium' ? styles.medium : risk === 'high' ? styles.high : null,
        chosen ? styles.chosen : null,
        barred ? styles.barred : null,
      ]}
    >
      {chosen ? (
        <Words as="strong" style={[styles.small, styles.chosenText]} aria-hidden>
          ✓
        </Words>
      ) : null}
      <Words as="soft" style={[styles.small, chosen ? styles.chosenText : null]}>
        {RISK_WORDS[risk]}
      </Words>
    </Pressable>
  );
}

/**
 * Severity downward; what it came to in the first column, and what it could come to next time, by how likely
 * that is, in the other three.
 */
export function SeverityMatrix({
  actual,
  potential,
  likelihood,
  onActual,
  onPotential,
}: SeverityMatrixProps) {
  const styles = useStyles();
  return (
    <View role="group" aria-label="Severity" style={{ maxWidth: 640 }}>
      <Heads />
      {SEVERITIES.map((severity) => (
        <View key={severity} style={styles.row}>
          <View style={styles.head}>
            <Words as="soft" style={styles.small}>
              {SEVERITY_WORDS[severity]}
            </Words>
          </View>
          <Pressable
            role="radio"
            {...radioOf('it was')}
            tabIndex={stopOf(SEVERITIES.indexOf(severity), actual === null ? -1 : SEVERITIES.indexOf(actual))}
            aria-checked={severity === actual}
            aria-label={`It was: ${SEVERITY_WORDS[severity]}`}
            onPress={() => onActual(severity)}
            style={[styles.cell, styles.actual, severity === actual ? styles.chosen : null]}
          >
            <Words as="strong" style={severity === actual ? styles.chosenText : null}>
              {severity === actual ? '✓' : ''}
            </Words>
          </Pressable>
          {RECURRENCE_CLASSES.map((each) => (
            <CouldBe
              key={each}
              severity={severity}
              likelihood={each}
              chosen={severity === potential && each === likelihood}
              barred={actual !== null && !isAtLeast(severity, actual)}
              stop={
                potential === null || likelihood === null
                  ? severity === (actual ?? SEVERITIES[0]) && each === RECURRENCE_CLASSES[0]
                  : severity === potential && each === likelihood
              }
              onPress={() => onPotential(severity, each)}
            />
          ))}
        </View>
      ))}
    </View>
  );
}
