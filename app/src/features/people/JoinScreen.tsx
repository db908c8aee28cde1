import type { Invited } from '@skelby/core/pages/people';
import { Redirect } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useInvited, useJoin } from '../../offline/people-queries';
import { errorsIn } from '../../shared/api/errors-in';
import { TextBox } from '../../shared/forms/TextBox';
import { Button } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { ROLE_MEANS, ROLE_WORDS } from '../../shared/copy/role-copy';

function Form({ token, invited }: { readonly token: string; readonly invited: Invited }) {
  const join = useJoin(token);
  const [name, setName] = useState('');
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  if (join.isSuccess) return <Redirect href="/" />;
  const isNew = invited.email === null;
  const errors = errorsIn(join.error);
  const { pilotName } = invited;
  const submit = () => join.mutate(isNew ? { name: pilotName ?? name, email, password } : { password });
  return (
    <Screen title={invited.schoolName} under={`Invited by ${invited.invitedBy}`}>
      <View style={{ maxWidth: 460, gap: 18 }}>
        <Words>
          {isNew
            ? `${ROLE_WORDS[invited.role]}: ${ROLE_MEANS[invited.role]}.`
            : `A new password for ${invited.email}. Wherever this account is signed in, it is signed out.`}
        </Words>
        {isNew ? (
          <>
            {pilotName === null ? (
              <TextBox
                label="Your name"
                value={name}
                onChangeText={setName}
                error={errors.of('name')}
                autoComplete="name"
              />
            ) : (
              <Words as="strong">{pilotName}</Words>
            )}
            <TextBox
              label="E-mail, to sign in with"
              hint="At another school already? The same address, with the password from there."
              value={email}
              onChangeText={setEmail}
              error={errors.of('email')}
              inputMode="email"
              autoComplete="username"
              autoCapitalize="none"
            />
          </>
        ) : null}
        <TextBox
          label="Password: four words that only you would put together"
          value={password}
          onChangeText={setPassword}
          error={errors.of('password')}
          secureTextEntry
          autoComplete="new-password"
          onSubmitEditing={submit}
        />
        {errors.whole ? (
          <Note icon="alert-circle" live>
            {errors.whole}
          </Note>
        ) : null}
        <Button
          kind="main"
          label={join.isPending ? 'One moment …' : isNew ? 'Join' : 'Set it and sign in'}
          disabled={join.isPending}
          onPress={submit}
        />
      </View>
    </Screen>
  );
}

/** Where an invitation leads: a new account, or a new password for one's own. */
export function JoinScreen() {
  // What stands behind the # is the token.
  const [token] = useState(() => window.location.hash.slice(1));
  const invited = useInvited(token);
  if (token === '')
    return (
      <Screen title="Invitation">
        <Note icon="link" heading="The link is cut off">
          Open it again as it was passed on, all of it.
        </Note>
      </Screen>
    );
  return (
    <Loaded query={invited} title="Invitation">
      {(found) => <Form token={token} invited={found} />}
    </Loaded>
  );
}
