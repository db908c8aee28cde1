import type { FlightView } from '@skelby/core/recorded-flight/flight-view';
import { useCallback, useEffect, useRef, useState } from 'react';
import { NO_WORKERS } from '../../shared/ui/use-worker';
import { flightFileWorker } from './use-flight-file';
import type { FromViewer, ToViewer } from './flight-file.worker';
import { recipesHere } from './recipes';
import { useKeeping } from './use-keeping';

/** One of several files: what is in it, or why nothing is. */
export interface ReadFile {
  readonly name: string;
  readonly file: File;
  /** The same flight in two files is listed once. */
  readonly flownId: string | null;
  readonly view: Omit<FlightView, 'whole'> | null;
  readonly problem: string | null;
}

const asRead = (file: File, data: FromViewer): ReadFile | null => {
  const { name } = file;
  if (data.is === 'bad') return { name, file, flownId: null, view: null, problem: data.message };
  if (data.is !== 'understood') return null;
  if (!data.view) return { name, file, flownId: null, view: null, problem: data.problem };
  const { whole: _, ...view } = data.view;
  return { name, file, flownId: data.flownId, view, problem: null };
};

/** Reads files one after the other, away from the page. */
export function useFlightFiles() {
  const worker = useRef<Worker | null>(null);
  const [read, setRead] = useState<readonly ReadFile[]>([]);
  const [left, setLeft] = useState<readonly File[]>([]);
  const [next] = left;
  const keeping = useKeeping((what) => (worker.current ??= flightFileWorker()).postMessage(what));
  const keepingNow = useRef(keeping);
  keepingNow.current = keeping;
  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = null;
    },
    [],
  );
  const done = useCallback((file: ReadFile) => {
    setRead((all) => [...all, file]);
    setLeft(([, ...others]) => others);
  }, []);
  useEffect(() => {
    if (!next) return;
    const failed = (problem: string) =>
      done({ name: next.name, file: next, flownId: null, view: null, problem });
    if (!('Worker' in globalThis)) {
      failed(NO_WORKERS);
      return;
    }
    const own = (worker.current ??= flightFileWorker());
    own.onmessage = ({ data }: MessageEvent<FromViewer>) => {
      if (data.is === 'packed') keepingNow.current.told(data);
      const file = asRead(next, data);
      if (file) done(file);
    };
    own.onerror = ({ message }) => {
      worker.current?.terminate();
      worker.current = null;
      failed(message || 'The part that reads flights did not load: reload the page.');
    };
    own.postMessage({ do: 'read', file: next, recipes: recipesHere() } satisfies ToViewer);
  }, [next, done]);
  return {
    read,
    keep: keeping.keep,
    leftToRead: left.length,
    add: (files: readonly File[]) => setLeft((waiting) => [...waiting, ...files]),
  };
}
