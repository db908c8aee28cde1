import type { Evidence } from '@skelby/core/evidence/evidence';
import type { Mapping } from '@skelby/core/recorded-flight/mapping/mapping';
import type { OutKind } from '@skelby/core/recorded-flight/out/write-out';
import type { ShownAgain } from '@skelby/core/recorded-flight/shown-again';
import type { Stretch } from '@skelby/core/recorded-flight/stretch';
import { useCallback, useEffect, useRef, useState } from 'react';
import { saveFile } from '../../shared/ui/save-file';
import { NO_WORKERS } from '../../shared/ui/use-worker';
import type { FromViewer, ToViewer } from './flight-file.worker';
import { recipesHere } from './recipes';

export type Understood = FromViewer & { readonly is: 'understood' };

const TYPES: Readonly<Record<OutKind, string>> = {
  csv: 'text/csv',
  gpx: 'application/gpx+xml',
  geojson: 'application/geo+json',
};

type Asked = { readonly event: number; readonly tell: (evidence: Evidence) => void };

const flightFileWorker = () =>
  new Worker(new URL(require.unstable_resolveWorker('./flight-file.worker.ts'), window.location.href), {
    type: 'module',
  });

/** The part of a flight that is looked at, and what can be stood before. */
function useLooking(tell: (what: ToViewer) => void) {
  const [part, setPart] = useState<Stretch | null>(null);
  const [shown, setShown] = useState<ShownAgain | null>(null);
  return {
    part,
    /** null until it is asked for. */
    shown,
    begin: (whole: Stretch | null) => {
      setPart(whole);
      setShown(null);
    },
    told: (data: FromViewer & { readonly is: 'part' | 'shown' }) => {
      if (data.is === 'part') setPart(data.part);
      else setShown(data.shown);
    },
    look: (fromS: number, toS: number) => {
      tell({ do: 'part', fromS, toS });
      if (shown) tell({ do: 'show', fromS, toS });
    },
    show: (fromS: number, toS: number) => tell({ do: 'show', fromS, toS }),
    hide: () => setShown(null),
  };
}
export type Looking = ReturnType<typeof useLooking>;

/** A recorder's file, read and worked on away from the page. */
export function useFlightFile() {
  const worker = useRef<Worker | null>(null);
  const asked = useRef<Asked | null>(null);
  const [name, setName] = useState<string | null>(null);
  const [isWorking, setWorking] = useState(false);
  const [bad, setBad] = useState<string | null>(null);
  const [understood, setUnderstood] = useState<Understood | null>(null);

  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => stop, [stop]);
  const tell = (what: ToViewer) => {
    setWorking(true);
    worker.current?.postMessage(what);
  };
  const looking = useLooking(tell);
  const read = (file: File) => {
    stop();
    setName(file.name);
    setBad(null);
    setUnderstood(null);
    if (!('Worker' in globalThis)) {
      setBad(NO_WORKERS);
      return;
    }
    const own = flightFileWorker();
    worker.current = own;
    own.onmessage = ({ data }: MessageEvent<FromViewer>) => {
      setWorking(false);
      if (data.is === 'bad') setBad(data.message);
      else if (data.is === 'understood') {
        setUnderstood(data);
        looking.begin(data.view?.whole ?? null);
      } else if (data.is === 'part' || data.is === 'shown') looking.told(data);
      else if (data.is === 'written') saveFile(`flight.${data.as}`, data.text ?? '', TYPES[data.as]);
      else if (asked.current?.event === data.event) asked.current.tell(data.evidence);
    };
    own.onerror = ({ message }) => {
      setWorking(false);
      setBad(message || 'The part that reads flights did not load: reload the page.');
    };
    tell({ do: 'read', file, recipes: recipesHere() });
  };
  return {
    name,
    isWorking,
    bad,
    understood,
    looking,
    read,
    /** Saves it as another file. */
    write: (as: OutKind) => tell({ do: 'write', as }),
    map: (mapping: Mapping) => tell({ do: 'map', mapping }),
    /** What the flight answers of a debrief, around one of its events. */
    evidenceOf: (event: number) =>
      new Promise<Evidence>((resolve) => {
        asked.current = { event, tell: resolve };
        tell({ do: 'evidence', event });
      }),
  };
}
