import type { StickPosition } from '@skelby/core/simulator/control/control';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';

/** The phone leaned so far is a stick at its end, °. */
const FULL_DEG = 25;
const DEAD_DEG = 2;

/** The phone's own lean as pitch and roll. */
export interface Tilt {
  readonly on: boolean;
  readonly failed: string | null;
  /** Pitch and roll as the phone leans now; null while off. */
  readonly read: () => StickPosition | null;
  /** On takes the way it is held now as level. */
  readonly toggle: () => void;
}

interface AsksFirst {
  requestPermission?: () => Promise<'granted' | 'denied'>;
}

/** Stick for a lean, −1 to 1. @param deg from level */
export const leanStick = (deg: number): number =>
  Math.abs(deg) < DEAD_DEG ? 0 : Math.max(-1, Math.min(1, deg / FULL_DEG));

/**
 * Lean to and from the pilot, and to the side, of a phone that is held turned. @param angle of the screen to
 * the phone, ° @param beta @param gamma the phone's own, °
 */
export function asHeld(
  angle: number,
  beta: number,
  gamma: number,
): { readonly beta: number; readonly gamma: number } {
  switch ((angle + 360) % 360) {
    case 90:
      return { beta: -gamma, gamma: beta };
    case 180:
      return { beta: -beta, gamma: -gamma };
    case 270:
      return { beta: gamma, gamma: -beta };
    default:
      return { beta, gamma };
  }
}

export function useTilt(): Tilt {
  const [on, setOn] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const now = useRef<{ readonly beta: number; readonly gamma: number } | null>(null);
  const level = useRef<{ readonly beta: number; readonly gamma: number } | null>(null);
  useEffect(() => {
    if (!on) return undefined;
    [now.current, level.current] = [null, null];
    const leaned = ({ beta, gamma }: DeviceOrientationEvent) => {
      if (beta === null || gamma === null) return;
      now.current = asHeld(window.screen.orientation?.angle ?? 0, beta, gamma);
      level.current ??= now.current;
    };
    window.addEventListener('deviceorientation', leaned);
    const waited = setTimeout(() => {
      if (!now.current) {
        setFailed('This device does not tell how it leans: use sticks or keys.');
        setOn(false);
      }
    }, 1_500);
    return () => {
      clearTimeout(waited);
      window.removeEventListener('deviceorientation', leaned);
    };
  }, [on]);
  const toggle = useCallback(() => {
    setFailed(null);
    if (on) {
      setOn(false);
      return;
    }
    const asks = (window.DeviceOrientationEvent ?? {}) as AsksFirst;
    if (!asks.requestPermission) {
      setOn(true);
      return;
    }
    void asks.requestPermission().then((answer) => {
      if (answer === 'granted') setOn(true);
      else setFailed('The phone may not tell how it leans: allow motion for this page.');
    });
  }, [on]);
  return useMemo(
    () => ({
      on,
      failed,
      toggle,
      read: () =>
        on && now.current && level.current
          ? {
              throttle: 0,
              yaw: 0,
              pitch: leanStick(level.current.beta - now.current.beta),
              roll: leanStick(now.current.gamma - level.current.gamma),
            }
          : null,
    }),
    [on, failed, toggle],
  );
}
