import type { AnswerNumber } from '@skelby/core/flight-log/flight-log';
import { CENTRED, type ModeNow, type StickPosition } from '@skelby/core/simulator/control/control';
import { type RefObject, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { saveFile } from '../../shared/ui/save-file';
import type { FromWorker, Scored, Shown, ToDo, ToStart } from './practice-messages';
import type { Pace } from './pace';
import { NO_WORKERS } from '../../shared/ui/use-worker';

export type FlightStart = Omit<ToStart, 'do' | 'seed'>;

export interface FlightControls {
  /** Sets it up again at the start; it waits there until `go`. */
  readonly again: () => void;
  readonly go: () => void;
  /** Again, and off at once. */
  readonly next: () => void;
  /** Stops time where it is; `go` lets it go on. */
  readonly freeze: () => void;
  /** Takes the flight over at a moment of it, s: it waits there until `go`. */
  readonly flyFrom: (atS: number) => void;
  readonly isFlying: boolean;
  /** It waits in the middle of a flight. */
  readonly isFrozen: boolean;
  /** The rep that is over; null while it is not. */
  readonly scored: Scored | null;
  readonly failed: string | null;
  readonly dropHold: (lost: boolean) => void;
  readonly loseLink: (lost: boolean) => void;
  readonly goHome: () => void;
  readonly answer: (answer: AnswerNumber | true) => void;
  readonly takeOver: () => void;
  /** Keeps the flight as an open log. */
  readonly save: () => void;
}

interface Callbacks {
  readonly mode: ModeNow;
  readonly pace: Pace;
  /** Read once a frame. */
  readonly sticks: () => StickPosition;
  /** Called with each new place. */
  readonly onFrame: (shown: Shown) => void;
}

type Held = Omit<Extract<ToDo, { do: 'fly' }>, 'do' | 'seconds'>;

/** Once a frame the sticks go out; a worker that has fallen behind is not given more. */
class Frames {
  private last: number | null = null;
  private isAnswered = true;
  private sentAt = 0;

  constructor(private readonly held: () => Held) {}

  /** The worker has flown what it was given. */
  answered(): void {
    this.isAnswered = true;
    if (this.sentAt > 0) performance.measure('skelby.stick-to-pose', { start: this.sentAt });
  }

  /** @returns what stops it */
  run(worker: Worker, isFlying: () => boolean): () => void {
    let frame = 0;
    const tick = (at: number) => {
      frame = requestAnimationFrame(tick);
      if (!isFlying()) this.last = null;
      else if (this.isAnswered) this.send(worker, at);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }

  private send(worker: Worker, at: number): void {
    const seconds = this.last === null ? 0 : (at - this.last) / 1000;
    this.last = at;
    this.isAnswered = false;
    this.sentAt = performance.now();
    worker.postMessage({ do: 'fly', ...this.held(), seconds } satisfies ToDo);
  }
}

interface PressedNow {
  answer: AnswerNumber | boolean;
  takeOver: boolean;
}

/** What can be done to the flight beside steering it. */
function useTools(tell: (what: ToDo) => void, pressed: RefObject<PressedNow>) {
  return useMemo(
    () => ({
      dropHold: (lost: boolean) => tell({ do: 'hold', lost }),
      loseLink: (lost: boolean) => tell({ do: 'link', lost }),
      goHome: () => tell({ do: 'go-home' }),
      save: () => tell({ do: 'save' }),
      answer: (answer: AnswerNumber | true) => {
        pressed.current = { ...pressed.current, answer };
      },
      takeOver: () => {
        pressed.current = { ...pressed.current, takeOver: true };
      },
    }),
    [tell, pressed],
  );
}

type Run = (on: boolean, off?: 'still' | 'frozen') => void;

interface Standing {
  readonly again: () => void;
  readonly run: Run;
  readonly tell: (what: ToDo) => void;
  readonly setScored: (scored: null) => void;
}

/** What lets it fly, and makes it wait. */
function useWaiting({ again, run, tell, setScored }: Standing) {
  return useMemo(
    () => ({
      go: () => run(true),
      next: () => {
        again();
        run(true);
      },
      freeze: () => {
        run(false, 'frozen');
        tell({ do: 'freeze' });
      },
      flyFrom: (atS: number) => {
        setScored(null);
        run(false, 'frozen');
        tell({ do: 'fly-from', atS });
      },
    }),
    [again, run, tell, setScored],
  );
}

/**
 * Flies beside the page: once a frame it sends the sticks and gets back where the craft is.
 * @param from what is flown; keep it stable, a new one begins anew
 */
export function useFlight(from: FlightStart, callbacks: Callbacks): FlightControls {
  const worker = useRef<Worker | null>(null);
  const flying = useRef(false);
  const pressed = useRef<PressedNow>({ answer: false, takeOver: false });
  const [stands, setStands] = useState<'still' | 'flying' | 'frozen'>('still');
  const [scored, setScored] = useState<Scored | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const now = useRef(callbacks);
  now.current = callbacks;
  const tell = useCallback((what: ToDo) => worker.current?.postMessage(what), []);
  const run: Run = useCallback((on, off = 'still') => {
    flying.current = on;
    setStands(on ? 'flying' : off);
  }, []);
  const again = useCallback(() => {
    run(false);
    setScored(null);
    tell({ do: 'start', ...from, seed: Math.floor(Math.random() * 1e9) });
  }, [from, run, tell]);
  useEffect(() => {
    if (!('Worker' in globalThis)) {
      setFailed(NO_WORKERS);
      return undefined;
    }
    const own = new Worker(
      new URL(require.unstable_resolveWorker('./practice.worker.ts'), window.location.href),
      { type: 'module' },
    );
    worker.current = own;
    const frames = new Frames(() => {
      const { mode, pace, sticks } = now.current;
      const told = { sticks: sticks() ?? CENTRED, mode, pace, ...pressed.current };
      pressed.current = { answer: false, takeOver: false };
      return told;
    });
    own.onmessage = ({ data }: MessageEvent<FromWorker>) => {
      if (data.is === 'shown') {
        now.current.onFrame(data);
        frames.answered();
      } else if (data.is === 'scored') {
        setScored(data);
        run(false);
      } else saveFile('practice-flight.csv', data.csv, 'text/csv');
    };
    own.onerror = (event) => setFailed(event.message || 'The part that flies did not load: reload the page.');
    again();
    const stop = frames.run(own, () => flying.current);
    return () => {
      stop();
      own.terminate();
      worker.current = null;
    };
  }, [again, run]);
  const tools = useTools(tell, pressed);
  const waiting = useWaiting({ again, run, tell, setScored });
  const isFlying = stands === 'flying';
  return { again, isFlying, isFrozen: stands === 'frozen', scored, failed, ...waiting, ...tools };
}
