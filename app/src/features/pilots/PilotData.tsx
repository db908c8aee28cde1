import type { PilotPage } from '@skelby/core/pages/pages';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { View } from 'react-native';
import { useMay } from '../../shared/api/use-may';
import { dropKept } from '../../offline/prefetch/prefetch';
import { get, postFor } from '../../shared/api/client';
import { plural } from '../../shared/copy/copy';
import { TextBox } from '../../shared/forms/TextBox';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import { saveFile } from '../../shared/ui/save-file';
import { May } from '../../shared/ui/May';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';

interface Forgotten {
  readonly name: string;
  readonly rows: number;
}

/** Asks for the name once more, since nothing brings it back. */
function Forget({ pilot }: Pick<PilotPage, 'pilot'>) {
  const client = useQueryClient();
  const [isOpen, setOpen] = useState(false);
  const [typed, setTyped] = useState('');
  const forget = useMutation({
    mutationFn: () => postFor<Forgotten>(`/pilots/${pilot.id}/forget`, { name: typed }),
    onSuccess: () => {
      setOpen(false);
      return dropKept(client);
    },
  });
  if (forget.data)
    return (
      <Note icon="check" heading={`Now called ${forget.data.name}`} live>
        {`${plural(forget.data.rows, 'entry', 'entries')} blanked. Backups made until now hold the name until they are thrown away.`}
      </Note>
    );
  if (!isOpen)
    return <Button kind="quiet" icon="user-x" label="Forget this pilot" onPress={() => setOpen(true)} />;
  return (
    <View style={{ gap: 12 }}>
      <Words>
        Name, notes, reasons and all words go for good; flights, reps and causes stay under a number. Private
        links end.
      </Words>
      <TextBox
        label={`To forget for good, type: ${pilot.name}`}
        value={typed}
        onChangeText={setTyped}
        autoCapitalize="words"
        error={forget.error?.message}
      />
      <ButtonRow>
        <Button
          kind="main"
          icon="user-x"
          label={forget.isPending ? 'Forgetting …' : 'Forget for good'}
          disabled={forget.isPending || typed.trim() !== pilot.name.trim()}
          onPress={() => forget.mutate()}
        />
        <Button label="Keep" onPress={() => setOpen(false)} />
      </ButtonRow>
    </View>
  );
}

/** What is kept of a pilot: out as a file, and, by the owner of the school, forgotten. */
export function PilotData({ page: { pilot } }: { readonly page: PilotPage }) {
  const mayForget = useMay('forget');
  const everything = useMutation({
    mutationFn: () => get<unknown>(`/pilots/${pilot.id}/everything.json`),
    onSuccess: (told) => saveFile('pilot.json', JSON.stringify(told, null, 2), 'application/json'),
  });
  return (
    <Part heading="What is kept of this pilot">
      <May right="take-out">
        <Button
          kind="quiet"
          icon="download"
          label={everything.isPending ? 'Gathering …' : 'Save all of it as a file'}
          disabled={everything.isPending}
          onPress={() => everything.mutate()}
        />
        {pilot.forgottenAt ? null : (
          <>
            <Button
              kind="quiet"
              icon="award"
              label="Training record, to take along"
              onPress={() => window.location.assign(`/api/pilots/${pilot.id}/training-record.json`)}
            />
            <Button
              kind="quiet"
              icon="award"
              label="The same for a learning record store (xAPI)"
              onPress={() => window.location.assign(`/api/pilots/${pilot.id}/xapi.json`)}
            />
          </>
        )}
      </May>
      {everything.error ? <Words as="strong" role="alert">{`! ${everything.error.message}`}</Words> : null}
      {pilot.forgottenAt ? (
        <Words as="soft">Name and words were blanked at somebody's wish.</Words>
      ) : mayForget ? (
        <Forget pilot={pilot} />
      ) : null}
    </Part>
  );
}
