import { useCallback, useEffect, useRef, useState } from 'react';

const SLOW = 0.4;
const STEP_S = 0.5;

export interface Player {
  readonly playing: boolean;
  readonly slow: boolean;
  readonly toggle: () => void;
  readonly toggleSlow: () => void;
  readonly step: (direction: 1 | -1) => void;
}

/**
 * Runs a movement against the screen's own frames. What moves is drawn by `draw`, outside of React: a frame
 * costs only that.
 * It starts at rest; nobody who asked for less motion is shown any unasked.
 */
export function usePlayer(durationS: number, draw: (t: number) => void): Player {
  const [playing, setPlaying] = useState(false);
  const [slow, setSlow] = useState(false);
  const at = useRef(0);

  const show = useCallback(
    (t: number) => {
      const started = performance.now();
      at.current = t;
      draw(t);
      performance.measure('skelby.frame', { start: started });
    },
    [draw],
  );

  useEffect(() => {
    show(Math.min(at.current, durationS));
  }, [show, durationS]);
  useEffect(() => {
    if (!playing) return undefined;
    let last: number | null = null;
    let frame = requestAnimationFrame(function next(now) {
      const passed = last === null ? 0 : ((now - last) / 1000) * (slow ? SLOW : 1);
      last = now;
      const t = at.current + passed;
      show(t >= durationS ? 0 : t);
      frame = requestAnimationFrame(next);
    });
    return () => cancelAnimationFrame(frame);
  }, [playing, slow, durationS, show]);

  return {
    playing,
    slow,
    toggle: () => setPlaying(!playing),
    toggleSlow: () => setSlow(!slow),
    step: (direction) => {
      setPlaying(false);
      show(Math.min(durationS, Math.max(0, at.current + direction * STEP_S)));
    },
  };
}
