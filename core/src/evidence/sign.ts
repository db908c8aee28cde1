import type { CraftFacts } from '../vocabulary/craft-facts';
import type { Answers, EvidenceCluster } from './question';

/**
 * Something that several answers, or an answer and the craft's own physics, show together: a number enters
 * the ranking
 * only through the sum made from it.
 */
export interface Sign {
  readonly id: string;
  readonly story: EvidenceCluster;
  /** The questions it is made from; those that `chance` cannot do without come in `needs`. */
  readonly needs: readonly string[];
  readonly uses: readonly string[];
  /**
   * How likely it is that it holds, 0 to 1, with the uncertainty of the numbers in it; null when too little
   * is known.
   */
  readonly chance: (known: Answers, craft: CraftFacts) => number | null;
}
