import Feather from '@expo/vector-icons/Feather';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import type { IconName } from './Button';
import { themed, useTheme } from './theme';
import { Words } from './Words';

const useStyles = themed((theme) => ({
  note: {
    flexDirection: 'row',
    gap: 12,
    borderLeftWidth: 10,
    borderLeftColor: theme.ink,
    backgroundColor: theme.shade,
    padding: 14,
  },
  danger: { borderLeftColor: theme.accent },
  texts: { flex: 1, gap: 4, minWidth: 0 },
}));

interface NoteProps {
  readonly heading?: string;
  readonly children: ReactNode;
  readonly icon?: IconName;
  readonly danger?: boolean;
  readonly live?: boolean;
}

/** Something to take in before going on. */
export function Note({ heading, children, icon = 'info', danger = false, live = false }: NoteProps) {
  const styles = useStyles();
  const theme = useTheme();
  return (
    <View style={[styles.note, danger ? styles.danger : null]} role={live ? 'status' : 'note'}>
      <Feather name={icon} size={24} color={danger ? theme.accent : theme.ink} aria-hidden />
      <View style={styles.texts}>
        {heading ? <Words as="strong">{heading}</Words> : null}
        {typeof children === 'string' ? <Words>{children}</Words> : children}
      </View>
    </View>
  );
}
