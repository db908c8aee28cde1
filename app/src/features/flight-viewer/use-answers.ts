import type { DrillId } from '@skelby/core/drills/drills';
import type { Evidence } from '@skelby/core/evidence/evidence';
import type { FieldReps } from '@skelby/core/recorded-flight/reps/judge-reps';
import type { ShownAgain } from '@skelby/core/recorded-flight/shown-again';
import type { Stretch } from '@skelby/core/recorded-flight/stretch';
import { useRef, useState } from 'react';
import type { FromViewer, ToViewer } from './flight-file.worker';

/** What the worker that holds the flight is asked, and what it answered. */

/** The part of a flight that is looked at, and what can be stood before. */
export function useLooking(tell: (what: ToViewer) => void) {
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

type ToJudge = Omit<ToViewer & { readonly do: 'judge' }, 'do'>;

/** What a judgement hangs on: judged otherwise, it is another. */
const keyOf = ({ drillId, side, placement, posts, craft }: Omit<ToJudge, 'fromS' | 'toS'>): string =>
  JSON.stringify([drillId, side, placement, posts, craft]);

/** The reps of a drill that were found in a part of it. */
export function useJudging(tell: (what: ToViewer) => void) {
  const [asked, setAsked] = useState('');
  const [judged, setJudged] = useState<FieldReps | null>(null);
  const [isJudging, setIsJudging] = useState(false);
  return {
    isJudging,
    /** Judged with other marks, or as another drill, they say nothing of this; null: not judged so. */
    repsOf: (
      what: Pick<ToJudge, 'side' | 'placement' | 'posts' | 'craft'> & { readonly drillId: DrillId | null },
    ) => (what.drillId && keyOf({ ...what, drillId: what.drillId }) === asked ? judged : null),
    /** Nothing is judged: another flight, or it could not be. */
    begin: () => {
      setJudged(null);
      setIsJudging(false);
    },
    told: (reps: FieldReps | null) => {
      setJudged(reps);
      setIsJudging(false);
    },
    judge: (what: ToJudge) => {
      setJudged(null);
      setAsked(keyOf(what));
      setIsJudging(true);
      tell({ do: 'judge', ...what });
    },
  };
}
export type FieldJudging = ReturnType<typeof useJudging>;

/** What the flight answers of a debrief, around one of its events. */
export function useEvidence(tell: (what: ToViewer) => void) {
  const asked = useRef<{ readonly event: number; readonly tell: (evidence: Evidence) => void } | null>(null);
  return {
    of: (event: number) =>
      new Promise<Evidence>((resolve) => {
        asked.current = { event, tell: resolve };
        tell({ do: 'evidence', event });
      }),
    told: ({ event, evidence }: FromViewer & { readonly is: 'evidence' }) => {
      if (asked.current?.event === event) asked.current.tell(evidence);
    },
  };
}
