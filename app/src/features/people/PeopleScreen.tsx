import type { Account, Invitation, PeoplePage } from '@skelby/core/pages/people';
import { maySetRole, type Role, ROLES } from '@skelby/core/people/roles';
import { useState } from 'react';
import { View } from 'react-native';
import { usePeople, usePeopleActs } from '../../offline/people-queries';
import { useWho } from '../../shared/api/use-who';
import { sentenceCase } from '../../shared/copy/copy';
import { sayDay } from '../../shared/copy/dates';
import { Choice } from '../../shared/forms/Choice';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { PressRow, Row, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { LinkToPassOn } from '../../shared/ui/LinkToPassOn';
import { Words } from '../../shared/ui/Words';
import { ROLE_MEANS, ROLE_WORDS } from '../../shared/copy/role-copy';
import { TokensPart } from './TokensPart';

type Acts = ReturnType<typeof usePeopleActs>;

const rolesFor = (mine: Role, theirs: Role) =>
  ROLES.filter((role) => maySetRole(mine, theirs, role)).map((value) => ({
    value,
    label: ROLE_WORDS[value],
  }));

const seen = ({ lastSeenAt, endedAt }: Account): string => {
  if (endedAt) return `ended ${sayDay(endedAt.slice(0, 10))}`;
  return lastSeenAt ? `last here ${sayDay(lastSeenAt.slice(0, 10))}` : 'not here yet';
};

/** What a role may do, under its choice. */
const Means = ({ role }: { readonly role: Role }) => (
  <Words as="soft">{`${sentenceCase(ROLE_MEANS[role])}.`}</Words>
);

/** A link that was just made, to be passed on this once. */
const MadeLink = ({ token, what }: { readonly token: string; readonly what: string }) => (
  <Note icon="link" heading={what}>
    <LinkToPassOn
      // Behind the # it stays in the browser: no server and no other site is told it.
      address={`${window.location.origin}/join#${token}`}
      title="Skelby"
      lasts="It is shown this once, opens once, and for seven days."
    />
  </Note>
);

interface OneProps {
  readonly account: Account;
  readonly mine: Role;
  readonly acts: Acts;
  readonly onDone: () => void;
}

/** One account: its role, a new password by link, its end. */
function One({ account, mine, acts: { set, invite }, onDone }: OneProps) {
  const { id, name, role, endedAt } = account;
  const [sure, setSure] = useState(false);
  const error = set.error ?? invite.error;
  return (
    <Part heading={name} end={<Button kind="quiet" label="Done" onPress={onDone} />}>
      <Words as="soft">{account.email}</Words>
      {error ? <Words as="strong" role="alert">{`! ${error.message}`}</Words> : null}
      {endedAt ? (
        <Button
          icon="rotate-ccw"
          label="Let sign in again"
          onPress={() => set.mutate({ id, role, ended: false })}
        />
      ) : (
        <>
          {role === 'pilot' ? null : (
            <Choice
              acts
              label="May"
              value={role}
              options={rolesFor(mine, role)}
              onChange={(to) => set.mutate({ id, role: to, ended: false })}
            />
          )}
          <Means role={role} />
          {invite.data ? (
            <MadeLink token={invite.data.token} what={`A new password for ${name}`} />
          ) : (
            <Button
              icon="key"
              label="Make a link to a new password"
              onPress={() => invite.mutate({ role, accountId: id })}
            />
          )}
          {sure ? (
            <Note icon="alert-triangle" heading={`End the account of ${name}?`}>
              <Words>Signed out everywhere at once. What they signed and entered stays theirs.</Words>
              <ButtonRow>
                <Button label="End it" onPress={() => set.mutate({ id, role, ended: true })} />
                <Button kind="quiet" label="No" onPress={() => setSure(false)} />
              </ButtonRow>
            </Note>
          ) : (
            <Button kind="quiet" icon="user-x" label="End this account" onPress={() => setSure(true)} />
          )}
        </>
      )}
    </Part>
  );
}

function Invite({ mine, acts: { invite } }: Pick<OneProps, 'mine' | 'acts'>) {
  const [role, setRole] = useState<Role>('trainer');
  return (
    <Part heading="Invite somebody">
      {invite.error ? <Words as="strong" role="alert">{`! ${invite.error.message}`}</Words> : null}
      {invite.data ? (
        <>
          <MadeLink token={invite.data.token} what={`An invitation: ${ROLE_WORDS[role].toLowerCase()}`} />
          <Button kind="quiet" label="Another one" onPress={() => invite.reset()} />
        </>
      ) : (
        <>
          <Choice label="As" value={role} options={rolesFor(mine, 'reader')} onChange={setRole} />
          <Means role={role} />
          <Button
            icon="link"
            label={invite.isPending ? 'Making …' : 'Make an invitation'}
            disabled={invite.isPending}
            onPress={() => invite.mutate({ role, accountId: null })}
          />
        </>
      )}
    </Part>
  );
}

const outWords = ({ role, accountId, expiresAt }: Invitation, accounts: readonly Account[]): string => {
  const whose = accounts.find(({ id }) => id === accountId)?.name;
  return `${whose ? `New password for ${whose}` : ROLE_WORDS[role]} · until ${sayDay(expiresAt.slice(0, 10))}`;
};

function People({
  page,
  mine,
  own,
}: {
  readonly page: PeoplePage;
  readonly mine: Role;
  readonly own: string;
}) {
  const acts = usePeopleActs();
  const [picked, setPicked] = useState<string | null>(null);
  const account = page.accounts.find(({ id }) => id === picked);
  const pick = (id: string | null) => {
    acts.invite.reset();
    acts.set.reset();
    setPicked(id);
  };
  return (
    <Screen
      title="People"
      up="/school"
      aside={
        account ? null : (
          <>
            <Invite mine={mine} acts={acts} />
            {page.invitations.length > 0 ? (
              <Part heading="Links that are out">
                <Rows>
                  {page.invitations.map((each) => (
                    <Row
                      key={each.id}
                      title={outWords(each, page.accounts)}
                      after={<Button label="Take back" onPress={() => acts.takeBack.mutate(each.id)} />}
                    />
                  ))}
                </Rows>
              </Part>
            ) : null}
          </>
        )
      }
    >
      {account ? (
        <One key={account.id} account={account} mine={mine} acts={acts} onDone={() => pick(null)} />
      ) : (
        <View>
          <Rows>
            {page.accounts.map((each) => {
              const title = `${each.name} · ${ROLE_WORDS[each.role]}`;
              const under = `${each.email} · ${seen(each)}${each.id === own ? ' · you' : ''}`;
              return each.id !== own && maySetRole(mine, each.role, each.role) ? (
                <PressRow key={each.id} title={title} under={under} onPress={() => pick(each.id)} />
              ) : (
                <Row key={each.id} title={title} under={under} />
              );
            })}
          </Rows>
          <TokensPart tokens={page.tokens} acts={acts} />
        </View>
      )}
    </Screen>
  );
}

/** Who belongs to the school, what each may do, and the way in. */
export function PeopleScreen() {
  const people = usePeople();
  const me = useWho();
  return (
    <Loaded query={people} title="People" up="/school">
      {(page) => <People page={page} mine={me?.role ?? 'trainer'} own={me?.accountId ?? ''} />}
    </Loaded>
  );
}
