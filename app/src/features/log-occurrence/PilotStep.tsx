import { useState } from 'react';
import type { Roster } from '@skelby/core/pages/pages';
import { toPickFrom } from '@skelby/core/pages/people';
import { LinkButton } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import { PressRow, Rows } from '../../shared/ui/Rows';
import { TextBox } from '../../shared/forms/TextBox';
import { Words } from '../../shared/ui/Words';
import { sayDay } from '../../shared/copy/dates';
import { forPilot, type LogDraft } from '../../shared/forms/log-draft';
import type { LogStep } from './steps';

/** Pilots shown before the search is used. */
const SHOWN = 40;
const SEARCH_FROM = 12;

export interface StepProps {
  readonly draft: LogDraft;
  readonly roster: Roster;
  readonly go: (part: Partial<LogDraft>, next: LogStep) => void;
}

export function PilotStep({ draft, roster, go }: StepProps) {
  const [wanted, setWanted] = useState('');
  const found = toPickFrom(roster.pilots).filter((pilot) =>
    pilot.name.toLowerCase().includes(wanted.trim().toLowerCase()),
  );
  return (
    <>
      <LinkButton
        kind="quiet"
        icon="life-buoy"
        label="Just crashed? The first ten minutes"
        href={`/first-minutes${draft.siteId ? `?site=${draft.siteId}` : ''}`}
      />
      {roster.pilots.length >= SEARCH_FROM ? (
        <TextBox label="Find by name" value={wanted} onChangeText={setWanted} autoCapitalize="none" />
      ) : null}
      {roster.pilots.length === 0 ? (
        <Note icon="users" heading="No pilots yet">
          <LinkButton kind="solid" icon="plus" label="Add the first pilot" href="/pilots/new/edit" />
        </Note>
      ) : null}
      <Rows empty={roster.pilots.length === 0 ? undefined : 'No pilot of that name.'}>
        {found.slice(0, SHOWN).map((pilot) => (
          <PressRow
            key={pilot.id}
            title={pilot.name}
            under={pilot.lastFlownOn ? `Flew ${sayDay(pilot.lastFlownOn)}` : undefined}
            onPress={() => go(forPilot(pilot, draft.toldByFlight), 'kind')}
          />
        ))}
      </Rows>
      {found.length > SHOWN ? <Words as="soft">{`${found.length - SHOWN} more: find by name.`}</Words> : null}
      <LinkButton kind="quiet" icon="activity" label="From a flight file" href="/flights/file" />
    </>
  );
}
