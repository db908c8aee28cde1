import { firstMinuteWords } from '@skelby/copy/first-minutes';
import { FIRST_MINUTES } from '@skelby/core/debrief/first-minutes';
import type { Roster } from '@skelby/core/pages/pages';
import { useLocalSearchParams } from 'expo-router';
import { ReportsDue } from '../../offline/ui/ReportsDue';
import { useRoster } from '../../offline/overlay/use-roster';
import { STANDING_LINE } from '../../shared/copy/copy';
import { todayHere } from '../../shared/copy/dates';
import { CheckRows } from '../../shared/forms/CheckRows';
import { useDraft } from '../../shared/storage/use-draft';
import { Button, LinkButton } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import { Part, Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { offerUndo } from '../../shared/ui/undo';

const CHECKS = FIRST_MINUTES.map((id) => ({ id, words: firstMinuteWords(id), go: null, remedy: null }));

interface Done {
  readonly day: string;
  readonly seen: readonly string[];
}

/** Whom to call and how to get here, as the school wrote it down for its sites. */
function Help({ sites, siteId }: { readonly sites: Roster['sites']; readonly siteId: string | undefined }) {
  const known = sites.filter(({ id, help }) => help && (siteId === undefined || id === siteId));
  if (known.length === 0)
    return (
      <Note icon="phone" heading="No help is written down for this place">
        Say where you are by grid reference or coordinates from the phone. Add number, access and grid
        reference to the site when this is over.
      </Note>
    );
  return (
    <>
      {known.map(({ id, name, help }) => (
        <Note key={id} icon="phone" heading={name}>
          {help ?? ''}
        </Note>
      ))}
    </>
  );
}

/** The first ten minutes after a crash: people, power, fire, evidence, and whom to tell. */
export function FirstMinutesScreen() {
  const { site } = useLocalSearchParams<{ site?: string }>();
  const roster = useRoster();
  const { draft, change } = useDraft<Done>({
    name: 'first-minutes',
    begin: () => ({ day: todayHere(), seen: [] }),
    goOn: (last) => (last.day === todayHere() ? last : null),
  });
  const toggle = (id: string) =>
    change({
      seen: draft.seen.includes(id) ? draft.seen.filter((each) => each !== id) : [...draft.seen, id],
    });
  const anew = () => {
    offerUndo('List begun anew', () => change({ seen: draft.seen }));
    change({ seen: [] });
  };
  return (
    <Screen
      title="The first ten minutes"
      up="/"
      foot={<LinkButton kind="main" icon="plus" label="Then log it" href="/log/pilot" />}
    >
      <Help sites={roster.data?.sites ?? []} siteId={site} />
      <Part heading="In this order">
        <CheckRows checks={CHECKS} seen={draft.seen} onToggle={toggle} />
      </Part>
      <ReportsDue
        rules={roster.data?.reporting ?? []}
        occurrence={{ kind: 'crash', happenedAt: null, causeId: null, injury: null }}
      />
      <Button kind="quiet" label="Begin the list anew" onPress={anew} />
      <Words as="soft">{STANDING_LINE}</Words>
    </Screen>
  );
}
