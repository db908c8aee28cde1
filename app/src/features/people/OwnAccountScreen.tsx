import type { OwnSession } from '@skelby/core/pages/people';
import { useState } from 'react';
import { useOwnSending, useOwnWaiting } from '../../offline/outbox/own-outbox';
import { isUnsent } from '../../offline/outbox/waiting';
import { tokenOfAccount } from '../../shared/api/client';
import { SignOut } from '../../offline/ui/SignOut';
import { useOwnAccountActs, useOwnSessions } from '../../offline/people-queries';
import { errorsIn } from '../../shared/api/errors-in';
import { useWho } from '../../shared/api/use-who';
import { sayTime } from '../../shared/copy/dates';
import { TextBox } from '../../shared/forms/TextBox';
import { Button } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { Row, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { CalendarPart } from './CalendarPart';
import { OtherSchools } from './OtherSchools';
import { SecondFactorPart } from './SecondFactorPart';

const DEVICE_WORDS: Readonly<Record<OwnSession['device'], string>> = {
  phone: 'A phone',
  desk: 'A desk',
  '': 'A device',
};

type Acts = ReturnType<typeof useOwnAccountActs>;

function ChangePassword({ changePassword }: Pick<Acts, 'changePassword'>) {
  const [now, setNow] = useState('');
  const [password, setPassword] = useState('');
  const errors = errorsIn(changePassword.error);
  const submit = () =>
    changePassword.mutate(
      { now, password },
      {
        onSuccess: () => {
          setNow('');
          setPassword('');
        },
      },
    );
  return (
    <Part heading="Password">
      <TextBox
        label="Password now"
        value={now}
        onChangeText={setNow}
        error={errors.of('now')}
        secureTextEntry
        autoComplete="current-password"
      />
      <TextBox
        label="New password: four words that only you would put together"
        value={password}
        onChangeText={setPassword}
        error={errors.of('password')}
        secureTextEntry
        autoComplete="new-password"
        onSubmitEditing={submit}
      />
      {errors.whole ? <Words as="strong" role="alert">{`! ${errors.whole}`}</Words> : null}
      {changePassword.isSuccess ? (
        <Words role="status">Changed. Everywhere else you are signed out.</Words>
      ) : null}
      <Button
        label={changePassword.isPending ? 'One moment …' : 'Change it'}
        disabled={changePassword.isPending || now === '' || password === ''}
        onPress={submit}
      />
    </Part>
  );
}

/** One's own password and second factor, and where one is signed in. */
export function OwnAccountScreen() {
  const me = useWho();
  return me?.sandbox ? (
    <Screen title="Your account" up="/kit">
      <Note heading="Not in the sandbox">Go back to your school: password and devices are there.</Note>
    </Screen>
  ) : (
    <OwnAccount />
  );
}

function OwnAccount() {
  const sessions = useOwnSessions();
  const acts = useOwnAccountActs();
  const me = useWho();
  const isPilot = me?.role === 'pilot';
  const token = me && isPilot ? tokenOfAccount(me.accountId) : null;
  useOwnSending(token);
  const waiting = useOwnWaiting(token);
  return (
    <Loaded query={sessions} title="Your account" up={isPilot ? '/' : '/kit'}>
      {(all) => (
        <Screen
          title="Your account"
          under={[me?.name, me?.schoolName].filter(Boolean).join(' · ')}
          up={isPilot ? '/' : '/kit'}
          aside={
            <>
              <ChangePassword changePassword={acts.changePassword} />
              <SecondFactorPart />
              <CalendarPart />
            </>
          }
        >
          <Part heading="Signed in">
            {acts.end.error ? <Words as="strong" role="alert">{`! ${acts.end.error.message}`}</Words> : null}
            <Rows>
              {all.map(({ id, device, madeAt, usedAt, here }) => (
                <Row
                  key={id}
                  title={here ? 'Here' : DEVICE_WORDS[device]}
                  under={`since ${sayTime(madeAt)}${usedAt ? ` · last used ${sayTime(usedAt)}` : ''}`}
                  after={
                    here ? undefined : <Button label="Sign out there" onPress={() => acts.end.mutate(id)} />
                  }
                />
              ))}
            </Rows>
            {all.length > 1 ? (
              <Button
                icon="log-out"
                label="Sign out everywhere else"
                disabled={acts.end.isPending}
                onPress={() => acts.end.mutate(null)}
              />
            ) : (
              <Words as="soft">Nowhere else. A sign-in that is not used for two weeks ends by itself.</Words>
            )}
          </Part>
          <OtherSchools />
          {isPilot ? (
            <SignOut unsent={waiting.isRead ? waiting.items.filter(isUnsent).length : null} waitAt="/" />
          ) : null}
        </Screen>
      )}
    </Loaded>
  );
}
