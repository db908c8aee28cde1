import { lineAt, type Replay } from '@skelby/core/assessment/replay';
import { type RefObject, useEffect, useMemo } from 'react';
import type { FieldHandle } from './Field';

/** The scene is there a little after the page. */
const SCENE_AFTER_MS = 300;

interface ShownMoment {
  readonly field: RefObject<FieldHandle | null>;
  readonly replay: Replay;
  readonly t: number;
  readonly pilot: { readonly x: number; readonly y: number };
  /** Changes where the same moment has to be drawn anew. */
  readonly redrawn?: unknown;
}

/**
 * Draws a moment of a flight, and its path, in the field.
 * @returns the line of the moment, and all places of the flight
 */
export function useReplayed({ field, replay, t, pilot, redrawn }: ShownMoment) {
  const i = lineAt(replay, t);
  const places = useMemo(
    () => Array.from(replay.t, (_, at) => [replay.x[at]!, replay.y[at]!, replay.z[at]!] as const),
    [replay],
  );
  useEffect(() => {
    field.current?.draw({
      position: [replay.x[i]!, replay.y[i]!, replay.z[i]!],
      attitude: [replay.qw[i]!, replay.qx[i]!, replay.qy[i]!, replay.qz[i]!],
      pilot,
    });
  }, [field, replay, i, pilot, redrawn]);
  useEffect(() => {
    const soon = setTimeout(() => field.current?.showPath(places), SCENE_AFTER_MS);
    return () => clearTimeout(soon);
  }, [field, places]);
  return { i, places };
}

/** Both sticks at a line of a flight. */
export const sticksAt = ({ throttle, yaw, pitch, roll }: Replay, i: number) => ({
  throttle: throttle[i]!,
  yaw: yaw[i]!,
  pitch: pitch[i]!,
  roll: roll[i]!,
});
