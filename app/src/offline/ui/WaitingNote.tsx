import { View } from 'react-native';
import { Button, LinkButton } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import { Words } from '../../shared/ui/Words';
import { plural } from '../../shared/copy/copy';
import { ClockNote } from './ClockNote';
import type { Outbox, OutboxState } from '../outbox/outbox';
import { outbox, useOutbox } from '../outbox/use-outbox';
import { isToSend } from '../outbox/waiting';
import { discardWithUndo } from './discard';

interface WaitingInProps {
  readonly box: Outbox;
  readonly state: OutboxState;
  /** Where room is short: only how many wait. */
  readonly brief: boolean;
  /** Whether there is a page of what waits to go to. */
  readonly hasPage: boolean;
}

/** What of one outbox has not reached the server, what it would not take, and what this phone cannot keep. */
export function WaitingIn({ box, state: { items, held, unkept }, brief, hasPage }: WaitingInProps) {
  const refused = items.filter((item) => item.refused);
  const toSend = held ? items.filter(isToSend).length : 0;
  return (
    <>
      {unkept.size > 0 ? (
        <Note
          icon="alert-triangle"
          heading={`This phone is full: ${plural(unkept.size, 'entry', 'entries')} not kept`}
          live
        >
          <Words>{`Only this open page has them. Do not close it: free some space${hasPage ? ', or save them as a file' : ''}.`}</Words>
          {hasPage ? <LinkButton label="Save them as a file" href="/waiting" /> : null}
        </Note>
      ) : null}
      {toSend > 0 ? (
        <Note icon="upload" heading={`${plural(toSend, 'entry', 'entries')} waiting for signal`} live>
          {brief ? null : <Words>They go out by themselves.</Words>}
          {brief || !hasPage ? null : <LinkButton kind="quiet" label="See what waits" href="/waiting" />}
        </Note>
      ) : null}
      {refused.map((item) => (
        <Note key={item.key} icon="alert-circle" heading={`Not accepted: ${item.what}`} live>
          <Words>{item.refused?.detail}</Words>
          {item.refused?.theirs && hasPage ? (
            <LinkButton label="Look at both" href="/waiting" />
          ) : (
            <Button kind="quiet" label="Discard this entry" onPress={() => discardWithUndo(box, item)} />
          )}
        </Note>
      ))}
    </>
  );
}

/** Says what has not reached the server yet, in whatever way, and when this phone's clock is off. */
export function WaitingNote({ brief = false }: { readonly brief?: boolean }) {
  const state = useOutbox();
  const { items, held, unkept, clockAheadS } = state;
  if (
    !items.some((item) => item.refused || (held && isToSend(item))) &&
    unkept.size === 0 &&
    clockAheadS === 0
  )
    return null;
  return (
    <View style={{ gap: 10 }}>
      <ClockNote />
      <WaitingIn box={outbox} state={state} brief={brief} hasPage />
    </View>
  );
}
