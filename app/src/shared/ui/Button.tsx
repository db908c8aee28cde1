import Feather from '@expo/vector-icons/Feather';
import { type Href, Link } from 'expo-router';
import type { ComponentProps } from 'react';
import {
  type GestureResponderEvent,
  Pressable,
  type StyleProp,
  StyleSheet,
  View,
  type ViewStyle,
} from 'react-native';
import { rightOfAddress } from '../api/right-of-address';
import { useMay } from '../api/use-may';
import { themed, TOUCH, useTheme } from './theme';
import { Words } from './Words';

export type IconName = ComponentProps<typeof Feather>['name'];

const useStyles = themed((theme) => ({
  base: {
    maxWidth: '100%',
    minHeight: TOUCH,
    paddingHorizontal: 18,
    paddingVertical: 10,
    borderWidth: 2,
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'center',
    gap: 10,
  },
  main: { minHeight: 64, backgroundColor: theme.accent, borderColor: theme.accent },
  plain: { backgroundColor: theme.ground, borderColor: theme.ink },
  solid: { backgroundColor: theme.ink, borderColor: theme.ink },
  quiet: { borderColor: 'transparent', justifyContent: 'flex-start', paddingHorizontal: 0 },
  pressed: { opacity: 0.7 },
  // Readable all the same: it often says what is missing.
  disabled: { backgroundColor: theme.ground, borderStyle: 'dashed', borderColor: theme.rule },
  label: { flexShrink: 1, textAlign: 'center' },
  quietLabel: { textDecorationLine: 'underline', textAlign: 'left' },
}));

export interface ButtonLook {
  readonly label: string;
  /** `main`: the screen's one main action. `solid` and `plain`: other actions. `quiet`: seldom needed. */
  readonly kind?: 'main' | 'solid' | 'plain' | 'quiet';
  readonly icon?: IconName;
  /** For a choice made with a glove on. */
  readonly large?: boolean;
  readonly style?: StyleProp<ViewStyle>;
}

interface ButtonProps extends ButtonLook {
  readonly onPress: (event: GestureResponderEvent) => void;
  readonly disabled?: boolean;
  readonly pressed?: boolean;
  /** Said instead of the label where the label alone does not say which. */
  readonly says?: string;
}

function Face({
  label,
  kind = 'plain',
  icon,
  large = false,
  disabled = false,
}: ButtonLook & { readonly disabled?: boolean }) {
  const styles = useStyles();
  const theme = useTheme();
  const ink = disabled
    ? theme.soft
    : kind === 'main'
      ? theme.onAccent
      : kind === 'solid'
        ? theme.ground
        : theme.ink;
  return (
    <>
      {icon ? <Feather name={icon} size={22} color={ink} aria-hidden /> : null}
      {label === '' ? null : (
        <Words
          as={large ? 'large' : 'strong'}
          style={[styles.label, kind === 'quiet' ? styles.quietLabel : null, { color: ink }]}
        >
          {label}
        </Words>
      )}
    </>
  );
}

export function Button({ onPress, disabled = false, pressed, says, style, ...look }: ButtonProps) {
  const styles = useStyles();
  return (
    <Pressable
      role="button"
      onPress={onPress}
      disabled={disabled}
      aria-disabled={disabled}
      aria-pressed={pressed}
      aria-label={says}
      style={(state) => [
        styles.base,
        styles[look.kind ?? 'plain'],
        state.pressed ? styles.pressed : null,
        disabled ? styles.disabled : null,
        style,
      ]}
    >
      <Face {...look} disabled={disabled} />
    </Pressable>
  );
}

/**
 * Looks like a button and goes somewhere; whoever may do nothing there is not shown it. The style is flat, since a link
 * hands it on merged with its own.
 */
export function LinkButton({ href, style, ...look }: ButtonLook & { readonly href: Href }) {
  const styles = useStyles();
  const may = useMay(rightOfAddress(typeof href === 'string' ? href : href.pathname));
  if (!may) return null;
  return (
    <Link href={href} asChild>
      <Pressable style={StyleSheet.flatten([styles.base, styles[look.kind ?? 'plain'], style])}>
        <Face {...look} />
      </Pressable>
    </Link>
  );
}

/** Buttons side by side that wrap when the words are long. */
export function ButtonRow({ children }: { readonly children: React.ReactNode }) {
  return <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>{children}</View>;
}
