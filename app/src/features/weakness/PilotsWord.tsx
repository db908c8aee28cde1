import type { WeaknessPage } from '@skelby/core/pages/pages';
import type { SaidByPilot } from '@skelby/core/pages/said-by-pilot';
import { sayTime } from '../../shared/copy/dates';
import { Note } from '../../shared/ui/Note';
import { Words } from '../../shared/ui/Words';

const newest = (said: readonly SaidByPilot[], says: SaidByPilot['says']) =>
  said.filter((each) => each.says === says).at(-1);

/** What the pilot says of it: read, when that was, and another view beside the trainer's. */
export function PilotsWord({ page: { said = [], pilot } }: { readonly page: WeaknessPage }) {
  const read = newest(said, 'read');
  const otherwise = newest(said, 'otherwise');
  return (
    <>
      {read ? (
        <Words as="soft">{`${pilot.name} read what holds until then: ${sayTime(read.saidAt)}.`}</Words>
      ) : null}
      {otherwise ? (
        <Note icon="message-square" heading={`${pilot.name} sees it otherwise`}>
          {`“${otherwise.words ?? ''}” ${sayTime(otherwise.saidAt)}.`}
        </Note>
      ) : null}
    </>
  );
}
