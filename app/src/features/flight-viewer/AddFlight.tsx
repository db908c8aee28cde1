import { isOfUse } from '@skelby/core/recorded-flight/wind';
import { nearestSite } from '@skelby/core/recorded-flight/nearest-site';
import { type Href, useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { useFlights } from '../../offline/overlay/record-queries';
import { useRoster } from '../../offline/overlay/use-roster';
import { dayHere } from '../../shared/copy/dates';
import { Button, LinkButton } from '../../shared/ui/Button';
import { flownMinutes } from './accepted';
import { roundedSpeed } from './event-copy';
import type { Understood, useFlightFile } from './use-flight-file';

const MS = 1000;

/** Into what was flown, with the day and the minutes that it tells; once, whichever file it came in. */
export function AddFlight({
  file,
  understood: { view, flownId },
  keeps,
}: {
  readonly file: ReturnType<typeof useFlightFile>;
  readonly understood: Understood;
  /** The file goes to the school with it. */
  readonly keeps: boolean;
}) {
  const router = useRouter();
  const { pilot } = useLocalSearchParams<{ pilot?: string }>();
  const { data: flown } = useFlights();
  const { data: roster } = useRoster();
  const [isKeeping, setIsKeeping] = useState(false);
  if (!view || !flownId) return null;
  if (flown?.some(({ id }) => id === flownId))
    return <LinkButton icon="check" label="Among what was flown" href={`/flights/${flownId}`} />;
  const { airborneS, startedAt, farthestM, highestM, packs, wind, origin } = view;
  const site = nearestSite(origin, roster?.sites ?? [])?.id;
  const told: Readonly<Record<string, string | number | null | undefined>> = {
    ...{ as: flownId, minutes: flownMinutes(airborneS), packs, site, pilot },
    ...{ far: Math.round(farthestM), high: highestM && Math.round(highestM) },
    wind: wind && isOfUse(wind) ? roundedSpeed(wind) : null,
    day: startedAt && dayHere(new Date(startedAt * MS)),
  };
  const asked = new URLSearchParams(
    Object.entries(told).flatMap(([name, value]) =>
      value === null || value === undefined ? [] : [[name, String(value)]],
    ),
  );
  const add = async () => {
    setIsKeeping(true);
    // The page that is left takes what packs the file along.
    if (keeps) await file.keep({ name: file.name ?? 'flight', pilotId: pilot ?? null, flightId: flownId });
    setIsKeeping(false);
    router.push(`/flights/new?${asked.toString()}` as Href);
  };
  return <Button icon="plus" label="Add to what was flown" disabled={isKeeping} onPress={() => void add()} />;
}
