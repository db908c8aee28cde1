import { cameInLate } from '@skelby/core/clearance/came-in-late';
import { HISTORY_KINDS, type HistoryEntry, type HistoryKind } from '@skelby/core/pages/history';
import { useState } from 'react';
import { historySearch, useHistory } from '../../offline/overlay/history-queries';
import { sayTime } from '../../shared/copy/dates';
import { sentenceCase } from '../../shared/copy/copy';
import { Choice } from '../../shared/forms/Choice';
import { Button } from '../../shared/ui/Button';
import { OlderOnes } from '../../shared/ui/OlderOnes';
import { Row, Rows } from '../../shared/ui/Rows';
import { Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';

const KIND_WORDS: Readonly<Record<HistoryKind, string>> = {
  reps: 'Reps',
  weaknesses: 'Causes and plans',
  records: 'Records',
  access: 'Sign-ins and files',
};
const KINDS = Object.keys(HISTORY_KINDS) as HistoryKind[];

/** What happened, as the record has it: "Weakness signed early". */
const whatWords = ({ action, subject }: HistoryEntry): string =>
  sentenceCase(`${subject} ${action}`.replaceAll('-', ' '));

/** When it came in, by whom, and, where that is another time, when it was flown. */
const underWords = ({ at, by, flownAt, reason }: HistoryEntry): string =>
  [
    sayTime(at),
    by ?? 'by the pilot',
    flownAt && cameInLate(flownAt, at) ? `flown ${sayTime(flownAt)}` : null,
    reason,
  ]
    .filter(Boolean)
    .join(' · ');

/** Who did what and when. Nothing is ever taken out of it. */
export function HistoryScreen() {
  const [kind, setKind] = useState<HistoryKind | null>(null);
  const history = useHistory(kind);
  const { data, error, isFetching } = history;
  const entries = data?.pages.flatMap((page) => page.entries) ?? [];
  return (
    <Screen title="History" up="/school">
      <Choice
        label="What of it"
        quiet
        value={kind ?? ''}
        onChange={(value) => setKind(value === '' ? null : value)}
        options={[
          { value: '' as const, label: 'All' },
          ...KINDS.map((value) => ({ value, label: KIND_WORDS[value] })),
        ]}
      />
      {error ? <Words as="strong" role="alert">{`! ${error.message}`}</Words> : null}
      <Rows empty={isFetching || error ? undefined : 'Nothing yet.'}>
        {entries.map((entry) => (
          <Row
            key={entry.id}
            title={[whatWords(entry), entry.pilotName].filter(Boolean).join(' · ')}
            under={underWords(entry)}
          />
        ))}
      </Rows>
      <OlderOnes list={history} />
      <Button
        kind="quiet"
        icon="download"
        label="Save it as a table"
        onPress={() => window.location.assign(`/api/history.csv?${historySearch(kind, null)}`)}
      />
    </Screen>
  );
}
