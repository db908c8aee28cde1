import Feather from '@expo/vector-icons/Feather';
import { useQueryClient } from '@tanstack/react-query';
import { type Href, Link, Redirect, Slot, usePathname, useRouter } from 'expo-router';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { PilotsBeside } from '../features/pilots/Pilots';
import { TodayBeside } from '../features/today/Today';
import { Pressable, ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { readAnewOnChange } from '../offline/live';
import { keepPrefetching } from '../offline/prefetch/prefetch';
import { OfflineStrip } from '../offline/ui/OfflineStrip';
import { DrillBookProvider } from '../shared/api/use-drills';
import { rightOfAddress } from '../shared/api/right-of-address';
import { useMay } from '../shared/api/use-may';
import { useWho } from '../shared/api/use-who';
import { useBook } from '../offline/overlay/use-book';
import { askToKeep } from '../shared/storage/room';
import { outbox, useOutbox } from '../offline/outbox/use-outbox';
import { filesWaiting } from '../offline/flight-files/files-waiting';
import { FilesWaiting, loadArithmetic, SandboxStrip } from '../lazy';
import type { IconName } from '../shared/ui/Button';
import { Loaded } from '../shared/ui/Loaded';
import { Note } from '../shared/ui/Note';
import { Screen, useIsWide } from '../shared/ui/Screen';
import { listenForShortcuts } from '../shared/ui/shortcuts';
import { themed, TOUCH, useTheme } from '../shared/ui/theme';
import { Words } from '../shared/ui/Words';
import { useMe } from '../offline/account-queries';
import { UndoPlace } from './UndoPlace';

const PLACES: readonly {
  readonly href: Href;
  readonly label: string;
  readonly icon: IconName;
  readonly owns: RegExp;
}[] = [
  { href: '/', label: 'Today', icon: 'sunrise', owns: /^\/$|^\/(log|occurrence|weakness|waiting|session)/ },
  { href: '/pilots', label: 'Pilots', icon: 'users', owns: /^\/pilots/ },
  { href: '/drills', label: 'Drills', icon: 'target', owns: /^\/drills/ },
  { href: '/sums', label: 'Figures', icon: 'compass', owns: /^\/sums/ },
  { href: '/kit', label: 'More', icon: 'menu', owns: /^\/(kit|flights|craft|sites|school|account|help)/ },
];

const useStyles = themed((theme) => ({
  frame: { flex: 1, backgroundColor: theme.ground },
  wide: { flexDirection: 'row' },
  hidden: { display: 'none' },
  page: { flex: 1, minWidth: 0 },
  beside: { flex: 1, flexDirection: 'row', minHeight: 0 },
  list: { flexGrow: 0, flexShrink: 0, width: 360, borderRightWidth: 2, borderRightColor: theme.ink },
  listIn: { padding: 16, gap: 22 },
  bar: { flexDirection: 'row', borderTopWidth: 2, borderTopColor: theme.ink, backgroundColor: theme.ground },
  rail: {
    width: 148,
    borderRightWidth: 2,
    borderRightColor: theme.ink,
    paddingTop: 12,
    backgroundColor: theme.ground,
  },
  place: {
    alignItems: 'center',
    justifyContent: 'center',
    minHeight: 62,
    paddingVertical: 6,
    flexGrow: 1,
    borderTopWidth: 5,
    borderTopColor: 'transparent',
  },
  railPlace: {
    flexGrow: 0,
    flexDirection: 'row',
    justifyContent: 'flex-start',
    gap: 12,
    paddingLeft: 14,
    borderTopWidth: 0,
    borderLeftWidth: 7,
    borderLeftColor: 'transparent',
  },
  here: { borderTopColor: theme.ink },
  railHere: { borderLeftColor: theme.ink },
  reads: { paddingHorizontal: 18, paddingVertical: 8, borderBottomWidth: 2, borderBottomColor: theme.ink },
  label: { fontSize: 15, lineHeight: 20, color: theme.ink },
  skip: {
    position: 'absolute',
    top: 4,
    left: 4,
    zIndex: 1,
    padding: 14,
    borderWidth: 2,
    borderColor: theme.ink,
    backgroundColor: theme.ground,
  },
  skipHidden: { position: 'absolute', top: -200, left: 4, minHeight: TOUCH },
}));

function Places({ rail }: { readonly rail: boolean }) {
  const styles = useStyles();
  const theme = useTheme();
  const path = usePathname();
  return (
    <View role="navigation" aria-label="Main" style={rail ? styles.rail : styles.bar}>
      {PLACES.map((place) => {
        const here = place.owns.test(path);
        return (
          <Link key={place.label} href={place.href} asChild>
            <Pressable
              aria-current={here ? 'page' : undefined}
              style={StyleSheet.flatten([
                styles.place,
                rail ? styles.railPlace : null,
                here ? (rail ? styles.railHere : styles.here) : null,
              ])}
            >
              <Feather name={place.icon} size={24} color={theme.ink} aria-hidden />
              <Words as={here ? 'strong' : 'soft'} style={styles.label}>
                {place.label}
              </Words>
            </Pressable>
          </Link>
        );
      })}
    </View>
  );
}

/** Counting, a session in the field and practice are screens for the thumb alone: no way out but back. */
const BARE = /^\/weakness\/[^/]+\/reps|^\/session\/.|\/practice$/;

/** In the place of a page that the role of whoever asks does not open. */
const NotYours = ({ isPilot }: { readonly isPilot: boolean }) => (
  <Screen title="Not here" up="/">
    <Note icon="lock" heading="Not open to your role">
      {isPilot
        ? 'Your sign-in opens your own page and your account.'
        : 'A lead or the owner of the school can give you another one.'}
    </Note>
  </Screen>
);

/** The page asked for, where it is open to whoever asks. */
function AskedFor({ isOpen, isPilot = false }: { readonly isOpen: boolean; readonly isPilot?: boolean }) {
  const styles = useStyles();
  return (
    <>
      {isOpen ? null : <NotYours isPilot={isPilot} />}
      {/* The router loses the address while no page is mounted. */}
      <View style={isOpen ? styles.page : styles.hidden}>
        <Slot />
      </View>
    </>
  );
}

/** From this width on a list stands beside one thing of it, px. */
const DESK = 1440;
const LISTS: readonly (readonly [RegExp, () => ReactNode])[] = [
  [/^\/pilots\/[^/]+$/, () => <PilotsBeside />],
  [/^\/(weakness|occurrence)\/[^/]+$/, () => <TodayBeside />],
];

/** The list that the open page is one of, on a desk. */
function Beside() {
  const styles = useStyles();
  const path = usePathname();
  const { width } = useWindowDimensions();
  const list = width >= DESK ? LISTS.find(([of]) => of.test(path))?.[1] : undefined;
  if (!list) return null;
  return (
    <ScrollView
      style={styles.list}
      contentContainerStyle={styles.listIn}
      role="complementary"
      aria-label="List"
      tabIndex={-1}
    >
      {list()}
    </ScrollView>
  );
}

/** Pages of the school, and what is to be known on all of them. */
function Pages() {
  const styles = useStyles();
  const book = useBook();
  const mayTrain = useMay('train');
  const mayBeHere = useMay(rightOfAddress(usePathname()));
  const isSandbox = useWho()?.sandbox === true;
  return (
    <DrillBookProvider value={book}>
      <View style={styles.page}>
        <OfflineStrip />
        {isSandbox ? <SandboxStrip /> : null}
        {filesWaiting() > 0 ? <FilesWaiting /> : null}
        {mayTrain ? null : (
          <Words as="soft" role="note" style={styles.reads}>
            You read here. What you enter is not taken.
          </Words>
        )}
        <View style={styles.beside}>
          <Beside />
          <AskedFor isOpen={mayBeHere} />
        </View>
        <UndoPlace />
      </View>
    </DrillBookProvider>
  );
}

/** A pilot who is signed in: their own page, their account, and nowhere else to go. */
function OfOnePilot() {
  const styles = useStyles();
  const path = usePathname();
  const mayBeHere = useMay(rightOfAddress(path)) || path === '/';
  return (
    <View style={styles.frame}>
      <AskedFor isOpen={mayBeHere} isPilot />
      <UndoPlace />
    </View>
  );
}

/** Past the main places to what is on the page; seen by whoever gets there by keys. */
function SkipLink() {
  const styles = useStyles();
  const [isSeen, setIsSeen] = useState(false);
  return (
    <Pressable
      role="button"
      onFocus={() => setIsSeen(true)}
      onBlur={() => setIsSeen(false)}
      onPress={() => document.querySelector<HTMLElement>('[role="main"] [role="heading"]')?.focus()}
      style={isSeen ? styles.skip : styles.skipHidden}
    >
      <Words as="strong">Past the menu to the page</Words>
    </Pressable>
  );
}

/** Everything behind the sign-in: who is here, the outbox, and the way between the main places. */
export function Frame() {
  const styles = useStyles();
  const wide = useIsWide();
  const path = usePathname();
  const me = useMe();
  const client = useQueryClient();
  const accountId = me.data?.accountId ?? null;
  // Until somebody is signed in no page is mounted, and the router knows only the address bar's own word.
  const [asked] = useState(() => window.location.pathname);
  const wasHere = useRef(false);
  if (me.data) wasHere.current = true;
  const wanted = wasHere.current ? path : asked;

  useEffect(() => {
    outbox.onDelivered = () => void client.invalidateQueries();
    outbox.onSignedOut = () => void client.invalidateQueries({ queryKey: ['me'] });
    return outbox.start();
  }, [client]);
  useEffect(() => {
    outbox.use(accountId);
    // What waits for signal must outlast a browser that tidies up.
    if (accountId) void askToKeep();
  }, [accountId]);
  const isWaiting = useOutbox().items.length > 0;
  useEffect(() => {
    if (isWaiting) loadArithmetic();
  }, [isWaiting]);
  const isPilot = me.data?.role === 'pilot';
  useEffect(
    () => (accountId && !isPilot ? keepPrefetching(client) : undefined),
    [client, accountId, isPilot],
  );
  useEffect(() => (accountId ? readAnewOnChange(client) : undefined), [client, accountId]);
  const router = useRouter();
  useEffect(
    () => (accountId && !isPilot ? listenForShortcuts(window, (href) => router.push(href)) : undefined),
    [accountId, isPilot, router],
  );

  if (me.data === null)
    return <Redirect href={{ pathname: '/sign-in', params: wanted === '/' ? {} : { next: wanted } }} />;
  return (
    <Loaded query={me} title="Skelby">
      {() =>
        isPilot ? (
          <OfOnePilot />
        ) : (
          <View style={[styles.frame, wide ? styles.wide : null]}>
            <SkipLink />
            {wide ? <Places rail /> : null}
            <Pages />
            {wide || BARE.test(path) ? null : <Places rail={false} />}
          </View>
        )
      }
    </Loaded>
  );
}
