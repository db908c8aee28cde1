import { WaitingIn } from './WaitingNote';
import { ownOutbox, useOwnWaiting } from '../outbox/own-outbox';

/** Reps flown with a pilot's own link that have not gone through. */
export function OwnWaiting({ token }: { readonly token: string | null }) {
  return <WaitingIn box={ownOutbox} state={useOwnWaiting(token)} brief={false} hasPage={false} />;
}
