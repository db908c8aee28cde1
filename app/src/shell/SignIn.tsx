import { type Href, Redirect, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { ApiProblem } from '../shared/api/client';
import { errorsIn } from '../shared/api/errors-in';
import { Button } from '../shared/ui/Button';
import { SmallLadder } from '../shared/ui/Ladder';
import { Note } from '../shared/ui/Note';
import { Screen } from '../shared/ui/Screen';
import { TextBox } from '../shared/forms/TextBox';
import { Words } from '../shared/ui/Words';
import { useMe, useSignIn } from '../offline/account-queries';

export function SignIn() {
  const me = useMe();
  const signIn = useSignIn();
  const { next } = useLocalSearchParams<{ next?: string }>();
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [code, setCode] = useState('');
  // Asked for once, it stays there: a wrong one is typed again beside the password that was right.
  const [asksCode, setAsksCode] = useState(false);
  if (me.data)
    return <Redirect href={(next?.startsWith('/') && !next.startsWith('//') ? next : '/') as Href} />;

  const errors = errorsIn(signIn.error);
  const submit = () =>
    signIn.mutate(
      { email, password, ...(asksCode ? { code } : {}) },
      {
        onError: (error) => {
          if (error instanceof ApiProblem && error.clash.needs === 'code') setAsksCode(true);
        },
      },
    );
  return (
    <Screen title="Skelby">
      <View style={{ maxWidth: 460, gap: 18 }}>
        <View style={{ flexDirection: 'row', gap: 16, alignItems: 'center' }}>
          <SmallLadder shares={[1, 1, 0.6, 0, 0]} />
          <Words style={{ flex: 1 }}>Log a crash or near-miss by its cause. Drill it. Clear it.</Words>
        </View>
        <TextBox
          label="E-mail"
          value={email}
          onChangeText={setEmail}
          error={errors.of('email')}
          inputMode="email"
          autoComplete="username"
          autoCapitalize="none"
          onSubmitEditing={submit}
        />
        <TextBox
          label="Password"
          value={password}
          onChangeText={setPassword}
          error={errors.of('password')}
          secureTextEntry
          autoComplete="current-password"
          onSubmitEditing={submit}
        />
        {asksCode ? (
          <TextBox
            label="Code"
            hint="Six figures from your code app, or a spare code."
            value={code}
            onChangeText={setCode}
            error={errors.of('code')}
            autoComplete="one-time-code"
            autoCapitalize="none"
            autoFocus
            onSubmitEditing={submit}
          />
        ) : null}
        {errors.whole ? (
          <Note icon="alert-circle" live>
            {errors.whole}
          </Note>
        ) : null}
        <Button
          kind="main"
          label={signIn.isPending ? 'Signing in …' : 'Sign in'}
          onPress={submit}
          disabled={signIn.isPending}
        />
        <Words as="soft">
          No account yet, or the password is gone? A lead of your school has a link for you.
        </Words>
      </View>
    </Screen>
  );
}
