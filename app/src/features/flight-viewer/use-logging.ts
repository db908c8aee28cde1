import { clockOf } from '../../shared/copy/clock';
import { useRoster } from '../../offline/overlay/use-roster';
import { roundedSpeed } from './event-copy';
import { nearestSite } from '@skelby/core/recorded-flight/nearest-site';
import { isOfUse } from '@skelby/core/recorded-flight/wind';
import { eventName } from '@skelby/copy/recorded-flight';
import { READERS_EDITION } from '@skelby/core/flight-reading/edition';
import type { FlightEvent } from '@skelby/core/recorded-flight/events/flight-event';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { v7 as uuid } from 'uuid';
import { useMay } from '../../shared/api/use-may';
import type { MissReason } from '@skelby/core/clearance/facts';
import { dayHere } from '../../shared/copy/dates';
import { beginLog, type LogDraft } from '../../shared/forms/log-draft';
import type { useFlightFile } from './use-flight-file';

const MS = 1000;

/** Begins an entry, for the pilot that the address names; else the log asks first who flew. */
function useBegin() {
  const router = useRouter();
  const { pilot } = useLocalSearchParams<{ pilot?: string }>();
  return {
    pilotId: pilot ?? null,
    begin: (part: Partial<LogDraft>, at: Date) => {
      const begun = { id: uuid(), pilotId: pilot ?? null, startedAt: at.toISOString(), day: dayHere(at) };
      beginLog({ ...begun, ...part });
      router.push(pilot ? '/log/kind' : '/log/pilot');
    },
  };
}

/** Makes an entry of an event, with what the flight answers of its debrief. @param keeps the file goes to the school */
export function useLogging(file: ReturnType<typeof useFlightFile>, keeps: boolean) {
  const { begin, pilotId } = useBegin();
  const { data: roster } = useRoster();
  return async (event: FlightEvent, nth: number) => {
    const name = file.name ?? 'flight';
    const flightId = file.understood?.flownId ?? null;
    const evidence = await file.evidenceOf(nth);
    const fileId = keeps ? await file.keep({ name, pilotId, flightId }) : null;
    const { startedAt, ...told } = file.understood?.view ?? { startedAt: null, origin: null, wind: null };
    const site = nearestSite(told.origin, roster?.sites ?? []);
    const toldByFlight = {
      ...(site ? { siteId: site.id } : {}),
      ...(told.wind && isOfUse(told.wind) ? { windMps: roundedSpeed(told.wind) } : {}),
    };
    begin(
      {
        note: `${eventName(event.is)} at ${clockOf(event.atS)} of ${name}. `,
        toldByFlight,
        ...toldByFlight,
        flown: { name, fileId, atS: event.atS, readers: READERS_EDITION, evidence },
      },
      startedAt === null ? new Date() : new Date((startedAt + event.atS) * MS),
    );
  };
}

/** Makes an entry of what was seen in a video; null: whoever looks may not log. */
export function useLoggingNote() {
  const { begin } = useBegin();
  return useMay('train')
    ? (note: string, seen: readonly MissReason[]) => begin({ note, seen }, new Date())
    : null;
}
