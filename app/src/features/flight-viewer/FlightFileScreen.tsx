import { eventName } from '@skelby/copy/recorded-flight';
import type { FlightEvent } from '@skelby/core/recorded-flight/events/flight-event';
import type { FlightView } from '@skelby/core/recorded-flight/flight-view';
import { type Href, useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useFlights } from '../../offline/overlay/record-queries';
import { useMay } from '../../shared/api/use-may';
import { useUnits } from '../../shared/api/use-units';
import { plural } from '../../shared/copy/copy';
import { dayHere, sayTime } from '../../shared/copy/dates';
import { beginLog } from '../../shared/forms/log-draft';
import { keepFromFlight } from '../../shared/storage/from-flight';
import { Button, ButtonRow, LinkButton } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import { PrintButton } from '../../shared/ui/PrintButton';
import { pickFile } from '../../shared/ui/pick-file';
import { Part, Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { ACCEPTED, flownMinutes } from './accepted';
import { DropZone } from './DropZone';
import { ColumnList } from './ColumnList';
import { clockOf } from './event-copy';
import { FlightEvents } from './FlightEvents';
import { FlightLooked } from './FlightLooked';
import { JudgePart } from './JudgePart';
import { type SetUpChoice, useSetUp } from './use-set-up';
import { VideoPart } from './VideoPart';
import { Recipes } from './Recipes';
import { type Understood, useFlightFile } from './use-flight-file';

const MS = 1000;
const tenth = (value: number): number => Math.round(value * 10) / 10;

function Figures({ view }: { readonly view: FlightView }) {
  const { sayM, say } = useUnits();
  const parts = [
    view.startedAt === null ? null : sayTime(new Date(view.startedAt * MS).toISOString()),
    `${clockOf(view.lastsS)} long`,
    `as far as ${sayM(view.farthestM)}`,
    view.highestM === null ? 'no heights' : `as high as ${sayM(view.highestM)}`,
    `as fast as ${say(view.fastestMps, 'm/s')}`,
  ];
  return (
    <>
      <Words>{`${parts.filter(Boolean).join(' · ')}.`}</Words>
      <Words as="soft">
        {`Places ± ${sayM(tenth(view.placeSdM))}, speeds ± ${say(tenth(view.speedSdMps), 'm/s')}. ${plural(Number(view.hz.toPrecision(2)), 'line')} a second.`}
      </Words>
    </>
  );
}

/** Makes an entry of an event, with what the flight answers of its debrief; the log asks who flew. */
function useLogging(file: ReturnType<typeof useFlightFile>) {
  const router = useRouter();
  const { pilot } = useLocalSearchParams<{ pilot?: string }>();
  return async (event: FlightEvent, nth: number) => {
    const evidence = await file.evidenceOf(nth);
    const id = uuid();
    const clock = clockOf(event.atS);
    const startedAt = file.understood?.view?.startedAt ?? null;
    const at = startedAt === null ? new Date() : new Date((startedAt + event.atS) * MS);
    keepFromFlight(id, { evidence, file: file.name ?? '', clock });
    beginLog({
      ...{ id, pilotId: pilot ?? null, startedAt: at.toISOString(), day: dayHere(at) },
      note: `${eventName(event.is)} at ${clock} of ${file.name ?? 'a flight file'}. `,
    });
    router.push(pilot ? '/log/kind' : '/log/pilot');
  };
}

/** Makes an entry of what was seen in a video; null: whoever looks may not log. */
function useLoggingNote() {
  const router = useRouter();
  const { pilot } = useLocalSearchParams<{ pilot?: string }>();
  return useMay('train')
    ? (note: string) => {
        const now = new Date();
        beginLog({
          id: uuid(),
          pilotId: pilot ?? null,
          startedAt: now.toISOString(),
          day: dayHere(now),
          note,
        });
        router.push(pilot ? '/log/kind' : '/log/pilot');
      }
    : null;
}

interface SeenProps {
  readonly file: ReturnType<typeof useFlightFile>;
  readonly understood: Understood;
  readonly looked: number | null;
  readonly setUp: SetUpChoice;
}

/** What it is, drawn, and as figures. */
function Seen({ file, understood: { view, problem, leftOut }, looked, setUp }: SeenProps) {
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
          <Figures view={view} />
          {file.looking.part ? (
            <FlightLooked
              looking={file.looking}
              view={view}
              part={file.looking.part}
              looked={looked}
              setUp={setUp}
              judgedAt={file.judging.repsOf(setUp)?.placement ?? null}
              onLogNote={onLogNote}
              other={other}
            />
          ) : null}
        </>
      ) : null}
    </>
  );
}

/** Into what was flown, with the day and the minutes that it tells; once, whichever file it came in. */
function AddFlight({ view, flownId }: { readonly view: FlightView; readonly flownId: string }) {
  const { pilot } = useLocalSearchParams<{ pilot?: string }>();
  const { data: flown } = useFlights();
  if (flown?.some(({ id }) => id === flownId))
    return <LinkButton icon="check" label="Among what was flown" href={`/flights/${flownId}`} />;
  const asked = new URLSearchParams({ minutes: String(flownMinutes(view.airborneS)), as: flownId });
  if (pilot) asked.set('pilot', pilot);
  if (view.startedAt !== null) asked.set('day', dayHere(new Date(view.startedAt * MS)));
  return (
    <LinkButton icon="plus" label="Add to what was flown" href={`/flights/new?${asked.toString()}` as Href} />
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

/** What happened in it, and what its columns were taken for. */
function Found({
  file,
  understood,
  looked,
  setUp,
  onLook,
}: SeenProps & { readonly onLook: (nth: number | null) => void }) {
  const log = useLogging(file);
  const [mayTrain, mayKeep] = [useMay('train'), useMay('keep-records')];
  const { view, columns, mapping, kind } = understood;
  // Nobody reads columns that make a flight; where they make none, they are what is to be done.
  const [showsColumns, showColumns] = useState(false);
  return (
    <>
      {view ? (
        <FlightEvents
          view={view}
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
      {view && understood.flownId && mayKeep ? <AddFlight view={view} flownId={understood.flownId} /> : null}
      {view ? <SaveAs view={view} write={file.write} /> : null}
      {kind === 'table' || kind === 'ulog' ? (
        <>
          {understood.recipe ? <Words as="soft">{`Read as ${understood.recipe}.`}</Words> : null}
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
      ) : null}
    </>
  );
}

/** A recorder's file: recognised, drawn, searched for what happened, and made an entry of. */
export function FlightFileScreen() {
  const file = useFlightFile();
  const { understood } = file;
  const [looked, look] = useState<number | null>(null);
  const setUp = useSetUp();
  const onLogNote = useLoggingNote();
  const pick = () => pickFile(ACCEPTED, file.read);
  return (
    <DropZone onDrop={([first]) => file.read(first!)}>
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
        {file.name === null ? (
          <Note icon="activity" heading="What the craft has written down">
            CSV of any recorder, GPX, GeoJSON or ULog, picked or dropped here. It is read on this phone,
            without signal too, and sent nowhere.
          </Note>
        ) : null}
        {understood?.view ? null : <VideoPart flight={null} onLog={onLogNote} />}
        {file.isWorking ? <Words role="status">Reading …</Words> : null}
        {file.bad ? (
          <Note icon="alert-circle" heading="Not read" live>
            {file.bad}
          </Note>
        ) : null}
        {understood ? <Seen file={file} understood={understood} looked={looked} setUp={setUp} /> : null}
      </Screen>
    </DropZone>
  );
}
