import Feather from '@expo/vector-icons/Feather';
import { type Href, Link, usePathname } from 'expo-router';
import { type ReactNode, useEffect, useRef } from 'react';
import { Pressable, ScrollView, useWindowDimensions, View } from 'react-native';
import { rightOfAddress } from '../api/right-of-address';
import { useMay } from '../api/use-may';
import { themed, TOUCH, useTheme, WIDE } from './theme';
import { useGoBack } from './use-go-back';
import { Words } from './Words';

const useStyles = themed((theme) => ({
  screen: { flex: 1, backgroundColor: theme.ground },
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 4,
    paddingHorizontal: 16,
    paddingTop: 10,
    paddingBottom: 6,
    minHeight: TOUCH,
  },
  back: { width: TOUCH, height: TOUCH, marginLeft: -16, alignItems: 'center', justifyContent: 'center' },
  help: { width: 44, height: TOUCH, marginRight: -10, alignItems: 'center', justifyContent: 'center' },
  titles: { flex: 1 },
  content: { paddingHorizontal: 16, paddingBottom: 32, gap: 22, maxWidth: 1240 },
  columns: { flexDirection: 'row', gap: 40, alignItems: 'flex-start' },
  below: { gap: 22 },
  column: { flex: 1, gap: 22, minWidth: 0 },
  foot: { borderTopWidth: 2, borderTopColor: theme.ink, padding: 12, backgroundColor: theme.ground },
  footIn: { gap: 10 },
  footWide: { maxWidth: 560, paddingLeft: 4 },
}));

export const useIsWide = (): boolean => useWindowDimensions().width >= WIDE;

/** To what the screen is for, and the words on it. */
function HelpLink() {
  const styles = useStyles();
  const theme = useTheme();
  const path = usePathname();
  const may = useMay(rightOfAddress('/help'));
  if (!may || path === '/help') return null;
  return (
    <Link href={`/help?of=${path}`} asChild>
      <Pressable aria-label="Help" style={styles.help}>
        <Feather name="help-circle" size={24} color={theme.ink} />
      </Pressable>
    </Link>
  );
}

interface ScreenProps {
  readonly title: string;
  readonly under?: string;
  /** Where "back" goes when there is no page to go back to. */
  readonly up?: Href;
  readonly children: ReactNode;
  /** A second column on wide screens, below the first on narrow ones. */
  readonly aside?: ReactNode;
  /** The page goes back to its top when this changes: something new is to be read there. */
  readonly topic?: string;
  /** Beside the title: where else this leads. */
  readonly end?: ReactNode;
  /** The main action, kept in the thumb's reach. */
  readonly foot?: ReactNode;
}

export function Screen({ title, under, up, children, aside, topic, end, foot }: ScreenProps) {
  const styles = useStyles();
  const theme = useTheme();
  const goBack = useGoBack(up);
  const wide = useIsWide();
  const page = useRef<ScrollView>(null);
  useEffect(() => {
    page.current?.scrollTo({ y: 0, animated: false });
    // On a low screen the whole page scrolls.
    window.scrollTo?.(0, 0);
  }, [topic]);
  const heading = useRef<HTMLElement>(null);
  useEffect(() => {
    document.title = `${title} · Skelby`;
    // What had the focus has gone with the page before, or led here: whoever reads by ear or keys goes on at its top.
    const active = document.activeElement;
    if (active === document.body || active?.closest('[role="navigation"]'))
      heading.current?.focus({ preventScroll: true });
  }, [title, topic]);
  return (
    <View style={styles.screen} role="main">
      <View style={styles.head}>
        {up ? (
          <Pressable role="button" aria-label="Back" onPress={goBack} style={styles.back}>
            <Feather name="arrow-left" size={28} color={theme.ink} />
          </Pressable>
        ) : null}
        <View style={styles.titles}>
          <Words as="title" focus={heading}>
            {title}
          </Words>
          {under ? <Words as="soft">{under}</Words> : null}
        </View>
        {end}
        <HelpLink />
      </View>
      <ScrollView
        ref={page}
        contentContainerStyle={styles.content}
        keyboardShouldPersistTaps="handled"
        tabIndex={-1}
      >
        {aside ? (
          <View style={wide ? styles.columns : styles.below}>
            <View style={wide ? styles.column : styles.below}>{children}</View>
            <View style={wide ? styles.column : styles.below}>{aside}</View>
          </View>
        ) : (
          children
        )}
      </ScrollView>
      {foot ? (
        <View nativeID="skelby-foot" style={styles.foot}>
          <View style={[styles.footIn, wide ? styles.footWide : null]}>{foot}</View>
        </View>
      ) : null}
    </View>
  );
}

/** A part of a screen under its own heading. */
export function Part({
  heading,
  children,
  end,
}: {
  readonly heading: string;
  readonly children: ReactNode;
  readonly end?: ReactNode;
}) {
  return (
    <View style={{ gap: 8 }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', gap: 12 }}>
        <Words as="heading">{heading}</Words>
        {end}
      </View>
      {children}
    </View>
  );
}
