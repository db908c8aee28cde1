import { View } from 'react-native';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Words } from '../ui/Words';
import { plural } from '../words/words';
import { outbox, useHeld, useWaiting } from './use-outbox';

/** Says what has not reached the server yet, and what it would not take. */
export function WaitingNote() {
  const waiting = useWaiting();
  const held = useHeld();
  const refused = waiting.filter((item) => item.refused);
  const toSend = held ? waiting.length - refused.length : 0;
  if (toSend + refused.length === 0) return null;
  return (
    <View style={{ gap: 10 }}>
      {toSend > 0 ? (
        <Note icon="upload" heading={`${plural(toSend, 'entry', 'entries')} waiting for signal`} live>
          Kept on this phone. They go out by themselves.
        </Note>
      ) : null}
      {refused.map((item) => (
        <Note key={item.key} icon="alert-circle" heading={`Not accepted: ${item.what}`} live>
          <Words>{item.refused}</Words>
          <Button kind="quiet" label="Discard this entry" onPress={() => outbox.discard(item.key)} />
        </Note>
      ))}
    </View>
  );
}
