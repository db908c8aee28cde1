import type { ImportPage } from '@skelby/core/pages/imports';
import { percent } from '@skelby/core/vocabulary/percent';
import { useState } from 'react';
import { View } from 'react-native';
import { goesOn, useImportActs, useImports } from '../../offline/import-queries';
import { Button, ButtonRow, type IconName } from '../../shared/ui/Button';
import { useMay } from '../../shared/api/use-may';
import { FileButton } from '../../shared/ui/FileButton';
import { Note } from '../../shared/ui/Note';
import { Row, Rows } from '../../shared/ui/Rows';
import { pickFile } from '../../shared/ui/pick-file';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { plural } from '../../shared/copy/copy';

const SHOWN = 30;
const MOST_NAMES = 5;

const entries = (count: number): string => plural(count, 'entry', 'entries');

/** What became of the good entries. */
function goodOf({ state, saves, report: { good } }: ImportPage): string {
  if (saves) return `${entries(good)} brought in${state === 'stopped' ? ' before it was stopped' : ''}`;
  return `${entries(good)} can come in`;
}

function newPilotsOf(names: readonly string[]): string | null {
  if (names.length === 0) return null;
  const more = names.length - MOST_NAMES;
  return `new pilots: ${names.slice(0, MOST_NAMES).join(', ')}${more > 0 ? ` and ${more} more` : ''}`;
}

/** A file in a sentence or two. */
function saidOf(file: ImportPage): string {
  const { state, saves, share, problem, report } = file;
  const { rows, already, bad, newPilots } = report;
  if (state === 'failed') return problem ?? '';
  if (goesOn(file))
    return `${saves ? 'Bringing in' : 'Looking it over'}: ${percent(share)}, ${entries(rows)} so far.`;
  const facts = [
    goodOf(file),
    already > 0 ? `${already} here already, left as they are` : null,
    bad > 0 ? `${bad} with mistakes` : null,
    newPilotsOf(newPilots),
  ].filter(Boolean);
  return `${facts.join('; ')}.${state === 'looked-over' ? ' Nothing is saved yet.' : ''}`;
}

const ICONS: Readonly<Record<ImportPage['state'], IconName>> = {
  waiting: 'clock',
  working: 'clock',
  'looked-over': 'file-text',
  'brought-in': 'check',
  stopped: 'slash',
  failed: 'alert-triangle',
};

interface FileProps {
  readonly file: ImportPage;
  readonly busy: boolean;
  readonly onAct: (act: 'bring-in' | 'stop') => void;
  readonly onHide: () => void;
}

function FileOnItsWay({ file, busy, onAct, onHide }: FileProps) {
  const { name, state, report } = file;
  const { good, bad, problems } = report;
  return (
    <View style={{ gap: 12 }}>
      <Note icon={ICONS[state]} heading={name} live={!goesOn(file)}>
        {saidOf(file)}
      </Note>
      {problems.length > 0 ? (
        <Rows>
          {problems.slice(0, SHOWN).map((each, i) => (
            <Row
              key={i}
              title={`Line ${each.line}${each.column ? `, ${each.column}` : ''}`}
              under={each.message}
            />
          ))}
        </Rows>
      ) : null}
      {problems.length > SHOWN ? (
        <Words as="soft">{`The first ${SHOWN} are shown. Mend these and give the file again.`}</Words>
      ) : null}
      <ButtonRow>
        {state === 'looked-over' && good > 0 ? (
          <Button
            kind="solid"
            label={`Bring in ${bad > 0 ? 'the good ' : ''}${good}`}
            disabled={busy}
            onPress={() => onAct('bring-in')}
          />
        ) : null}
        {goesOn(file) ? (
          <Button icon="x" label="Stop" disabled={busy} onPress={() => onAct('stop')} />
        ) : state === 'looked-over' ? (
          <Button kind="quiet" label="Leave it" disabled={busy} onPress={() => onAct('stop')} />
        ) : (
          <Button kind="quiet" label="Done" onPress={onHide} />
        )}
      </ButtonRow>
    </View>
  );
}

/** A file that waits for somebody, or that was given or acted on here. */
function useFile(mayBringIn: boolean) {
  const imports = useImports(mayBringIn);
  const { give, act } = useImportActs();
  const [mine, setMine] = useState<string | null>(null);
  const isAtWork = (file: ImportPage) => goesOn(file) || file.state === 'looked-over';
  const file = imports.data?.find((each) => each.id === mine || isAtWork(each)) ?? null;
  return {
    file,
    busy: give.isPending || act.isPending,
    isGiving: give.isPending,
    error: give.error ?? act.error,
    give: (picked: File) => {
      act.reset();
      give.mutate(picked, { onSuccess: ({ id }) => setMine(id) });
    },
    onAct: (what: 'bring-in' | 'stop') => {
      if (!file) return;
      setMine(what === 'stop' && file.state === 'looked-over' ? null : file.id);
      act.mutate({ id: file.id, act: what });
    },
    onHide: () => setMine(null),
  };
}

const FORMATS = [
  { file: 'occurrences.csv', label: 'CSV', says: 'Download the entries as CSV', icon: 'download' },
  { file: 'occurrences.json', label: 'JSON', says: 'Download the entries as JSON', icon: 'download' },
  {
    file: 'occurrences.geojson',
    label: 'Map',
    says: 'Download the places as GeoJSON, without names',
    icon: 'map',
  },
  {
    file: 'occurrence-reports.csv',
    label: 'Public report',
    says: 'Download the entries in the words of public reporting, without names, as CSV',
    icon: 'flag',
  },
] as const;

const TABLES = [
  { table: 'flights', label: 'Flights' },
  { table: 'reps', label: 'Reps' },
  { table: 'weaknesses', label: 'Weaknesses' },
  { table: 'moves', label: 'Openings and signatures' },
  { table: 'course', label: 'Course' },
  { table: 'pilots', label: 'Pilots' },
  { table: 'craft', label: 'Craft' },
  { table: 'sites', label: 'Sites' },
] as const;

/** Occurrences out as a file and in from one, and what a school's signatures are checked against. */
export function Exchange() {
  const mayBringIn = useMay('bring-in');
  const { file, busy, isGiving, error, give, onAct, onHide } = useFile(mayBringIn);
  return (
    <Part heading="Import and export: entries as a file">
      <ButtonRow>
        {FORMATS.map(({ file: left, ...shown }) => (
          <Button key={left} {...shown} onPress={() => window.location.assign(`/api/${left}`)} />
        ))}
        {mayBringIn ? (
          <Button
            icon="upload"
            label="Bring in a file"
            disabled={busy}
            onPress={() => pickFile('.csv,.json,text/csv,application/json', give)}
          />
        ) : null}
      </ButtonRow>
      <Words as="soft">Every other table, with names and in SI units:</Words>
      <ButtonRow>
        {TABLES.map(({ table, label }) => (
          <Button
            key={table}
            kind="quiet"
            label={label}
            says={`Download ${label.toLowerCase()} as CSV`}
            onPress={() => window.location.assign(`/api/tables/${table}.csv`)}
          />
        ))}
      </ButtonRow>
      {isGiving ? (
        <Words as="soft" role="status">
          Sending the file …
        </Words>
      ) : null}
      {error ? <Words as="strong" role="alert">{`! ${error.message}`}</Words> : null}
      {file ? <FileOnItsWay file={file} busy={busy} onAct={onAct} onHide={onHide} /> : null}
      <FileButton
        kind="quiet"
        icon="award"
        label="Certificate that signed records are checked against"
        address="/school/certificate.pem"
        name="school-certificate.pem"
      />
    </Part>
  );
}
