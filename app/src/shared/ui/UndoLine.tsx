import { usePathname } from 'expo-router';
import { useEffect, useSyncExternalStore } from 'react';
import { View } from 'react-native';
import { Button } from './Button';
import { themed } from './theme';
import { lastThrow } from './undo';
import { Words } from './Words';

const useStyles = themed((theme) => ({
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    paddingHorizontal: 16,
    paddingVertical: 6,
    borderTopWidth: 2,
    borderTopColor: theme.ink,
    backgroundColor: theme.shade,
  },
  words: { flex: 1, minWidth: 0 },
}));

/** What was thrown away last on this page, to be brought back until the page is left. */
export function UndoLine() {
  const styles = useStyles();
  const path = usePathname();
  const thrown = useSyncExternalStore(lastThrow.subscribe, lastThrow.now);
  useEffect(() => lastThrow.clear, [path]);
  return (
    <View role="status" nativeID="skelby-undo">
      {thrown ? (
        <View style={styles.line}>
          <Words style={styles.words}>{`${thrown.what}.`}</Words>
          <Button
            icon="corner-up-left"
            label="Undo"
            says={`Undo: ${thrown.what}`}
            onPress={lastThrow.bringBack}
          />
        </View>
      ) : null}
    </View>
  );
}
