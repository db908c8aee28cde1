import { type Href, Redirect, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { ApiProblem, type Clash } from '../shared/api/client';
import { errorsIn } from '../shared/api/errors-in';
import { Button } from '../shared/ui/Button';
import { SmallLadder } from '../shared/ui/Ladder';
import { Note } from '../shared/ui/Note';
import { Screen } from '../shared/ui/Screen';
import { Choice } from '../shared/forms/Choice';
import { TextBox } from '../shared/forms/TextBox';
import { Words } from '../shared/ui/Words';
import { useMe, useSignIn } from '../offline/account-queries';

interface AsksForProps {
  readonly schools: NonNullable<Clash['schools']>;
  readonly schoolId: string | null;
  readonly choose: (id: string) => void;
  readonly asksCode: boolean;
  readonly code: string;
  readonly setCode: (code: string) => void;
  readonly submit: () => void;
  readonly error: string | undefined;
}

/** What is asked for once the password was right: the school, where there are several, and its code. */
function AsksFor({ schools, schoolId, choose, asksCode, code, setCode, submit, error }: AsksForProps) {
  return (
    <>
      {schools.length > 0 ? (
        <Choice
          acts
          label="School"
          value={schoolId}
          onChange={choose}
          options={schools.map(({ id, name }) => ({ value: id, label: name }))}
        />
      ) : null}
      {asksCode ? (
        <TextBox
          label="Code"
          hint="Six figures from your code app, or a spare code."
          value={code}
          onChangeText={setCode}
          error={error}
          autoComplete="one-time-code"
          autoCapitalize="none"
          autoFocus
          onSubmitEditing={() => submit()}
        />
      ) : null}
    </>
  );
}

export function SignIn() {
  const me = useMe();
  const signIn = useSignIn();
  const { next } = useLocalSearchParams<{ next?: string }>();
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [code, setCode] = useState('');
  // Asked for once, it stays there: a wrong one is typed again beside the password that was right.
  const [asksCode, setAsksCode] = useState(false);
  const [schools, setSchools] = useState<NonNullable<Clash['schools']>>([]);
  const [schoolId, setSchoolId] = useState<string | null>(null);
  if (me.data)
    return <Redirect href={(next?.startsWith('/') && !next.startsWith('//') ? next : '/') as Href} />;

  const errors = errorsIn(signIn.error);
  const submit = (at = schoolId) =>
    signIn.mutate(
      { email, password, ...(asksCode ? { code } : {}), ...(at === null ? {} : { schoolId: at }) },
      {
        onError: (error) => {
          if (!(error instanceof ApiProblem)) return;
          if (error.clash.needs === 'code') setAsksCode(true);
          if (error.clash.needs === 'school') setSchools(error.clash.schools ?? []);
        },
      },
    );
  const choose = (id: string) => {
    setSchoolId(id);
    submit(id);
  };
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
          onSubmitEditing={() => submit()}
        />
        <TextBox
          label="Password"
          value={password}
          onChangeText={setPassword}
          error={errors.of('password')}
          secureTextEntry
          autoComplete="current-password"
          onSubmitEditing={() => submit()}
        />
        <AsksFor
          {...{ schools, schoolId, choose, asksCode, code, setCode, submit }}
          error={errors.of('code')}
        />
        {errors.whole ? (
          <Note icon="alert-circle" live>
            {errors.whole}
          </Note>
        ) : null}
        <Button
          kind="main"
          label={signIn.isPending ? 'Signing in …' : 'Sign in'}
          onPress={() => submit()}
          disabled={signIn.isPending}
        />
        <Words as="soft">
          No account yet, or the password is gone? A lead of your school has a link for you.
        </Words>
      </View>
    </Screen>
  );
}
