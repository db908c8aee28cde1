import type { ApiToken } from '@skelby/core/pages/people';
import { TOKEN_ROLES, type TokenRole } from '@skelby/core/people/roles';
import { useState } from 'react';
import { type usePeopleActs } from '../../offline/people-queries';
import { sayDay } from '../../shared/copy/dates';
import { ROLE_WORDS } from '../../shared/copy/role-copy';
import { Choice } from '../../shared/forms/Choice';
import { TextBox } from '../../shared/forms/TextBox';
import { Button } from '../../shared/ui/Button';
import { LinkToPassOn } from '../../shared/ui/LinkToPassOn';
import { Note } from '../../shared/ui/Note';
import { Row, Rows } from '../../shared/ui/Rows';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';

type Acts = Pick<ReturnType<typeof usePeopleActs>, 'makeToken' | 'endToken'>;

const underOf = ({ role, madeBy, madeAt, lastUsedAt }: ApiToken): string =>
  [
    ROLE_WORDS[role],
    `by ${madeBy}, ${sayDay(madeAt.slice(0, 10))}`,
    lastUsedAt ? `last used ${sayDay(lastUsedAt.slice(0, 10))}` : 'not used yet',
  ].join(' · ');

/** A name, what it may, and the token itself, shown this once. */
function NewToken({ makeToken }: Pick<Acts, 'makeToken'>) {
  const [name, setName] = useState('');
  const [role, setRole] = useState<TokenRole>('reader');
  const wrong = makeToken.error?.message;
  if (makeToken.data)
    return (
      <Note icon="key" heading={`A token for ${name}`}>
        <LinkToPassOn
          address={makeToken.data.token}
          title="Token"
          lasts="Shown only now. Whoever has it gets in as you set it, until you end it here."
        />
        <Button
          kind="quiet"
          label="Done"
          onPress={() => {
            setName('');
            makeToken.reset();
          }}
        />
      </Note>
    );
  return (
    <>
      <TextBox label="Which program" value={name} onChangeText={setName} maxLength={60} error={wrong} />
      <Choice
        label="It may"
        value={role}
        options={TOKEN_ROLES.map((value) => ({ value, label: ROLE_WORDS[value] }))}
        onChange={setRole}
      />
      <Button
        icon="key"
        label={makeToken.isPending ? 'Making …' : 'Make a token'}
        disabled={makeToken.isPending}
        onPress={() => makeToken.mutate({ name, role })}
      />
    </>
  );
}

/** Programs of the school: what each may, when it last asked, and its end. */
export function TokensPart({ tokens, acts }: { readonly tokens: readonly ApiToken[]; readonly acts: Acts }) {
  const { makeToken, endToken } = acts;
  return (
    <Part heading="Programs">
      <Words>
        A program of yours reads and enters with a token, in your name. How it asks is written under
        /api/openapi.json.
      </Words>
      {endToken.error ? <Words as="strong" role="alert">{`! ${endToken.error.message}`}</Words> : null}
      {tokens.length > 0 ? (
        <Rows>
          {tokens.map((each) => (
            <Row
              key={each.id}
              title={each.name}
              under={underOf(each)}
              after={
                <Button
                  label="End"
                  aria-label={`End ${each.name}`}
                  onPress={() => endToken.mutate(each.id)}
                />
              }
            />
          ))}
        </Rows>
      ) : null}
      <NewToken makeToken={makeToken} />
    </Part>
  );
}
