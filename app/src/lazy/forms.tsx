import { logOccurrence, saveCraft, saveFlight, savePilot, saveSite } from '@skelby/core/commands/handles';
import type { AnyHandle } from '@skelby/core/commands/command';
import { entryOf, typedByHand } from '../offline/outbox/commands';
import {
  craftShape,
  flightShape,
  occurrenceShape,
  pilotShape,
  siteShape,
} from '@skelby/core/schemas/records';
import { useLocalSearchParams } from 'expo-router';
import { useRef } from 'react';
import { v7 as uuid } from 'uuid';
import { type AnyObjectSchema, string } from 'yup';
import type { Flight, OccurrenceOfPilot, Roster } from '@skelby/core/pages/pages';
import { useOccurrence } from '../offline/overlay/occurrence-queries';
import { Loaded } from '../shared/ui/Loaded';
import { Note } from '../shared/ui/Note';
import { fieldsOf } from '../shared/forms/fields-of';
import { RecordForm } from '../shared/forms/RecordForm';
import type { FormQuestion, KindChoice } from '../shared/forms/form-question';
import { Screen } from '../shared/ui/Screen';
import { timeOf } from '../shared/copy/dates';
import { useFlights, useSave } from '../offline/overlay/record-queries';
import { useRoster } from '../offline/overlay/use-roster';
import { CRAFT_KIND_CHOICE, CRAFT_QUESTIONS, NEW_CRAFT } from '../shared/forms/craft-questions';
import {
  flightQuestions,
  NEW_PILOT,
  NEW_SITE,
  newFlight,
  occurrenceQuestions,
  PILOT_QUESTIONS,
  SITE_QUESTIONS,
} from '../shared/forms/record-questions';

const NEW = 'new';

interface Listed {
  readonly list: 'pilots' | 'craft' | 'sites';
  readonly command: AnyHandle;
  readonly what: string;
  readonly up: '/pilots' | '/kit';
  readonly shape: AnyObjectSchema;
  readonly questions: readonly FormQuestion[];
  readonly blankOf: (roster: Roster) => Record<string, unknown>;
  readonly kinds?: KindChoice;
}

const PILOT: Listed = {
  command: savePilot,
  list: 'pilots',
  what: 'pilot',
  up: '/pilots',
  shape: pilotShape,
  questions: PILOT_QUESTIONS,
  // New pilots begin as the school teaches.
  blankOf: ({ methods }) => ({ ...NEW_PILOT, track: methods?.assistance ?? NEW_PILOT.track }),
};
const CRAFT: Listed = {
  command: saveCraft,
  list: 'craft',
  what: 'craft',
  up: '/kit',
  shape: craftShape,
  questions: CRAFT_QUESTIONS,
  kinds: CRAFT_KIND_CHOICE,
  blankOf: () => NEW_CRAFT,
};
const SITE: Listed = {
  command: saveSite,
  list: 'sites',
  what: 'site',
  up: '/kit',
  shape: siteShape,
  questions: SITE_QUESTIONS,
  blankOf: () => NEW_SITE,
};

function EditListed({ kind }: { readonly kind: Listed }) {
  const { id } = useLocalSearchParams<{ id: string }>();
  const fresh = useRef(uuid());
  const roster = useRoster();
  const save = useSave();
  const key = id === NEW ? fresh.current : id;
  const title = id === NEW ? `Add a ${kind.what}` : `Change ${kind.what}`;
  return (
    <Loaded query={roster} title={title} up={kind.up}>
      {(data) => {
        const row =
          id === NEW
            ? kind.blankOf(data)
            : (data[kind.list] as readonly { id: string }[]).find((each) => each.id === id);
        if (!row)
          return (
            <Screen title={title} up={kind.up}>
              <Note
                icon="help-circle"
                heading="Not here"
              >{`There is no such ${kind.what} in your school.`}</Note>
            </Screen>
          );
        return (
          <RecordForm
            title={title}
            up={kind.up}
            shape={kind.shape}
            questions={kind.questions}
            values={fieldsOf(row, kind.shape)}
            {...(kind.kinds && id === NEW ? { kinds: kind.kinds } : {})}
            onSave={(fields) =>
              save.mutateAsync(
                entryOf<AnyHandle>(
                  kind.command,
                  { id: key },
                  { basedOn: (row as { revision?: number }).revision ?? null, ...fields },
                  `${kind.what} ${String(fields['name'])}`,
                ),
              )
            }
          />
        );
      }}
    </Loaded>
  );
}

export const EditPilot = () => <EditListed kind={PILOT} />;
export const EditCraft = () => <EditListed kind={CRAFT} />;
export const EditSite = () => <EditListed kind={SITE} />;

function FlightForm({
  roster,
  flight,
  pilotId,
  recorded,
  id,
}: {
  readonly roster: Roster;
  readonly flight: Flight | undefined;
  readonly pilotId: string | null;
  /** What a recorder's file says of it. */
  readonly recorded: Readonly<Record<string, string | number>>;
  readonly id: string;
}) {
  const save = useSave();
  const values = flight ? fieldsOf(flight, flightShape) : { ...newFlight(roster, pilotId), ...recorded };
  return (
    <RecordForm
      title={flight ? 'Change flight' : 'Add a flight'}
      up="/flights"
      shape={flightShape}
      questions={flightQuestions(roster, flight !== undefined || pilotId !== null)}
      values={values}
      onSave={(fields) =>
        save.mutateAsync(
          entryOf<AnyHandle>(saveFlight, { id }, { basedOn: flight?.revision ?? null, ...fields }, 'flight'),
        )
      }
    />
  );
}

/** What a recorder has told of a flight, by the names of the form. */
function recordedOf({
  site,
  ...told
}: {
  readonly minutes?: string;
  readonly packs?: string;
  readonly wind?: string;
  readonly site?: string;
  readonly far?: string;
  readonly high?: string;
}): Readonly<Record<string, unknown>> {
  const fields = {
    minutes: 'minutes',
    packs: 'packs',
    wind: 'windMps',
    far: 'farthestM',
    high: 'highestM',
  } as const;
  const figures = (Object.keys(fields) as (keyof typeof fields)[]).flatMap((name) =>
    told[name] === undefined ? [] : [[fields[name], Number(told[name])] as const],
  );
  return { ...Object.fromEntries(figures), ...(site ? { siteId: site } : {}) };
}

export function EditFlight() {
  const { id, pilot, day, as, ...told } = useLocalSearchParams<{
    id: string;
    pilot?: string;
    day?: string;
    minutes?: string;
    packs?: string;
    wind?: string;
    site?: string;
    far?: string;
    high?: string;
    /** The id of a recorded flight. */
    as?: string;
  }>();
  const recorded = { ...(day ? { day } : {}), ...recordedOf(told) };
  const fresh = useRef(as ?? uuid());
  const roster = useRoster();
  const flights = useFlights();
  return (
    <Loaded query={roster} title="Flight" up="/flights">
      {(data) => (
        <Loaded query={flights} title="Flight" up="/flights">
          {(all) => {
            const flight = all.find((each) => each.id === id);
            if (id !== NEW && !flight)
              return (
                <Screen title="Flight" up="/flights">
                  <Note icon="help-circle" heading="Not here">
                    Only the last 200 flights can be changed here.
                  </Note>
                </Screen>
              );
            return (
              <FlightForm
                roster={data}
                flight={flight}
                pilotId={pilot ?? null}
                recorded={recorded}
                id={flight?.id ?? fresh.current}
              />
            );
          }}
        </Loaded>
      )}
    </Loaded>
  );
}

/** A trainer gives day and time of day; the record keeps the instant. */
const occurrenceFormShape = occurrenceShape.omit(['happenedAt']).shape({
  time: string()
    .trim()
    .defined()
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'Time must be written as hours:minutes, such as 09:30.'),
});

function OccurrenceForm({
  occurrence,
  roster,
}: {
  readonly occurrence: OccurrenceOfPilot;
  readonly roster: Roster;
}) {
  const save = useSave();
  const before = new Date(occurrence.happenedAt);
  const time = timeOf(before);
  const onSave = ({ time: newTime, ...fields }: Record<string, unknown>) => {
    const same = newTime === time && fields['day'] === occurrence.day;
    const happenedAt = same
      ? occurrence.happenedAt
      : new Date(`${String(fields['day'])}T${String(newTime)}`).toISOString();
    return save.mutateAsync(
      typedByHand(
        entryOf<AnyHandle>(
          logOccurrence,
          { id: occurrence.id },
          { basedOn: occurrence.revision, ...fields, happenedAt },
          `details of ${occurrence.pilotName}`,
        ),
      ),
    );
  };
  return (
    <RecordForm
      title="Change the details"
      up={`/occurrence/${occurrence.id}`}
      shape={occurrenceFormShape}
      questions={occurrenceQuestions(roster, occurrence.confirmedCauseId !== null)}
      values={{ ...fieldsOf(occurrence, occurrenceShape), time }}
      onSave={onSave}
    />
  );
}

export function EditOccurrence() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const occurrence = useOccurrence(id);
  const roster = useRoster();
  return (
    <Loaded query={occurrence} title="Change the details" up={`/occurrence/${id}`}>
      {(row) => (
        <Loaded query={roster} title="Change the details" up={`/occurrence/${id}`}>
          {(data) => <OccurrenceForm occurrence={row} roster={data} />}
        </Loaded>
      )}
    </Loaded>
  );
}

export { WaitingScreen } from '../offline/ui/WaitingScreen';
export { EditDrill } from '../features/drill-library/EditDrill';
