import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { View } from 'react-native';
import { postFile } from '../../shared/api/client';
import type { ImportReport } from '@skelby/core/pages/pages';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import { Row, Rows } from '../../shared/ui/Rows';
import { pickFile } from '../../shared/ui/pick-file';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { plural } from '../../shared/copy/copy';

const formatOf = (file: File): 'csv' | 'json' => (file.name.toLowerCase().endsWith('.json') ? 'json' : 'csv');

function useImport() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ file, save }: { file: File; save: 'nothing' | 'good' }) =>
      postFile<ImportReport>(`/imports/occurrences?format=${formatOf(file)}&save=${save}`, file),
    onSuccess: ({ saved }) => {
      if (saved) void client.invalidateQueries();
    },
  });
}

function Report({
  report,
  file,
  busy,
  onSave,
  onDrop,
}: {
  readonly report: ImportReport;
  readonly file: File;
  readonly busy: boolean;
  readonly onSave: () => void;
  readonly onDrop: () => void;
}) {
  const { good, already, bad, problems, newPilots, saved } = report;
  const facts = [
    saved
      ? `${plural(good, 'entry', 'entries')} brought in`
      : `${plural(good, 'entry', 'entries')} can come in`,
    already > 0 ? `${already} here already, left as they are` : null,
    bad > 0 ? `${bad} with mistakes` : null,
    newPilots.length > 0
      ? `new pilots: ${newPilots.slice(0, 5).join(', ')}${newPilots.length > 5 ? ` and ${newPilots.length - 5} more` : ''}`
      : null,
  ]
    .filter(Boolean)
    .join('; ');
  return (
    <View style={{ gap: 12 }}>
      <Note
        icon={saved ? 'check' : 'file-text'}
        heading={file.name}
        live
      >{`${facts}.${saved ? '' : ' Nothing is saved yet.'}`}</Note>
      {problems.length > 0 ? (
        <Rows>
          {problems.slice(0, 30).map((each, i) => (
            <Row
              key={i}
              title={`Line ${each.line}${each.column ? `, ${each.column}` : ''}`}
              under={each.message}
            />
          ))}
        </Rows>
      ) : null}
      {problems.length > 30 ? (
        <Words as="soft">The first 30 are shown. Mend these and check the file again.</Words>
      ) : null}
      <ButtonRow>
        {!saved && good > 0 ? (
          <Button
            kind="solid"
            label={busy ? 'Bringing in …' : `Bring in ${bad > 0 ? 'the good ' : ''}${good}`}
            disabled={busy}
            onPress={onSave}
          />
        ) : null}
        <Button kind="quiet" label={saved ? 'Done' : 'Leave it'} onPress={onDrop} />
      </ButtonRow>
    </View>
  );
}

/** Occurrences out as a file and in from one. */
export function Exchange() {
  const [file, setFile] = useState<File | null>(null);
  const bring = useImport();
  const check = (picked: File) => {
    setFile(picked);
    bring.mutate({ file: picked, save: 'nothing' });
  };
  const download = (format: string) => window.location.assign(`/api/occurrences.${format}`);
  return (
    <Part heading="Occurrences as a file">
      <ButtonRow>
        <Button
          icon="download"
          label="CSV"
          says="Download the occurrences as CSV"
          onPress={() => download('csv')}
        />
        <Button
          icon="download"
          label="JSON"
          says="Download the occurrences as JSON"
          onPress={() => download('json')}
        />
        <Button
          icon="upload"
          label="Bring in a file"
          onPress={() => pickFile('.csv,.json,text/csv,application/json', check)}
        />
      </ButtonRow>
      {bring.isPending && !bring.data ? (
        <Words as="soft" role="status">
          Reading the file …
        </Words>
      ) : null}
      {bring.error ? <Words as="strong" role="alert">{`! ${bring.error.message}`}</Words> : null}
      {file && bring.data ? (
        <Report
          report={bring.data}
          file={file}
          busy={bring.isPending}
          onSave={() => bring.mutate({ file, save: 'good' })}
          onDrop={() => {
            setFile(null);
            bring.reset();
          }}
        />
      ) : null}
    </Part>
  );
}
