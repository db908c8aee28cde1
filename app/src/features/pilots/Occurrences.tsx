import { causeWords } from '@skelby/copy/causes';
import type { PilotPage } from '@skelby/core/pages/pages';
import { occurredNow } from '../../offline/overlay/occurred';
import { useOlderOccurrences } from '../../offline/overlay/pilot-queries';
import { KIND_WORDS } from '../../shared/copy/copy';
import { sayDay } from '../../shared/copy/dates';
import { OlderOnes } from '../../shared/ui/OlderOnes';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';

/** The cause that was confirmed, or the one it was logged with as a question. */
const causeOf = ({ confirmedCauseId, causeId }: PilotPage['occurrences'][number]): string =>
  confirmedCauseId ? causeWords(confirmedCauseId).name : `${causeWords(causeId).name}?`;

/** The newest occurrences of a pilot; the others are asked for. */
export function Occurrences({ page }: { readonly page: PilotPage }) {
  const { all } = occurredNow(page);
  const older = useOlderOccurrences(page.pilot.id, page.occurrences.at(-1)?.id);
  const known = new Map(
    [page, ...(older.data?.pages ?? [])].flatMap((each) => each.occurrences).map((each) => [each.id, each]),
  );
  const left = all > known.size && (older.data === undefined || older.hasNextPage);
  const rest = (
    <>
      {older.error ? <Words as="strong" role="alert">{`! ${older.error.message}`}</Words> : null}
      <OlderOnes list={{ ...older, hasNextPage: left, fetchNextPage: () => older.fetchNextPage() }} />
    </>
  );
  return (
    <Part heading="Entries">
      <Rows empty="None logged." atFirst={12} inAll={all} rest={rest}>
        {[...known.values()].map((each) => (
          <LinkRow
            key={each.id}
            href={`/occurrence/${each.id}`}
            title={`${KIND_WORDS[each.kind]}: ${causeOf(each)}`}
            under={[each.withdrawnAt ? 'Withdrawn' : null, sayDay(each.day), each.note]
              .filter(Boolean)
              .join(' · ')}
          />
        ))}
      </Rows>
    </Part>
  );
}
