import type { PilotPage } from '@skelby/core/pages/pages';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { View } from 'react-native';
import { useMay } from '../../shared/api/use-may';
import { dropKept } from '../../offline/prefetch/prefetch';
import { postFor } from '../../shared/api/client';
import { plural } from '../../shared/copy/copy';
import { TextBox } from '../../shared/forms/TextBox';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { FileButton } from '../../shared/ui/FileButton';
import { Note } from '../../shared/ui/Note';
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

/** What a pilot takes along, for people and for machines. */
function RecordFiles({ pilotId }: { readonly pilotId: string }) {
  const files = [
    { label: 'Training record, signed (PDF)', file: 'training-record.pdf' },
    { label: 'Training record, for programs (JSON)', file: 'training-record.json' },
    { label: 'The same for a learning record store (xAPI)', file: 'xapi.json' },
  ];
  return files.map(({ label, file }) => (
    <FileButton
      key={file}
      kind="quiet"
      icon="award"
      label={label}
      address={`/pilots/${pilotId}/${file}`}
      name={file}
    />
  ));
}

/** What is kept of a pilot: out as a file, and, by the owner of the school, forgotten. */
export function PilotData({ page: { pilot } }: { readonly page: PilotPage }) {
  const mayForget = useMay('forget');
  return (
    <Part heading="What is kept of this pilot">
      <May right="take-out">
        <FileButton
          kind="quiet"
          label="Save all of it as a file"
          address={`/pilots/${pilot.id}/everything.json`}
          name="pilot.json"
        />
        {pilot.forgottenAt ? null : <RecordFiles pilotId={pilot.id} />}
      </May>
      {pilot.forgottenAt ? (
        <Words as="soft">Name and words were blanked at somebody's wish.</Words>
      ) : mayForget ? (
        <Forget pilot={pilot} />
      ) : null}
    </Part>
  );
}
