import Feather from '@expo/vector-icons/Feather';
import { type Href, Link } from 'expo-router';
import { Children, isValidElement, lazy, type ReactNode, Suspense, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { grouped } from '../copy/copy';
import { Button } from './Button';
import { themed, useTheme } from './theme';
import { Words } from './Words';

const useStyles = themed((theme) => ({
  list: { borderTopWidth: 2, borderTopColor: theme.ink },
  row: {
    minHeight: 64,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    paddingVertical: 10,
    borderBottomWidth: 1,
    borderBottomColor: theme.rule,
  },
  pressed: { backgroundColor: theme.shade },
  texts: { flex: 1, minWidth: 0 },
}));

/** Longer lists are drawn where they are looked at only. */
const DRAWN_WHOLE = 100;
const VirtualRows = lazy(async () => ({ default: (await import('./VirtualRows')).VirtualRows }));

interface RowsProps {
  readonly children: ReactNode;
  readonly empty?: string;
  /** So many are drawn until the others are asked for; absent: all. */
  readonly atFirst?: number;
  /** So many there are with those that were not sent; absent: those given. */
  readonly inAll?: number;
  /** Below the list once all that is given is drawn. */
  readonly rest?: ReactNode;
}

export function Rows({ children, empty, atFirst = Infinity, inAll, rest }: RowsProps) {
  const styles = useStyles();
  const [all, setAll] = useState(false);
  const rows = Children.toArray(children);
  if (rows.length === 0) return empty ? <Words as="soft">{empty}</Words> : null;
  // Nobody is asked for the sake of a row or two.
  const isLong = rows.length > atFirst + 2;
  if ((all || !isLong) && rows.length > DRAWN_WHOLE)
    return (
      <View style={styles.list}>
        <Suspense fallback={null}>
          <VirtualRows rows={rows} />
        </Suspense>
        {rest}
      </View>
    );
  const count = grouped(inAll ?? rows.length);
  return (
    <View>
      <View style={styles.list} role="list">
        {(isLong && !all ? rows.slice(0, atFirst) : rows).map((child, i) => (
          <View key={isValidElement(child) ? child.key : i} role="listitem">
            {child}
          </View>
        ))}
      </View>
      {isLong && !all ? (
        <Button
          kind="quiet"
          label={`All ${count}`}
          says={`All ${count} of this list`}
          onPress={() => setAll(true)}
        />
      ) : (
        rest
      )}
    </View>
  );
}

interface RowProps {
  readonly title: string;
  readonly under?: string;
  readonly before?: ReactNode;
  readonly after?: ReactNode;
}

function RowFace({ title, under, before, after, arrow }: RowProps & { readonly arrow: boolean }) {
  const styles = useStyles();
  const theme = useTheme();
  return (
    <>
      {before}
      <View style={styles.texts}>
        <Words as="strong">{title}</Words>
        {under ? <Words as="soft">{under}</Words> : null}
      </View>
      {after}
      {arrow ? <Feather name="chevron-right" size={24} color={theme.ink} aria-hidden /> : null}
    </>
  );
}

export function Row(props: RowProps) {
  const styles = useStyles();
  return (
    <View style={styles.row}>
      <RowFace {...props} arrow={false} />
    </View>
  );
}

export function LinkRow({
  href,
  isHere = false,
  ...props
}: RowProps & {
  readonly href: Href;
  /** Whether it leads to the page that is open. */
  readonly isHere?: boolean;
}) {
  const styles = useStyles();
  return (
    <Link href={href} asChild>
      <Pressable
        style={StyleSheet.flatten([styles.row, isHere ? styles.pressed : null])}
        aria-current={isHere ? 'page' : undefined}
      >
        <RowFace {...props} arrow />
      </Pressable>
    </Link>
  );
}

export function PressRow({ onPress, ...props }: RowProps & { readonly onPress: () => void }) {
  const styles = useStyles();
  return (
    <Pressable
      role="button"
      onPress={onPress}
      style={(state) => [styles.row, state.pressed ? styles.pressed : null]}
    >
      <RowFace {...props} arrow />
    </Pressable>
  );
}
