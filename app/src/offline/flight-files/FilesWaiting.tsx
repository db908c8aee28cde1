import { useEffect } from 'react';
import { useWho } from '../../shared/api/use-who';
import { plural } from '../../shared/copy/copy';
import { Button, LinkButton } from '../../shared/ui/Button';
import { Row, Rows } from '../../shared/ui/Rows';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { sayBytes } from './say-bytes';
import { fileQueue, useWaitingFiles } from './use-files';

/** Sends what waits; says so only where the school does not take one. */
export function FilesWaiting() {
  const accountId = useWho()?.accountId;
  const refused = useWaitingFiles().filter((file) => file.refused).length;
  useEffect(() => (accountId ? fileQueue.start(accountId) : undefined), [accountId]);
  return refused > 0 ? (
    <LinkButton
      kind="quiet"
      icon="alert-circle"
      label={`${plural(refused, 'flight file')} not taken`}
      href="/waiting"
    />
  ) : null;
}

/** Flight files that the school has not taken yet. */
export function FilesOnThisPhone() {
  const accountId = useWho()?.accountId;
  const all = useWaitingFiles();
  const own = all.filter((file) => file.accountId === accountId);
  if (all.length === 0) return null;
  return (
    <Part heading="Flight files">
      <Rows>
        {own
          .filter(({ refused }) => !refused)
          .map(({ id, name, packed }) => (
            <Row key={id} title={name} under={`${sayBytes(packed.size)}, sent once there is signal`} />
          ))}
      </Rows>
      {own
        .filter(({ refused }) => refused)
        .map(({ id, name, refused }) => (
          <Part key={id} heading={name}>
            <Words>{refused}</Words>
            <Button
              label="Send it once more"
              says={`Send ${name} once more`}
              onPress={() => void fileQueue.again(id)}
            />
            <Button
              kind="quiet"
              label="Let it go"
              says={`Let ${name} go: the school does not get it`}
              onPress={() => void fileQueue.discard(id)}
            />
          </Part>
        ))}
      {all.length > own.length ? (
        <Words as="soft">{`${plural(all.length - own.length, 'file')} of another trainer on this phone.`}</Words>
      ) : null}
    </Part>
  );
}
