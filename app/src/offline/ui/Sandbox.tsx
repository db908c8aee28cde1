import { useRouter } from 'expo-router';
import { useWho } from '../../shared/api/use-who';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { useOpenSandbox, useSandboxAnew } from '../other-schools';
import { BackToSchool } from './SandboxStrip';
import { LeftBehind, useLeftBehind } from './LeftBehind';

function Inside() {
  const anew = useSandboxAnew();
  const router = useRouter();
  return (
    <Part heading="You are in the sandbox">
      <Words>Log, count, sign and break what you like: nothing of it reaches your school.</Words>
      <ButtonRow>
        <BackToSchool kind="solid" />
        <Button
          icon="refresh-cw"
          label={anew.isPending ? 'Writing a season …' : 'Begin it anew'}
          disabled={anew.isPending}
          onPress={() => anew.mutate(undefined, { onSuccess: () => router.replace('/') })}
        />
      </ButtonRow>
      {anew.error ? <Words as="strong" role="alert">{`! ${anew.error.message}`}</Words> : null}
    </Part>
  );
}

/** The way into a school of made-up people, and, in there, out of it. */
export function Sandbox() {
  const open = useOpenSandbox();
  const router = useRouter();
  const leftBehind = useLeftBehind();
  if (useWho()?.sandbox) return <Inside />;
  return (
    <Part heading="Try it without harm">
      <Words>
        Your sandbox is a school of three made-up pilots in the middle of a season. Nothing you do there
        reaches your own.
      </Words>
      <LeftBehind />
      <Button
        icon="box"
        label={open.isPending ? 'Writing a season: some seconds …' : 'Open the sandbox'}
        disabled={open.isPending || leftBehind !== 0}
        onPress={() => open.mutate(undefined, { onSuccess: () => router.replace('/') })}
      />
      {open.error ? <Words as="strong" role="alert">{`! ${open.error.message}`}</Words> : null}
    </Part>
  );
}
