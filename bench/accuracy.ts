import type { CauseId } from '@skelby/core/causes/causes';
import { clopperPearson } from '@skelby/core/rates/exact-interval';
import type { RankedCause } from '@skelby/core/ranking/rank';
import { LIKELY_FROM } from '@skelby/core/ranking/stance';

/** A case whose cause is known, and what the ranking made of it. */
export interface Judged {
  readonly cause: CauseId;
  readonly causes: readonly Pick<RankedCause, 'id' | 'probability'>[];
}

/** How often so sure a ranking was right. */
export interface Bin {
  readonly from: number;
  readonly to: number;
  readonly cases: number;
  readonly right: number;
  /** Mean of what it said. */
  readonly said: number;
}

export interface Accuracy {
  readonly cases: number;
  readonly first: number;
  readonly firstThree: number;
  /** Called likely, and of these how many wrong. */
  readonly likely: number;
  readonly likelyWrong: number;
  /** Mean over cases of the sum over causes of (probability − truth)² (Brier 1950). */
  readonly brier: number;
}

const placeOf = ({ cause, causes }: Judged): number => causes.findIndex(({ id }) => id === cause);

export function accuracyOf(judged: readonly Judged[]): Accuracy {
  const sure = judged.filter(({ causes }) => causes[0]!.probability >= LIKELY_FROM);
  const squares = judged.map(({ cause, causes }) =>
    causes.reduce((sum, { id, probability }) => sum + (probability - (id === cause ? 1 : 0)) ** 2, 0),
  );
  return {
    cases: judged.length,
    first: judged.filter((each) => placeOf(each) === 0).length,
    firstThree: judged.filter((each) => placeOf(each) < 3).length,
    likely: sure.length,
    likelyWrong: sure.filter((each) => placeOf(each) !== 0).length,
    brier: squares.reduce((sum, each) => sum + each, 0) / judged.length,
  };
}

/** By how sure the first cause was. @param edges from 0 to 1, rising */
export function reliabilityOf(judged: readonly Judged[], edges: readonly number[]): readonly Bin[] {
  return edges.slice(1).map((to, i) => {
    const from = edges[i]!;
    const inside = judged.filter(
      ({ causes }) => causes[0]!.probability > from && causes[0]!.probability <= to,
    );
    return {
      from,
      to,
      cases: inside.length,
      right: inside.filter((each) => placeOf(each) === 0).length,
      said: inside.reduce((sum, { causes }) => sum + causes[0]!.probability, 0) / Math.max(1, inside.length),
    };
  });
}

const percent = (share: number) => `${(share * 100).toFixed(0)} %`;

/** "62 of 65, 95 %, 95 % interval 87 % to 99 %" (Clopper and Pearson). */
export function sayShare(right: number, of: number): string {
  const { low, high } = clopperPearson(right, of);
  return `${right} of ${of}, ${percent(right / of)}, 95 % interval ${percent(low)} to ${percent(high)}`;
}
