import { causeWords } from '@skelby/copy/causes';
import { untilCleared } from '../../shared/copy/restriction-copy';
import { useDrills } from '../../shared/api/use-drills';
import { restricts } from '@skelby/core/clearance/open-states';
import { useLocalSearchParams } from 'expo-router';
import type { PilotPage, Roster, WeaknessLine } from '@skelby/core/pages/pages';
import { useUnits } from '../../shared/api/use-units';
import { flightWords } from '../../shared/copy/flight-copy';
import { useRoster } from '../../offline/overlay/use-roster';
import { ButtonRow, LinkButton } from '../../shared/ui/Button';
import { SmallLadder } from '../../shared/ui/Ladder';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { LinkRow, Row, Rows } from '../../shared/ui/Rows';
import { May } from '../../shared/ui/May';
import { Part, Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { sayDay } from '../../shared/copy/dates';
import { MODE_WORDS, plural, PURPOSE_WORDS, STATE_WORDS } from '../../shared/copy/copy';
import { OwnLink } from './OwnLink';
import { CourseRow } from './CourseRow';
import { Trainers } from './Trainers';
import { PilotData } from './PilotData';
import { occurredNow } from '../../offline/overlay/occurred';
import { usePilot } from '../../offline/overlay/pilot-queries';
import { Occurrences } from './Occurrences';
import { valuesLine } from '../../shared/copy/value-copy';
import { crashRateWords, nearMissRateWords } from '../../shared/copy/rate-copy';
import { windLimitUnder } from '@skelby/core/restrictions/restrictions';

function WeaknessRows({ lines, empty }: { readonly lines: readonly WeaknessLine[]; readonly empty: string }) {
  return (
    <Rows empty={empty}>
      {lines.map((line) => (
        <LinkRow
          key={line.id}
          href={`/weakness/${line.id}`}
          title={causeWords(line.causeId).name}
          before={<SmallLadder shares={line.rungs} />}
          under={`${STATE_WORDS[line.state]}${line.signedEarly ? ', signed early' : ''} · opened ${sayDay(line.openedAt.slice(0, 10))}`}
        />
      ))}
    </Rows>
  );
}

function Flown({ page, roster }: { readonly page: PilotPage; readonly roster: Roster | undefined }) {
  const units = useUnits();
  const { flights, packs, minutes, since } = page.flown;
  const occurred = occurredNow(page);
  const nearMisses = nearMissRateWords(occurred.nearMisses, flights);
  return (
    <Part
      heading="Flown"
      end={<LinkButton icon="plus" label="Add a flight" href={`/flights/new?pilot=${page.pilot.id}`} />}
    >
      {since ? (
        <Words>{`${plural(flights, 'flight')}, ${plural(packs, 'pack')}, ${Math.round(minutes)} min since ${sayDay(since)}.`}</Words>
      ) : null}
      <Words>{crashRateWords(occurred.crashes, flights)}</Words>
      {nearMisses ? <Words>{nearMisses}</Words> : null}
      {roster ? (
        <Rows>
          {page.flights.slice(0, 6).map((flight) => (
            <LinkRow
              key={flight.id}
              href={`/flights/${flight.id}`}
              title={sayDay(flight.day)}
              under={flightWords(flight, roster, units)}
            />
          ))}
        </Rows>
      ) : null}
      <LinkButton
        kind="quiet"
        icon="activity"
        label="From a flight file"
        href={`/flights/file?pilot=${page.pilot.id}`}
      />
    </Part>
  );
}

function Reps({ page }: { readonly page: PilotPage }) {
  const { drillOf } = useDrills();
  const { units } = useUnits();
  return (
    <Part heading="Reps">
      <Rows empty="No reps yet." atFirst={12}>
        {page.reps.map((line) => (
          <Row
            key={line.drillId + line.purpose}
            title={drillOf(line.drillId).name}
            under={[
              PURPOSE_WORDS[line.purpose],
              `${line.met} of ${line.reps} met`,
              `last ${sayDay(line.lastDay)}`,
              valuesLine(line.drillId, line.values ?? [], units),
            ]
              .filter(Boolean)
              .join(' · ')}
          />
        ))}
      </Rows>
    </Part>
  );
}

/** Whether somebody agreed that this is kept. */
function Consent({ pilot: { id, isMinor, consentBy, forgottenAt } }: Pick<PilotPage, 'pilot'>) {
  if (consentBy === undefined || forgottenAt) return null;
  if (consentBy) return <Words as="soft">{`${consentBy} agreed that this is kept.`}</Words>;
  return (
    <LinkButton
      kind="quiet"
      icon="edit-3"
      label={`${isMinor ? 'No guardian' : 'Nobody'} has agreed yet that this is kept: ask, and note who did`}
      href={`/pilots/${id}/edit`}
    />
  );
}

function PilotOf({ page, roster }: { readonly page: PilotPage; readonly roster: Roster | undefined }) {
  const { say } = useUnits();
  const open = page.weaknesses.filter(restricts);
  const past = page.weaknesses.filter((line) => !restricts(line));
  const { pilot } = page;
  // Of two limits the smaller one is what is flown by.
  const windMps = windLimitUnder(open, pilot.windLimitMps);
  return (
    <Screen
      title={pilot.name}
      under={`${MODE_WORDS[pilot.mode]}${pilot.holdOff ? ', hold off too' : ''} · stick layout ${pilot.stickLayout} · wind up to ${say(windMps, 'm/s')}`}
      up="/pilots"
      foot={
        pilot.forgottenAt ? undefined : (
          <LinkButton
            kind="main"
            icon="plus"
            label="Log a crash or near-miss"
            href={`/log/kind?pilot=${pilot.id}`}
          />
        )
      }
      aside={
        <>
          <Flown page={page} roster={roster} />
          <Reps page={page} />
        </>
      }
    >
      {open.length > 0 ? (
        <Note icon="slash" heading="Restrictions now">
          <>
            {windMps < pilot.windLimitMps ? (
              <Words as="strong">{`Wind up to ${say(windMps, 'm/s')}, not the usual ${say(pilot.windLimitMps, 'm/s')}.`}</Words>
            ) : null}
            {open.map((line) => (
              <Words key={line.id}>{untilCleared(line.causeId)}</Words>
            ))}
          </>
        </Note>
      ) : null}
      {pilot.note ? <Words>{pilot.note}</Words> : null}
      <Consent pilot={pilot} />
      <Part heading="Open weaknesses">
        <WeaknessRows lines={open} empty="None open." />
      </Part>
      {past.length > 0 ? (
        <Part heading="Past">
          <WeaknessRows lines={past} empty="" />
        </Part>
      ) : null}
      {pilot.forgottenAt ? null : <CourseRow page={page} />}
      <Occurrences page={page} />
      {pilot.forgottenAt ? null : (
        <>
          {roster ? <Trainers pilot={pilot} roster={roster} /> : null}
          <May right="keep-records">
            <OwnLink page={page} />
          </May>
          <ButtonRow>
            <LinkButton kind="quiet" label="Change this pilot" href={`/pilots/${pilot.id}/edit`} />
            <LinkButton kind="quiet" label="How this pilot is taught" href={`/pilots/${pilot.id}/methods`} />
          </ButtonRow>
        </>
      )}
      <PilotData page={page} />
    </Screen>
  );
}

export function PilotScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const query = usePilot(id);
  const roster = useRoster();
  return (
    <Loaded query={query} title="Pilot" up="/pilots">
      {(page) => <PilotOf page={page} roster={roster.data} />}
    </Loaded>
  );
}
