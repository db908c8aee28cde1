import { revokeLink } from '@skelby/core/commands/handles';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { postFor, put } from '../../shared/api/client';
import type { PilotPage } from '@skelby/core/pages/pages';
import type { PilotLink } from '@skelby/core/pages/people';
import { Choice } from '../../shared/forms/Choice';
import { Button } from '../../shared/ui/Button';
import { LinkToPassOn } from '../../shared/ui/LinkToPassOn';
import { Row, Rows } from '../../shared/ui/Rows';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { sayDay } from '../../shared/copy/dates';
import { OwnSignIn } from './OwnSignIn';

const DAYS = 14;

/** When it ends, and whether anybody has opened it. */
const linkWords = ({ expiresAt, lastUsedAt, binds }: PilotLink): string =>
  [
    `Ends ${sayDay(expiresAt.slice(0, 10))}`,
    lastUsedAt === undefined
      ? null
      : lastUsedAt
        ? `last opened ${sayDay(lastUsedAt.slice(0, 10))}`
        : 'not opened yet',
    binds ? 'one device' : null,
  ]
    .filter(Boolean)
    .join(' · ');

type LinkAsked = Required<Pick<PilotLink, 'binds' | 'tellsWhen'>>;

interface ToMakeProps {
  readonly isPending: boolean;
  readonly onMake: (asked: LinkAsked) => void;
}

/** Where a new link opens, and whether it tells hour and place. */
function ToMake({ isPending, onMake }: ToMakeProps) {
  const [binds, setBinds] = useState(false);
  const [tellsWhen, setTellsWhen] = useState(false);
  return (
    <>
      <Choice
        label="Opens on"
        options={[
          { value: false, label: 'Any device' },
          { value: true, label: 'The first device only' },
        ]}
        value={binds}
        onChange={setBinds}
      />
      <Choice
        label="Hour and place of sessions"
        options={[
          { value: false, label: 'Not told' },
          { value: true, label: 'Told' },
        ]}
        value={tellsWhen}
        onChange={setTellsWhen}
      />
      <Button
        icon="link"
        label={isPending ? 'Making …' : 'Make a link'}
        disabled={isPending}
        onPress={() => onMake({ binds, tellsWhen })}
      />
    </>
  );
}

/** A private link to the pilot's own page: made here, shown once, and taken back here. */
export function OwnLink({ page }: { readonly page: PilotPage }) {
  const client = useQueryClient();
  const look = () => {
    void client.invalidateQueries({ queryKey: ['pilot', page.pilot.id] });
  };
  const make = useMutation({
    mutationFn: (asked: LinkAsked) =>
      postFor<{ token: string }>(`/pilots/${page.pilot.id}/links`, { days: DAYS, ...asked }),
    onSuccess: look,
  });
  const revoke = useMutation({
    mutationFn: (id: string) => put(revokeLink.address.build({ id }), {}),
    onSuccess: () => {
      make.reset();
      look();
    },
  });
  // Behind the # it stays in the browser: no server and no other site is told it.
  const address = make.data ? `${window.location.origin}/own#${make.data.token}` : null;
  const error = make.error ?? revoke.error;
  return (
    <Part heading="Pilot's own page">
      <Words as="soft">{`Own weaknesses, drills and progress, without an account, for ${DAYS} days. Whoever has the link sees it.`}</Words>
      {error ? <Words as="strong" role="alert">{`! ${error.message}`}</Words> : null}
      {address ? (
        <LinkToPassOn address={address} title="Your Skelby page" lasts="It is shown this once." />
      ) : (
        <ToMake isPending={make.isPending} onMake={(asked) => make.mutate(asked)} />
      )}
      {page.links.length > 0 ? (
        <Rows>
          {page.links.map((link) => (
            <Row
              key={link.id}
              title={`Made ${sayDay(link.madeAt.slice(0, 10))}`}
              under={linkWords(link)}
              after={<Button label="Take back" onPress={() => revoke.mutate(link.id)} />}
            />
          ))}
        </Rows>
      ) : null}
      <OwnSignIn pilot={page.pilot} />
    </Part>
  );
}
