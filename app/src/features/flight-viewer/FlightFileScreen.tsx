import type { FlightView } from '@skelby/core/recorded-flight/flight-view';
import { useEffect, useRef, useState } from 'react';
import { useMay } from '../../shared/api/use-may';
import { plural } from '../../shared/copy/copy';
import { Button, ButtonRow, LinkButton } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import { PrintButton } from '../../shared/ui/PrintButton';
import { pickFile } from '../../shared/ui/pick-file';
import { Part, Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { ACCEPTED } from './accepted';
import { AddFlight } from './AddFlight';
import { DropZone } from './DropZone';
import { ColumnList } from './ColumnList';
import { FlightEvents } from './FlightEvents';
import { ForItsEntry, KeepsFile, useAskedEvent, useKeptFile } from './FlightKept';
import { FileFigures } from './FileFigures';
import { FlightLooked } from './FlightLooked';
import { FlightSheet } from './FlightSheet';
import { JudgePart } from './JudgePart';
import { type SetUpChoice, useSetUp } from './use-set-up';
import { useVideo, type Video, VideoPart } from '../../shared/video/VideoPart';
import { Recipes } from './Recipes';
import { type Understood, useFlightFile } from './use-flight-file';
import { useKeepsFiles } from './use-keeping';
import { useLogging, useLoggingNote } from './use-logging';
import { useShared } from './use-shared';

interface SeenProps {
  readonly file: ReturnType<typeof useFlightFile>;
  readonly understood: Understood;
  readonly looked: number | null;
  readonly setUp: SetUpChoice;
}

/** What it is, drawn, and as figures. */
function Seen({
  file,
  understood: { view, problem, leftOut },
  looked,
  setUp,
  video,
}: SeenProps & { readonly video: Video }) {
  const other = useFlightFile();
  const onLogNote = useLoggingNote();

  return (
    <>
      {problem ? (
        <Note icon="alert-circle" heading="Not a flight yet" live>
          {problem}
        </Note>
      ) : null}
      {leftOut ? <Words as="soft">What stands behind its end is not read.</Words> : null}
      {view ? (
        <>
          <FileFigures view={view} />
          <FlightSheet name={file.name ?? ''} view={view} />
          {file.looking.part ? (
            <FlightLooked
              looking={file.looking}
              view={view}
              part={file.looking.part}
              looked={looked}
              setUp={setUp}
              judgedAt={file.judging.repsOf(setUp)?.placement ?? null}
              onLogNote={onLogNote}
              video={video}
              other={other}
            />
          ) : null}
        </>
      ) : null}
    </>
  );
}

/** As other files: smoothed, for a map or for judging it as a drill. */
function SaveAs({
  view,
  write,
}: { readonly view: FlightView } & Pick<ReturnType<typeof useFlightFile>, 'write'>) {
  return (
    <Part heading="Save it as">
      <ButtonRow>
        {view.origin ? (
          <>
            <Button icon="download" label="GPX" onPress={() => write('gpx')} />
            <Button icon="download" label="GeoJSON, with what happened" onPress={() => write('geojson')} />
          </>
        ) : null}
        <Button icon="download" label="Flight log" onPress={() => write('csv')} />
        <PrintButton />
      </ButtonRow>
    </Part>
  );
}

/** What its columns were taken for, where it has any, to be put right. */
function Columns({ file, understood }: Pick<SeenProps, 'file' | 'understood'>) {
  const { view, columns, mapping, kind, recipe } = understood;
  // Nobody reads columns that make a flight; where they make none, they are what is to be done.
  const [showsColumns, showColumns] = useState(false);
  if (kind !== 'table' && kind !== 'ulog') return null;
  return (
    <>
      {recipe ? <Words as="soft">{`Read as ${recipe}.`}</Words> : null}
      {showsColumns || !view ? (
        <>
          <ColumnList columns={columns} mapping={mapping} onChange={file.map} />
          <Recipes understood={understood} />
        </>
      ) : (
        <Button
          icon="columns"
          label={`What its ${plural(mapping.columns.length, 'column')} were taken for`}
          onPress={() => showColumns(true)}
        />
      )}
    </>
  );
}

/** What happened in it, and what can be made of it. */
function Found({
  file,
  understood,
  looked,
  setUp,
  onLook,
}: SeenProps & { readonly onLook: (nth: number | null) => void }) {
  const keeping = useKeepsFiles();
  const log = useLogging(file, keeping.keeps);
  const [mayTrain, mayKeep] = [useMay('train'), useMay('keep-records')];
  const mayPack = 'CompressionStream' in globalThis;
  const { view } = understood;
  return (
    <>
      <ForItsEntry file={file} understood={understood} />
      {view ? (
        <FlightEvents
          view={view}
          setUp={setUp}
          looked={looked}
          onLook={onLook}
          onLog={mayTrain ? (event, nth) => void log(event, nth) : null}
        />
      ) : null}
      {view && file.looking.part ? (
        <JudgePart
          setUp={setUp}
          judging={file.judging}
          looking={file.looking}
          part={file.looking.part}
          startedAt={view.startedAt}
        />
      ) : null}
      {mayKeep ? <AddFlight file={file} understood={understood} keeps={keeping.keeps} /> : null}
      {view && mayTrain && mayPack ? <KeepsFile {...keeping} /> : null}
      {view ? <SaveAs view={view} write={file.write} /> : null}
      <Columns file={file} understood={understood} />
    </>
  );
}

/** A line that is marked, or taken out: events are looked for anew. */
function useLine(
  { drawLine }: Pick<ReturnType<typeof useFlightFile>, 'drawLine'>,
  line: SetUpChoice['line'],
  onDrawn: () => void,
): void {
  const does = useRef({ drawLine, onDrawn });
  does.current = { drawLine, onDrawn };
  const drawn = useRef<SetUpChoice['line']>(null);
  useEffect(() => {
    if (line === drawn.current) return;
    drawn.current = line;
    does.current.onDrawn();
    does.current.drawLine(line);
  }, [line]);
}

/** A recorder's file: recognised, drawn, searched for what happened, and made an entry of. */
export function FlightFileScreen() {
  const file = useFlightFile();
  const { understood } = file;
  const [looked, look] = useState<number | null>(null);
  const setUp = useSetUp();
  const onLogNote = useLoggingNote();
  const video = useVideo();
  const isKept = useKeptFile(file);
  const asked = useAskedEvent(understood);
  useEffect(() => look(asked), [asked]);
  useLine(file, setUp.line, () => look(null));
  const bring = (given: File) => {
    // Marks lie by where a flight began: they are of no use to another one.
    setUp.putBack({});
    file.read(given);
  };
  const pick = () => pickFile(ACCEPTED, bring);
  useShared(([first]) => {
    if (first!.type.startsWith('video/')) video.open(first!);
    else bring(first!);
  });
  return (
    <DropZone onDrop={([first]) => bring(first!)}>
      <Screen
        title="Flight file"
        {...(file.name ? { under: file.name } : {})}
        up="/flights"
        aside={
          understood ? (
            <Found
              key={file.name}
              file={file}
              understood={understood}
              looked={looked}
              setUp={setUp}
              onLook={look}
            />
          ) : undefined
        }
        end={<LinkButton icon="layers" label="Many files" href="/flights/day" />}
        foot={
          <Button
            kind="main"
            icon="upload"
            label={file.name ? 'Another file' : 'Pick a file'}
            onPress={pick}
          />
        }
      >
        {file.name === null && isKept && !file.bad ? <Words role="status">Fetching …</Words> : null}
        {file.name === null && !isKept ? (
          <Note icon="activity" heading="What the craft has written down">
            CSV of any recorder, GPX, GeoJSON or ULog, picked or dropped here. It is read on this phone,
            without signal too.
          </Note>
        ) : null}
        {understood?.view ? null : <VideoPart video={video} flight={null} onLog={onLogNote} />}
        {file.isWorking ? <Words role="status">Reading …</Words> : null}
        {file.bad ? (
          <Note icon="alert-circle" heading="Not read" live>
            {file.bad}
          </Note>
        ) : null}
        {understood ? (
          <Seen file={file} understood={understood} looked={looked} setUp={setUp} video={video} />
        ) : null}
      </Screen>
    </DropZone>
  );
}
