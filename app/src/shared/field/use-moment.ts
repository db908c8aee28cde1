import { useCallback, useEffect, useRef, useState } from 'react';

/** How fast a flight is played. */
export const PACES = [0.25, 0.5, 1, 2, 4, 8] as const;
type Pace = (typeof PACES)[number];

export interface LookedMoment {
  /** s from the beginning of the flight. */
  readonly t: number;
  readonly plays: boolean;
  readonly pace: Pace;
  readonly goTo: (t: number) => void;
  readonly toggle: () => void;
  readonly setPace: (pace: Pace) => void;
}

/**
 * The moment of a flight that is looked at; it runs on while it plays, and stops at the end of what is shown.
 * @param beginS the moment that is looked at first
 */
export function useMoment(fromS: number, toS: number, beginS = fromS): LookedMoment {
  const [t, setT] = useState(beginS);
  const [plays, setPlays] = useState(false);
  const [pace, setPace] = useState<Pace>(1);
  const at = useRef(t);
  at.current = t;
  useEffect(() => {
    if (!plays) return undefined;
    let last: number | null = null;
    let frame = requestAnimationFrame(function next(now) {
      const passed = last === null ? 0 : ((now - last) / 1000) * pace;
      last = now;
      const then = Math.min(toS, at.current + passed);
      setT(then);
      if (then >= toS) setPlays(false);
      else frame = requestAnimationFrame(next);
    });
    return () => cancelAnimationFrame(frame);
  }, [plays, pace, toS]);
  const goTo = useCallback((to: number) => {
    setPlays(false);
    setT(to);
  }, []);
  return {
    t: Math.min(toS, Math.max(fromS, t)),
    plays,
    pace,
    goTo,
    setPace,
    toggle: () => {
      if (at.current >= toS || at.current < fromS) setT(fromS);
      setPlays(!plays);
    },
  };
}
