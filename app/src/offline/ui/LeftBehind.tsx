import { plural } from '../../shared/copy/copy';
import { unfinishedHere } from '../../shared/storage/use-draft';
import { LinkButton } from '../../shared/ui/Button';
import { Words } from '../../shared/ui/Words';
import { useUnsent } from '../outbox/use-outbox';

/** How much this device would lose by going to another school; null while nobody has looked. */
export function useLeftBehind(): number | null {
  const unsent = useUnsent();
  return unsent === null ? null : unsent + unfinishedHere().length;
}

/** What keeps one here until it is sent or finished; nothing where nothing does. */
export function LeftBehind() {
  const unsent = useUnsent();
  const unfinished = unfinishedHere().length;
  return (
    <>
      {unsent ? (
        <>
          <Words>{`${plural(unsent, 'entry waits', 'entries wait')} to be sent to this school first.`}</Words>
          <LinkButton label="See what waits" href="/waiting" />
        </>
      ) : null}
      {unfinished > 0 ? (
        <>
          <Words>{`${plural(unfinished, 'thing is', 'things are')} not finished here: finish first, or throw away.`}</Words>
          <LinkButton label="See them on Today" href="/" />
        </>
      ) : null}
    </>
  );
}
