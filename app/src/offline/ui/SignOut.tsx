import { useState } from 'react';
import { useSignOut } from '../account-queries';
import { plural } from '../../shared/copy/copy';
import { Button, ButtonRow, LinkButton } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import { Words } from '../../shared/ui/Words';
import type { Href } from 'expo-router';

interface SignOutProps {
  /** Entries that would be lost; null while nobody has looked. */
  readonly unsent: number | null;
  /** Where they can be seen. */
  readonly waitAt: Href;
}

/** Signs out, which wipes the phone: what waits on it is told first. */
export function SignOut({ unsent, waitAt }: SignOutProps) {
  const signOut = useSignOut();
  const [sure, setSure] = useState(false);
  return (
    <>
      {signOut.error ? <Words as="strong" role="alert">{`! ${signOut.error.message}`}</Words> : null}
      {!unsent ? (
        <Button label="Sign out" icon="log-out" disabled={unsent === null} onPress={() => signOut.mutate()} />
      ) : sure ? (
        <Note icon="alert-triangle" heading={`${plural(unsent, 'entry', 'entries')} would be lost`}>
          <Words>Signing out wipes this phone. Send them first, or save them as a file.</Words>
          <ButtonRow>
            <LinkButton kind="solid" label="See what waits" href={waitAt} />
            <Button label="Sign out and lose them" onPress={() => signOut.mutate()} />
          </ButtonRow>
        </Note>
      ) : (
        <Button label="Sign out" icon="log-out" onPress={() => setSure(true)} />
      )}
    </>
  );
}
