import Feather from '@expo/vector-icons/Feather';
import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { View } from 'react-native';
import { useOutOfReach } from '../../shared/api/reach';
import { noRoom } from '../../shared/storage/storage';
import { Button } from '../../shared/ui/Button';
import { themed, useTheme } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import { useBadge } from '../outbox/use-badge';
import { useServiceWorker } from '../prefetch/service-worker';

const useStyles = themed((theme) => ({
  strip: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    paddingHorizontal: 16,
    paddingVertical: 4,
    backgroundColor: theme.ink,
  },
  words: { color: theme.ground, fontSize: 15, lineHeight: 20, flex: 1 },
}));

/** How long it is said that the line is back, ms. */
const SAID_MS = 4_000;

/** Whether the line has just come back. */
function useIsBack(out: boolean): boolean {
  const [isBack, setBack] = useState(false);
  const was = useRef(out);
  useEffect(() => {
    const cameBack = was.current && !out;
    was.current = out;
    setBack(cameBack);
    if (!cameBack) return undefined;
    const timer = setTimeout(() => setBack(false), SAID_MS);
    return () => clearTimeout(timer);
  }, [out]);
  return isBack;
}

/** One line over every page while the server cannot be reached, or when a newer version has come. */
export function OfflineStrip() {
  const styles = useStyles();
  const theme = useTheme();
  const out = useOutOfReach();
  const isBack = useIsBack(out);
  const loadNewer = useServiceWorker();
  useBadge();
  const isFull = useSyncExternalStore(noRoom.subscribe, noRoom.now);
  if (out) {
    return (
      <View style={styles.strip} role="status">
        <Feather name="wifi-off" size={18} color={theme.ground} aria-hidden />
        <Words style={styles.words}>No connection: this phone's own copy</Words>
      </View>
    );
  }
  if (isBack) {
    return (
      <View style={styles.strip} role="status">
        <Feather name="wifi" size={18} color={theme.ground} aria-hidden />
        <Words style={styles.words}>Connected again</Words>
      </View>
    );
  }
  if (isFull) {
    return (
      <View style={styles.strip} role="status">
        <Feather name="alert-triangle" size={18} color={theme.ground} aria-hidden />
        <Words style={styles.words}>
          This browser keeps nothing more: what you begin is lost when you leave
        </Words>
      </View>
    );
  }
  return loadNewer ? (
    <Button kind="quiet" icon="refresh-cw" label="A newer version is here: load it" onPress={loadNewer} />
  ) : null;
}
