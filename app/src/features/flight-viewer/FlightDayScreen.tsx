import { saveFlight } from '@skelby/core/commands/handles';
import type { AnyHandle } from '@skelby/core/commands/command';
import { eventName } from '@skelby/copy/recorded-flight';
import type { Roster } from '@skelby/core/pages/pages';
import { isOfUse } from '@skelby/core/recorded-flight/wind';
import { nearestSite } from '@skelby/core/recorded-flight/nearest-site';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { entryOf } from '../../offline/outbox/commands';
import { useFlights, useSave } from '../../offline/overlay/record-queries';
import { useRoster } from '../../offline/overlay/use-roster';
import { useUnits } from '../../shared/api/use-units';
import { plural } from '../../shared/copy/copy';
import { dayHere, sayTime, todayHere } from '../../shared/copy/dates';
import { LongChoice, ManyChoice } from '../../shared/forms/Choice';
import { Stepper } from '../../shared/forms/Stepper';
import { Button } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { pickFiles } from '../../shared/ui/pick-file';
import { Row, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { ACCEPTED, flownMinutes } from './accepted';
import { DropZone } from './DropZone';
import { KeepsFile } from './FlightKept';
import { type ReadFile, useFlightFiles } from './use-flight-files';
import { useKeepsFiles } from './use-keeping';
import { useShared } from './use-shared';

const MS = 1000;
/** As far as what was flown takes it. */
const MOST_WIND_MPS = 30;
type Flown = ReadFile & { readonly flownId: string; readonly view: NonNullable<ReadFile['view']> };

const windOf = (flown: Flown | undefined): number | null =>
  flown?.view.wind && isOfUse(flown.view.wind)
    ? Math.round(Math.hypot(flown.view.wind.eastMps, flown.view.wind.northMps))
    : null;
const startOf = ({ view }: Flown): Date | null =>
  view.startedAt === null ? null : new Date(view.startedAt * MS);

/** What a file is, in a line. */
function useSayFlown() {
  const { sayM } = useUnits();
  return (file: Flown): string => {
    const start = startOf(file);
    const { airborneS, farthestM, highestM, events } = file.view;
    const told = events
      .filter(({ is }) => is !== 'take-off' && is !== 'landing')
      .map(({ is }) => eventName(is));
    return [
      start ? sayTime(start.toISOString()) : 'day not written down: today',
      `${flownMinutes(airborneS)} min`,
      `${sayM(Math.round(farthestM))} away`,
      highestM === null ? null : `${sayM(Math.round(highestM))} high`,
      ...told,
    ]
      .filter(Boolean)
      .join(' · ');
  };
}

/** Files by what can be done with them; one flight in two files is one. */
function sorted(read: readonly ReadFile[], there: ReadonlySet<string>) {
  const fresh = new Map<string, Flown>();
  const again: ReadFile[] = [];
  for (const file of read) {
    if (file.flownId === null || file.view === null) continue;
    if (there.has(file.flownId) || fresh.has(file.flownId)) again.push(file);
    else fresh.set(file.flownId, file as Flown);
  }
  return { fresh: [...fresh.values()], again, bad: read.filter(({ problem }) => problem !== null) };
}

/** With whom, what, where and in which wind; null: not said yet. */
interface FlownWith {
  readonly pilotId: string | null;
  readonly craftId: string | null;
  readonly siteId: string | null;
  readonly windMps: number | null;
}

const unsaid = ({ pilotId, craftId, siteId, windMps }: FlownWith): readonly string[] => [
  ...(pilotId ? [] : ['who flew']),
  ...(craftId ? [] : ['the craft']),
  ...(siteId ? [] : ['the site']),
  ...(windMps === null ? ['the wind'] : []),
];

const named = (all: readonly { readonly id: string; readonly name: string }[]) =>
  all.map(({ id, name }) => ({ value: id, label: name }));

/** Asked once for all that go together. */
function FlownWithChoices({
  roster,
  flown,
  change,
}: {
  readonly roster: Roster;
  readonly flown: FlownWith;
  readonly change: (part: Partial<FlownWith>) => void;
}) {
  const { unit, from, to } = useUnits();
  const { pilotId, craftId, siteId, windMps } = flown;
  return (
    <>
      <LongChoice
        label="Who flew"
        value={pilotId}
        onChange={(id) => change({ pilotId: id })}
        options={named(roster.pilots)}
        none="pilots"
      />
      <LongChoice
        label="Craft"
        value={craftId}
        onChange={(id) => change({ craftId: id })}
        options={named(roster.craft)}
        none="craft"
      />
      <LongChoice
        label="Site"
        value={siteId}
        onChange={(id) => change({ siteId: id })}
        options={named(roster.sites)}
        none="sites"
      />
      <Stepper
        label="Wind"
        unit={unit('m/s')}
        value={windMps === null ? null : from(windMps, 'm/s')}
        step={1}
        least={0}
        most={from(MOST_WIND_MPS, 'm/s')}
        onChange={(value) => change({ windMps: value === null ? null : to(value, 'm/s') })}
      />
    </>
  );
}

/** Who flew which, with what and where. */
function Whose({
  roster,
  fresh,
  keep,
}: {
  readonly roster: Roster;
  readonly fresh: readonly Flown[];
  readonly keep: ReturnType<typeof useFlightFiles>['keep'];
}) {
  const save = useSave();
  const keeping = useKeepsFiles();
  const say = useSayFlown();
  // A session knows where it was flown, in which wind, and by whom where there was one.
  const known = useLocalSearchParams<{ pilot?: string; site?: string; wind?: string }>();
  const only = (all: readonly { readonly id: string }[]) => (all.length === 1 ? all[0]!.id : null);
  // Those that go together were flown at one place, in one wind: the first of them tells where.
  const [first] = fresh;
  const [left, setLeft] = useState<readonly string[]>([]);
  const [flown, setFlown] = useState<FlownWith>({
    pilotId: known.pilot ?? only(roster.pilots),
    craftId: only(roster.craft),
    siteId: known.site ?? nearestSite(first?.view.origin ?? null, roster.sites)?.id ?? only(roster.sites),
    windMps: known.wind === undefined ? windOf(first) : Number(known.wind),
  });
  const chosen = fresh.filter(({ flownId }) => !left.includes(flownId));
  const pilot = roster.pilots.find(({ id }) => id === flown.pilotId);
  const missing = unsaid(flown);
  // One after the other: what is refused stops there, is said, and nothing behind it is lost.
  const addFrom = (nth: number): void => {
    const file = chosen[nth];
    if (!file) return;
    const start = startOf(file);
    const day = start ? dayHere(start) : todayHere();
    const { airborneS, farthestM, highestM, packs } = file.view;
    const fields = { ...flown, day, packs, minutes: flownMinutes(airborneS), farthestM, highestM };
    save.mutate(
      entryOf<AnyHandle>(saveFlight, { id: file.flownId }, { basedOn: null, ...fields }, 'flight'),
      {
        onSuccess: () => {
          const as = { name: file.name, pilotId: flown.pilotId, flightId: file.flownId };
          if (keeping.keeps) void keep(as, file.file).then(() => addFrom(nth + 1));
          else addFrom(nth + 1);
        },
      },
    );
  };
  return (
    <Part heading={`Not yet among what was flown: ${fresh.length}`}>
      <ManyChoice
        label="Same pilot, craft and site"
        values={chosen.map(({ flownId }) => flownId)}
        onChange={(ids) => setLeft(fresh.map(({ flownId }) => flownId).filter((id) => !ids.includes(id)))}
        options={fresh.map((file) => ({ value: file.flownId, label: `${file.name}: ${say(file)}` }))}
      />
      <FlownWithChoices
        roster={roster}
        flown={flown}
        change={(part) => setFlown((last) => ({ ...last, ...part }))}
      />
      {'CompressionStream' in globalThis ? <KeepsFile {...keeping} /> : null}
      {missing.length > 0 ? <Words as="soft">{`Still to say: ${missing.join(', ')}.`}</Words> : null}
      {save.error ? <Words as="strong" role="alert">{`! ${save.error.message}`}</Words> : null}
      <Button
        kind="solid"
        icon="plus"
        label={`Add ${plural(chosen.length, 'flight')}${pilot ? ` of ${pilot.name}` : ''}`}
        disabled={missing.length > 0 || chosen.length === 0 || save.isPending}
        onPress={() => addFrom(0)}
      />
    </Part>
  );
}

function Day({ roster, there }: { readonly roster: Roster; readonly there: ReadonlySet<string> }) {
  const files = useFlightFiles();
  useShared(files.add);
  const { fresh, again, bad } = sorted(files.read, there);
  return (
    <DropZone onDrop={files.add}>
      <Screen
        title="Flight files of a day"
        up="/flights"
        foot={
          <Button
            kind={fresh.length > 0 ? 'plain' : 'main'}
            icon="upload"
            label={files.read.length > 0 ? 'More files' : 'Pick the files'}
            onPress={() => pickFiles(ACCEPTED, files.add)}
          />
        }
      >
        {files.read.length === 0 && files.leftToRead === 0 ? (
          <Note icon="layers" heading="All of a day at once">
            Pick or drop them: each is read on this phone, and one that is there already is not added twice.
          </Note>
        ) : null}
        {files.leftToRead > 0 ? (
          <Words role="status">{`Reading: ${plural(files.leftToRead, 'file')} to go …`}</Words>
        ) : null}
        {fresh.length > 0 ? <Whose roster={roster} fresh={fresh} keep={files.keep} /> : null}
        {again.length > 0 ? (
          <Part heading={`Among what was flown: ${again.length}`}>
            <Rows>
              {again.map(({ name }, i) => (
                <Row key={`${name} ${i}`} title={name} />
              ))}
            </Rows>
          </Part>
        ) : null}
        {bad.length > 0 ? (
          <Part heading={`Not read: ${bad.length}`}>
            <Rows>
              {bad.map(({ name, problem }, i) => (
                <Row key={`${name} ${i}`} title={name} under={problem ?? undefined} />
              ))}
            </Rows>
          </Part>
        ) : null}
      </Screen>
    </DropZone>
  );
}

/** Many files in one go: read, known again, and added to what was flown. */
export function FlightDayScreen() {
  const roster = useRoster();
  const flights = useFlights();
  return (
    <Loaded query={roster} title="Flight files of a day" up="/flights">
      {(data) => (
        <Loaded query={flights} title="Flight files of a day" up="/flights">
          {(flown) => <Day roster={data} there={new Set(flown.map(({ id }) => id))} />}
        </Loaded>
      )}
    </Loaded>
  );
}
