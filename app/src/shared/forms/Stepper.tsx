import { useId, useState } from 'react';
import { Pressable, TextInput, View } from 'react-native';
import { FONT, themed, TOUCH } from '../ui/theme';
import { Words } from '../ui/Words';

const useStyles = themed((theme) => ({
  all: { gap: 6 },
  row: { flexDirection: 'row', alignItems: 'stretch', maxWidth: 340 },
  step: {
    width: 64,
    minHeight: TOUCH,
    borderWidth: 2,
    borderColor: theme.ink,
    alignItems: 'center',
    justifyContent: 'center',
    backgroundColor: theme.shade,
  },
  pressed: { backgroundColor: theme.rule },
  sign: { fontSize: 28, lineHeight: 32 },
  box: {
    flex: 1,
    minWidth: 0,
    flexDirection: 'row',
    alignItems: 'center',
    borderTopWidth: 2,
    borderBottomWidth: 2,
    borderColor: theme.ink,
    backgroundColor: theme.ground,
    paddingRight: 12,
  },
  input: {
    flex: 1,
    minWidth: 0,
    minHeight: TOUCH,
    paddingHorizontal: 12,
    fontFamily: FONT.bold,
    fontVariant: ['tabular-nums'],
    fontSize: 24,
    color: theme.ink,
    textAlign: 'right',
  },
}));

interface StepperProps {
  readonly label: string;
  readonly unit: string;
  /** null while nothing readable stands in the box. */
  readonly value: number | null;
  readonly step: number;
  readonly least: number;
  readonly most: number;
  readonly onChange: (value: number | null) => void;
  readonly hideLabel?: boolean;
  readonly error?: string | undefined;
}

const places = (step: number) => (step >= 1 ? 0 : step >= 0.1 ? 1 : 2);
const shown = (value: number | null, step: number) =>
  value === null ? '' : String(Number(value.toFixed(Math.max(1, places(step)))));

/** A number by big steps or by keyboard. */
export function Stepper({
  label,
  unit,
  value,
  step,
  least,
  most,
  onChange,
  hideLabel = false,
  error,
}: StepperProps) {
  const styles = useStyles();
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const by = (steps: number) => {
    setTyped(null);
    const next = (value ?? least) + steps * step;
    onChange(Math.min(most, Math.max(least, Number((Math.round(next / step) * step).toFixed(3)))));
  };
  const type = (text: string) => {
    setTyped(text);
    const number = Number(text.replace(',', '.'));
    onChange(text.trim() === '' || Number.isNaN(number) ? null : number);
  };
  return (
    <View style={styles.all}>
      <Words as="soft" nativeID={id} style={hideLabel ? { display: 'none' } : null}>
        {label}
      </Words>
      <View style={styles.row}>
        <Pressable
          role="button"
          aria-label={`${label}: less`}
          onPress={() => by(-1)}
          style={(state) => [styles.step, state.pressed ? styles.pressed : null]}
        >
          <Words as="strong" style={styles.sign}>
            −
          </Words>
        </Pressable>
        <View style={styles.box}>
          <TextInput
            aria-label={label}
            value={typed ?? shown(value, step)}
            onChangeText={type}
            onBlur={() => setTyped(null)}
            inputMode="decimal"
            style={styles.input}
            aria-invalid={error ? true : undefined}
          />
          <Words as="strong">{unit}</Words>
        </View>
        <Pressable
          role="button"
          aria-label={`${label}: more`}
          onPress={() => by(1)}
          style={(state) => [styles.step, state.pressed ? styles.pressed : null]}
        >
          <Words as="strong" style={styles.sign}>
            +
          </Words>
        </Pressable>
      </View>
      {error ? <Words as="strong" role="alert">{`! ${error}`}</Words> : null}
    </View>
  );
}
