import { useMutation } from '@tanstack/react-query';
import { ask } from '../api/client';
import { Button, type IconName } from './Button';
import { saveFile } from './save-file';
import { Words } from './Words';

interface FileButtonProps {
  readonly label: string;
  readonly says?: string;
  readonly icon?: IconName;
  readonly kind?: 'quiet';
  /** Under /api; what it is called when it is kept. */
  readonly address: string;
  readonly name: string;
}

/** Fetches a file from the server and hands it to the phone to keep; what is wrong is said here. */
export function FileButton({ label, says, icon = 'download', kind, address, name }: FileButtonProps) {
  const fetched = useMutation({
    mutationFn: async () => saveFile(name, await (await ask('GET', address)).blob()),
  });
  return (
    <>
      <Button
        {...(kind ? { kind } : {})}
        {...(says ? { says } : {})}
        icon={icon}
        label={fetched.isPending ? 'Gathering …' : label}
        disabled={fetched.isPending}
        onPress={() => fetched.mutate()}
      />
      {fetched.error ? <Words as="strong" role="alert">{`! ${fetched.error.message}`}</Words> : null}
    </>
  );
}
