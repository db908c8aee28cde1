import type { EventLimits } from '@skelby/core/recorded-flight/events/flight-event';
import type { Mapping } from '@skelby/core/recorded-flight/mapping/mapping';
import type { OutKind } from '@skelby/core/recorded-flight/out/write-out';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useRoster } from '../../offline/overlay/use-roster';
import { saveFile } from '../../shared/ui/save-file';
import { NO_WORKERS } from '../../shared/ui/use-worker';
import type { FromViewer, ToViewer } from './flight-file.worker';
import { recipesHere } from './recipes';
import { useEvidence, useJudging, useLooking } from './use-answers';
import { useKeeping } from './use-keeping';

export type Understood = FromViewer & { readonly is: 'understood' };

const TYPES: Readonly<Record<OutKind, string>> = {
  csv: 'text/csv',
  gpx: 'application/gpx+xml',
  geojson: 'application/geo+json',
};

/** Reads one file after the other, and works on the last. */
export const flightFileWorker = () =>
  new Worker(new URL(require.unstable_resolveWorker('./flight-file.worker.ts'), window.location.href), {
    type: 'module',
  });

const saveWritten = ({ as, text }: FromViewer & { readonly is: 'written' }): void =>
  saveFile(`flight.${as}`, text ?? '', TYPES[as]);

/** One worker a file: the next file gets another. */
function useWorkerOfFile() {
  const worker = useRef<Worker | null>(null);
  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => stop, [stop]);
  return {
    stop,
    post: (what: ToViewer) => worker.current?.postMessage(what),
    begin: (heard: (data: FromViewer) => void, failed: (message: string) => void) => {
      const own = flightFileWorker();
      worker.current = own;
      own.onmessage = ({ data }: MessageEvent<FromViewer>) => heard(data);
      own.onerror = ({ message }) =>
        failed(message || 'The part that reads flights did not load: reload the page.');
    },
  };
}

/** A recorder's file, read and worked on away from the page. */
export function useFlightFile() {
  const worker = useWorkerOfFile();
  const { data: roster } = useRoster();
  const [name, setName] = useState<string | null>(null);
  const [isWorking, setWorking] = useState(false);
  const [bad, setBad] = useState<string | null>(null);
  const [understood, setUnderstood] = useState<Understood | null>(null);
  const tell = (what: ToViewer) => {
    if (what.do === 'read' || what.do === 'map') setWorking(true);
    worker.post(what);
  };
  const looking = useLooking(tell);
  const judging = useJudging(tell);
  const evidence = useEvidence(tell);
  const keeping = useKeeping(tell);
  const heard = (data: FromViewer) => {
    setWorking(false);
    if (data.is === 'bad') {
      setBad(data.message);
      judging.begin();
    } else if (data.is === 'understood') {
      setUnderstood(data);
      looking.begin(data.view?.whole ?? null);
      judging.begin();
    } else if (data.is === 'part' || data.is === 'shown') looking.told(data);
    else if (data.is === 'judged') judging.told(data.judged);
    else if (data.is === 'written') saveWritten(data);
    else if (data.is === 'packed') keeping.told(data);
    else if (data.is === 'events')
      setUnderstood((now) => (now?.view ? { ...now, view: { ...now.view, events: data.events } } : now));
    else evidence.told(data);
  };
  const read = (file: File) => {
    worker.stop();
    setName(file.name);
    setBad('Worker' in globalThis ? null : NO_WORKERS);
    setUnderstood(null);
    if (!('Worker' in globalThis)) return;
    worker.begin(heard, (message) => {
      setWorking(false);
      setBad(message);
    });
    tell({ do: 'read', file, recipes: recipesHere(), sites: roster?.sites ?? [] });
  };
  return {
    name,
    isWorking,
    bad,
    understood,
    looking,
    judging,
    read,
    /** Saves it as another file. */
    write: (as: OutKind) => tell({ do: 'write', as }),
    map: (mapping: Mapping) => tell({ do: 'map', mapping }),
    /** A line that nobody flies over: where it was crossed stands among the events. */
    drawLine: (line: EventLimits['line']) => tell({ do: 'line', line }),
    evidenceOf: evidence.of,
    keep: keeping.keep,
    /** Why nothing was read, where it never came to that. */
    fail: setBad,
  };
}
