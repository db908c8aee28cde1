import { createHash } from 'node:crypto';

/** Whoever holds a pilot's private link, or is signed in as the pilot. */
export interface LinkHolder {
  readonly pilotId: string;
  /** Of the link, or of the account. */
  readonly linkId: string;
  /** Whether hour and place of sessions may be told. */
  readonly tellsWhen: boolean;
}

/** What is kept of a link's token. */
export const hashOfToken = (token: string): Buffer => createHash('sha256').update(token).digest();
