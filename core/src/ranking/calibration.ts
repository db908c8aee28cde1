import { clopperPearson, type Interval } from '../rates/exact-interval';

/** How sure the ranking was of the cause that it named first, and whether the trainer decided so. */
export interface SaidChance {
  readonly probability: number;
  readonly decidedSo: boolean;
}

/** Debriefs in which it was about so sure. */
export interface SaidAgainstDecided {
  /** Mean of what was said, 0 to 1. */
  readonly said: number;
  readonly debriefs: number;
  readonly decidedSo: number;
  /** Exact, 95 % (Clopper and Pearson 1934). */
  readonly interval: Interval;
}

const EDGES = [0, 0.4, 0.6, 0.8, 0.9, 1] as const;

/** What was said against what was decided, from unsure to sure; only where there is something to tell. */
export const saidAgainstDecided = (all: readonly SaidChance[]): readonly SaidAgainstDecided[] =>
  EDGES.slice(1).flatMap((to, i): readonly SaidAgainstDecided[] => {
    const inside = all.filter(({ probability }) => probability > EDGES[i]! && probability <= to);
    if (inside.length === 0) return [];
    const decidedSo = inside.filter((each) => each.decidedSo).length;
    return [
      {
        said: inside.reduce((sum, { probability }) => sum + probability, 0) / inside.length,
        debriefs: inside.length,
        decidedSo,
        interval: clopperPearson(decidedSo, inside.length),
      },
    ];
  });
