import type { NewSecondFactor, OwnSecondFactor } from '@skelby/core/pages/people';
import qrcode from 'qrcode-generator';
import { useMemo, useState } from 'react';
import { Image, View } from 'react-native';
import { useOwnSecondFactor, useSecondFactorActs } from '../../offline/people-queries';
import { errorsIn } from '../../shared/api/errors-in';
import { plural } from '../../shared/copy/copy';
import { sayTime } from '../../shared/copy/dates';
import { TextBox } from '../../shared/forms/TextBox';
import { Button } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';

type Acts = ReturnType<typeof useSecondFactorActs>;

/** Points a side of a square. */
const CELL = 5;

/** The address as a picture that a code app reads: light ground in the dark as well, or it is not read. */
function Picture({ address }: { readonly address: string }) {
  const picture = useMemo(() => {
    const code = qrcode(0, 'M');
    code.addData(address);
    code.make();
    const size = (code.getModuleCount() + 8) * CELL;
    return { uri: code.createDataURL(CELL, 4 * CELL), size };
  }, [address]);
  return (
    <Image
      source={{ uri: picture.uri }}
      style={{ width: picture.size, height: picture.size, maxWidth: '100%' }}
      accessibilityLabel="The secret as a picture for a code app"
    />
  );
}

/** Asks for the password before anything is changed. */
function WithPassword({ act, label }: { readonly act: Acts['begin'] | Acts['off']; readonly label: string }) {
  const [now, setNow] = useState('');
  const errors = errorsIn(act.error);
  const submit = () => act.mutate(now, { onSuccess: () => setNow('') });
  return (
    <>
      <TextBox
        label="Your password"
        value={now}
        onChangeText={setNow}
        error={errors.of('now')}
        secureTextEntry
        autoComplete="current-password"
        onSubmitEditing={submit}
      />
      {errors.whole ? <Words as="strong" role="alert">{`! ${errors.whole}`}</Words> : null}
      <Button
        label={act.isPending ? 'One moment …' : label}
        disabled={act.isPending || now === ''}
        onPress={submit}
      />
    </>
  );
}

function SetUp({ begun, on }: { readonly begun: NewSecondFactor; readonly on: Acts['on'] }) {
  const [code, setCode] = useState('');
  const errors = errorsIn(on.error);
  const submit = () => on.mutate(code);
  return (
    <>
      <Words>Read this with a code app, or type the letters into it.</Words>
      <Picture address={begun.address} />
      <Words as="strong" selectable>
        {begun.secret.replaceAll(/(.{4})(?=.)/g, '$1 ')}
      </Words>
      <TextBox
        label="The six figures it shows now"
        value={code}
        onChangeText={setCode}
        error={errors.of('code')}
        inputMode="numeric"
        autoComplete="one-time-code"
        maxLength={10}
        onSubmitEditing={submit}
      />
      {errors.whole ? <Words as="strong" role="alert">{`! ${errors.whole}`}</Words> : null}
      <Button
        kind="solid"
        label={on.isPending ? 'One moment …' : 'Ask for it from now on'}
        disabled={on.isPending || code === ''}
        onPress={submit}
      />
    </>
  );
}

function Codes({ codes }: { readonly codes: readonly string[] }) {
  return (
    <>
      <Note icon="edit-3" heading="Spare codes, shown only now" live>
        Each lets you in once, where the phone with the code app is lost. Keep them on paper, away from it.
      </Note>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 24, rowGap: 6 }}>
        {codes.map((code) => (
          <Words key={code} as="strong" selectable>
            {code}
          </Words>
        ))}
      </View>
    </>
  );
}

function On({ since, spare, off }: OwnSecondFactor & { readonly off: Acts['off'] }) {
  return (
    <>
      <Words>{`Asked for since ${sayTime(since!)}. ${plural(spare, 'spare code')} left.`}</Words>
      <WithPassword act={off} label="Take it off" />
    </>
  );
}

/** One's own second factor: off, being set up, or on. */
export function SecondFactorPart() {
  const own = useOwnSecondFactor();
  const acts = useSecondFactorActs();
  if (!own.data) return null;
  return (
    <Part heading="A second factor">
      {acts.on.data && own.data.since ? <Codes codes={acts.on.data.codes} /> : null}
      {own.data.since ? (
        <On {...own.data} off={acts.off} />
      ) : acts.begin.data ? (
        <SetUp begun={acts.begin.data} on={acts.on} />
      ) : (
        <>
          <Words>
            Six figures from a code app, asked for at sign-in: a stolen password alone opens nothing then.
          </Words>
          <WithPassword act={acts.begin} label="Set it up" />
        </>
      )}
    </Part>
  );
}
