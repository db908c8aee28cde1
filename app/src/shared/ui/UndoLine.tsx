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

/** What was thrown away last, to be brought back. @param what as a sentence without its full stop */
export function UndoLine({ what }: { readonly what: string }) {
  const styles = useStyles();
  return (
    <View style={styles.line}>
      <Words style={styles.words}>{`${what}.`}</Words>
      <Button icon="corner-up-left" label="Undo" says={`Undo: ${what}`} onPress={lastThrow.bringBack} />
    </View>
  );
}
