import type { FindWordedDrill } from '@skelby/copy/drill-book';
import { useDrills } from '../../shared/api/use-drills';
import { commandAt } from '@skelby/core/commands/commands';
import { useRef, useState } from 'react';
import { View } from 'react-native';
import { useRoster } from '../overlay/use-roster';
import { CRAFT_QUESTIONS } from '../../shared/forms/craft-questions';
import {
  flightQuestions,
  occurrenceQuestions,
  PILOT_QUESTIONS,
  sessionQuestions,
  SITE_QUESTIONS,
} from '../../shared/forms/record-questions';
import type { Roster } from '@skelby/core/pages/pages';
import { BothVersions } from '../../shared/forms/BothVersions';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import type { FormQuestion } from '../../shared/forms/form-question';
import { useRoom } from '../../shared/storage/room';
import { Row, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { saveFile } from '../../shared/ui/save-file';
import { sayTime } from '../../shared/copy/dates';
import { grouped, plural, sentenceCase } from '../../shared/copy/copy';
import { FilesOnThisPhone } from '../flight-files/FilesWaiting';
import { ClockNote } from './ClockNote';
import { madeAt } from '../outbox/commands';
import { outbox, useOutbox } from '../outbox/use-outbox';
import { isToSend, type Waiting } from '../outbox/waiting';
import { entriesIn, fileOf } from '../outbox/waiting-file';
import { discardWithUndo } from './discard';

/** The questions that an entry answers, for reading its fields. */
function questionsOf(
  { path }: Waiting,
  roster: Roster | undefined,
  findDrill: FindWordedDrill,
): readonly FormQuestion[] {
  switch (commandAt(path)?.command.name) {
    case 'save-pilot':
      return PILOT_QUESTIONS;
    case 'save-craft':
      return CRAFT_QUESTIONS;
    case 'save-site':
      return SITE_QUESTIONS;
    case 'save-flight':
      return roster ? flightQuestions(roster, false) : [];
    case 'log-occurrence':
      return roster ? occurrenceQuestions(roster, false) : [];
    case 'save-session':
      return roster ? sessionQuestions(roster, findDrill) : [];
    default:
      return [];
  }
}

function Refused({ item, roster }: { readonly item: Waiting; readonly roster: Roster | undefined }) {
  const { drillOf } = useDrills();
  const { refused } = item;
  if (!refused) return null;
  const discard = () => discardWithUndo(outbox, item);
  return (
    <Part heading={sentenceCase(item.what)}>
      {refused.theirs && refused.override ? (
        <BothVersions
          by={refused.by ?? null}
          mine={item.body}
          theirs={refused.theirs}
          questions={questionsOf(item, roster, drillOf)}
          onMine={() => void outbox.insist(item.key)}
          onTheirs={discard}
        />
      ) : (
        <>
          <Words>{refused.detail}</Words>
          <Button kind="quiet" label="Discard this entry" onPress={discard} />
        </>
      )}
    </Part>
  );
}

function saveAsFile(items: readonly Waiting[]): void {
  const now = new Date().toISOString();
  saveFile(
    `skelby-waiting-${now.slice(0, 16).replace(':', '')}.json`,
    fileOf(items, now),
    'application/json',
  );
}

/** From phone to phone, as a file. */
function HandOver({ items }: { readonly items: readonly Waiting[] }) {
  const [said, setSaid] = useState<string | null>(null);
  const picker = useRef<HTMLInputElement>(null);
  const takeIn = async (file: File | undefined) => {
    if (!file) return;
    try {
      const entries = await entriesIn(await file.text());
      await outbox.takeOver(entries);
      setSaid(
        `${plural(entries.length, 'entry', 'entries')} taken in. Those that were sent before do nothing.`,
      );
    } catch (error) {
      if (!(error instanceof Error)) throw error;
      setSaid(`! ${error.message}`);
    }
  };
  return (
    <View style={{ gap: 10 }}>
      <ButtonRow>
        {items.length > 0 ? (
          <Button icon="download" label="Save as a file" onPress={() => saveAsFile(items)} />
        ) : null}
        <Button
          kind="quiet"
          icon="file-plus"
          label="Take in a file from another phone"
          onPress={() => picker.current?.click()}
        />
      </ButtonRow>
      {said ? (
        <Words as="strong" role="status">
          {said}
        </Words>
      ) : null}
      <input
        ref={picker}
        type="file"
        accept="application/json"
        hidden
        aria-label="File of waiting entries"
        onChange={(event) => {
          void takeIn(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
    </View>
  );
}

const MEGA = 1_000_000;
const megabytes = (bytes: number): string =>
  bytes < 10 * MEGA ? (bytes / MEGA).toFixed(1) : grouped(Math.round(bytes / MEGA));

/** How much is kept here, and whether the browser may throw it away. */
function RoomHere() {
  const { room, ask } = useRoom();
  if (!room) return null;
  return (
    <Part heading="Room">
      <Words>
        {`${megabytes(room.usedBytes)} of at most ${megabytes(room.mostBytes)} MB. `}
        {room.isKept
          ? 'The browser keeps it until you sign out.'
          : 'Where room is short the browser may throw it all away.'}
      </Words>
      {room.isKept ? null : (
        <Button kind="quiet" icon="save" label="Ask it to keep everything" onPress={ask} />
      )}
    </Part>
  );
}

/**
 * What this phone has not handed over yet: what it is, what the server said to it, and ways to hand it over.
 */
export function WaitingScreen() {
  const { items, held, unkept, others } = useOutbox();
  const roster = useRoster();
  const waiting = items.filter(isToSend);
  const refused = items.filter((item) => item.refused);
  return (
    <Screen
      title="On this phone"
      up="/"
      foot={
        waiting.length > 0 ? (
          <Button kind="solid" icon="upload" label="Send now" onPress={() => void outbox.flush()} />
        ) : undefined
      }
    >
      <ClockNote />
      {unkept.size > 0 ? (
        <Note icon="alert-triangle" heading={`${plural(unkept.size, 'entry', 'entries')} not kept`} live>
          This phone has no room for them. Save them as a file before this page is closed.
        </Note>
      ) : null}
      {refused.map((item) => (
        <Refused key={item.key} item={item} roster={roster.data} />
      ))}
      <Part heading={held ? 'Waiting for signal' : 'Waiting'}>
        <Rows empty="No entry waits: the server has them all.">
          {waiting.map((item) => (
            <Row key={item.key} title={sentenceCase(item.what)} under={`Made ${sayTime(madeAt(item.key))}`} />
          ))}
        </Rows>
      </Part>
      {others > 0 ? (
        <Words as="soft">{`${plural(others, 'entry', 'entries')} of another trainer on this phone: sent when they sign in.`}</Words>
      ) : null}
      <FilesOnThisPhone />
      <HandOver items={[...waiting, ...refused]} />
      <RoomHere />
    </Screen>
  );
}
