import { View } from 'react-native';
import { Button, LinkButton } from '../ui/Button';
import { Note } from '../ui/Note';
import { Words } from '../ui/Words';
import { plural } from '../words/words';
import { ClockNote } from './ClockNote';
import { outbox, useOutbox } from './use-outbox';
import { isToSend } from './waiting';

/**
 * Says what has not reached the server yet, what it would not take, and what this phone cannot keep.
 * @param brief where room is short: only how many wait
 */
export function WaitingNote({ brief = false }: { readonly brief?: boolean }) {
  const { items, held, unkept, clockAheadS } = useOutbox();
  const refused = items.filter((item) => item.refused);
  const toSend = held ? items.filter(isToSend).length : 0;
  if (toSend + refused.length + unkept.size === 0 && clockAheadS === 0) return null;
  return (
    <View style={{ gap: 10 }}>
      <ClockNote />
      {unkept.size > 0 ? (
        <Note icon="alert-triangle" heading={`This phone is full: ${plural(unkept.size, 'entry', 'entries')} not kept`} live>
          <Words>Only this open page has them. Do not close it: free some space, or save them as a file.</Words>
          <LinkButton label="Save them as a file" href="/waiting" />
        </Note>
      ) : null}
      {toSend > 0 ? (
        <Note icon="upload" heading={`${plural(toSend, 'entry', 'entries')} waiting for signal`} live>
          {brief ? null : <Words>Kept on this phone. They go out by themselves.</Words>}
          {brief ? null : <LinkButton kind="quiet" label="See what waits" href="/waiting" />}
        </Note>
      ) : null}
      {refused.map((item) => (
        <Note key={item.key} icon="alert-circle" heading={`Not accepted: ${item.what}`} live>
          <Words>{item.refused?.detail}</Words>
          {item.refused?.theirs ? <LinkButton label="Look at both" href="/waiting" /> : <Button kind="quiet" label="Discard this entry" onPress={() => void outbox.discard(item.key)} />}
        </Note>
      ))}
    </View>
  );
}
