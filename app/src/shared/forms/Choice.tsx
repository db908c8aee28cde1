import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { type ChosenFrom, NoneYet } from './NoneYet';
import { TextBox } from './TextBox';
import { ACTS_AT_ONCE, stopOf } from '../ui/keys-of-roles';
import { themed, TOUCH } from '../ui/theme';
import { Words } from '../ui/Words';

const useStyles = themed((theme) => ({
  all: { gap: 6 },
  options: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  option: {
    maxWidth: '100%',
    minHeight: TOUCH,
    minWidth: TOUCH,
    paddingHorizontal: 14,
    justifyContent: 'center',
    borderWidth: 2,
    borderColor: theme.ink,
    backgroundColor: theme.ground,
  },
  chosen: { backgroundColor: theme.ink },
  chosenText: { color: theme.ground },
}));

export interface Option<T> {
  readonly value: T;
  readonly label: string;
}

interface ChoiceProps<T> {
  readonly label: string;
  readonly options: readonly Option<T>[];
  readonly value: T | null;
  readonly onChange: (value: T) => void;
  /** The label is said, not shown: the options speak for themselves. */
  readonly quiet?: boolean;
  /** What there would be to choose from: where there is none yet, the way to the first. */
  readonly none?: ChosenFrom | undefined;
  /** Choosing does something at once: by keys it is gone to first, and chosen by Space. */
  readonly acts?: boolean;
}

/** One of a few, all in sight. The chosen one is filled and ticked. */
export function Choice<T extends string | number | boolean>({
  label,
  options,
  value,
  onChange,
  quiet = false,
  acts = false,
  none,
}: ChoiceProps<T>) {
  const styles = useStyles();
  if (none && options.length === 0) return <NoneYet label={label} of={none} />;
  const at = options.findIndex((option) => option.value === value);
  return (
    <View style={styles.all} role="radiogroup" aria-label={label} {...(acts ? ACTS_AT_ONCE : {})}>
      {quiet ? null : <Words as="soft">{label}</Words>}
      <View style={styles.options}>
        {options.map((option, i) => {
          const chosen = i === at;
          return (
            <Pressable
              key={String(option.value)}
              role="radio"
              tabIndex={stopOf(i, at)}
              aria-checked={chosen}
              onPress={() => onChange(option.value)}
              style={[styles.option, chosen ? styles.chosen : null]}
            >
              <Words as="strong" style={chosen ? styles.chosenText : null}>
                {chosen ? `✓ ${option.label}` : option.label}
              </Words>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}

interface ManyChoiceProps<T> {
  readonly label: string;
  readonly options: readonly Option<T>[];
  readonly values: readonly T[];
  readonly none?: ChosenFrom | undefined;
  readonly onChange: (values: readonly T[]) => void;
}

/** Any number of a few. The chosen ones are filled and ticked. */
export function ManyChoice<T extends string>({ label, options, values, onChange, none }: ManyChoiceProps<T>) {
  const styles = useStyles();
  if (none && options.length === 0) return <NoneYet label={label} of={none} />;
  return (
    <View style={styles.all} role="group" aria-label={label}>
      <Words as="soft">{label}</Words>
      <View style={styles.options}>
        {options.map((option) => {
          const chosen = values.includes(option.value);
          const toggle = () =>
            onChange(chosen ? values.filter((each) => each !== option.value) : [...values, option.value]);
          return (
            <Pressable
              key={option.value}
              role="checkbox"
              aria-checked={chosen}
              onPress={toggle}
              style={[styles.option, chosen ? styles.chosen : null]}
            >
              <Words as="strong" style={chosen ? styles.chosenText : null}>
                {chosen ? `✓ ${option.label}` : option.label}
              </Words>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}

const FEW = 12;

/** One of many: a search narrows them down; the chosen one always stays in sight. */
export function LongChoice<T extends string | number | boolean>({
  label,
  options,
  value,
  onChange,
  none,
}: ChoiceProps<T>) {
  const [wanted, setWanted] = useState('');
  if (options.length <= FEW)
    return <Choice label={label} options={options} value={value} onChange={onChange} none={none} />;
  const found = options
    .filter((option) => option.label.toLowerCase().includes(wanted.trim().toLowerCase()))
    .slice(0, FEW);
  const chosen = options.find((option) => option.value === value && !found.includes(option));
  return (
    <View style={{ gap: 10 }}>
      <TextBox
        label={`${label}: find by name`}
        value={wanted}
        onChangeText={setWanted}
        autoCapitalize="none"
      />
      <Choice
        label={`${found.length} of ${options.length} shown`}
        options={chosen ? [chosen, ...found] : found}
        value={value}
        onChange={onChange}
      />
    </View>
  );
}
