import { clockOf } from '../../shared/copy/clock';
import { keepFlown } from '@skelby/core/commands/handles';
import type { AnyHandle } from '@skelby/core/commands/command';
import { eventName } from '@skelby/copy/recorded-flight';
import { READERS_EDITION } from '@skelby/core/flight-reading/edition';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useRef } from 'react';
import { keptFile } from '../../offline/flight-files/kept-files';
import { useMay } from '../../shared/api/use-may';
import { entryOf } from '../../offline/outbox/commands';
import { useSave } from '../../offline/overlay/record-queries';
import { Choice } from '../../shared/forms/Choice';
import { Button } from '../../shared/ui/Button';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import type { Understood, useFlightFile } from './use-flight-file';
import type { useKeepsFiles } from './use-keeping';

type Asked = { kept?: string; name?: string; at?: string; entry?: string };
/** An event that was logged is found again this near, s. */
const NEAR_S = 2;

/** Reads the file that the address names, out of those that the school keeps. @returns whether it names one */
export function useKeptFile({
  read,
  fail,
}: Pick<ReturnType<typeof useFlightFile>, 'read' | 'fail'>): boolean {
  const { kept, name } = useLocalSearchParams<Asked>();
  const does = useRef({ read, fail });
  does.current = { read, fail };
  useEffect(() => {
    if (!kept) return undefined;
    let gone = false;
    keptFile(kept, name ?? 'flight').then(
      (file) => (gone ? undefined : does.current.read(file)),
      (error: unknown) =>
        gone ? undefined : does.current.fail(error instanceof Error ? error.message : String(error)),
    );
    return () => {
      gone = true;
    };
  }, [kept, name]);
  return kept !== undefined;
}

/** The event that the address asks for; null: it asks for none, or none is near. */
export function useAskedEvent(understood: Understood | null): number | null {
  const { at } = useLocalSearchParams<Asked>();
  const events = understood?.view?.events;
  if (at === undefined || !events) return null;
  const near = events
    .map(({ atS }, nth) => ({ nth, off: Math.abs(atS - Number(at)) }))
    .filter(({ off }) => off <= NEAR_S)
    .sort((a, b) => a.off - b.off);
  return near[0]?.nth ?? null;
}

/** What this edition of the readers answers, in the place of what the entry has. */
export function ForItsEntry({
  file,
  understood,
}: {
  readonly file: ReturnType<typeof useFlightFile>;
  readonly understood: Understood;
}) {
  const { entry, kept, name } = useLocalSearchParams<Asked>();
  const router = useRouter();
  const save = useSave();
  const nth = useAskedEvent(understood);
  const mayTrain = useMay('train');
  if (!entry || !kept || !mayTrain) return null;
  if (nth === null)
    return <Words>Nothing is found at that moment any more: the entry keeps what it has.</Words>;
  const event = understood.view!.events[nth]!;
  const take = async () => {
    const evidence = await file.evidenceOf(nth);
    const flown = {
      name: name ?? 'flight',
      fileId: kept,
      atS: event.atS,
      readers: READERS_EDITION,
      evidence,
    };
    save.mutate(entryOf<AnyHandle>(keepFlown, { id: entry }, flown, 'Flight read again'), {
      onSuccess: () => router.replace(`/occurrence/${entry}`),
    });
  };
  return (
    <Part heading={`The entry: ${eventName(event.is).toLowerCase()} at ${clockOf(event.atS)}`}>
      <Button
        icon="refresh-cw"
        label="Take its answers anew"
        disabled={save.isPending}
        onPress={() => void take()}
      />
      {save.error ? <Words as="strong" role="alert">{`! ${save.error.message}`}</Words> : null}
    </Part>
  );
}

/** Whether the file goes to the school with what is made of it. */
export function KeepsFile({ keeps, setKeeps }: ReturnType<typeof useKeepsFiles>) {
  return (
    <Choice
      label="What is logged or added takes the file along"
      quiet
      value={keeps}
      onChange={setKeeps}
      options={[
        { value: true, label: 'To the school' },
        { value: false, label: 'Only here' },
      ]}
    />
  );
}
