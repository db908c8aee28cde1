import type { CraftFacts } from '../vocabulary/craft-facts';
import type { Said } from '../vocabulary/said';

/** One attempt at a drill that is decided by what a pilot says or does on the ground. */
export interface DrillCase {
  readonly id: string;
  /** What the trainer reads out, or sets up where the pilot does not see it. */
  readonly says: Said;
  /** What is right; the pilot does not see it. */
  readonly answer: Said;
}

/** For whom the cases are drawn: what is right depends on the craft. */
export interface CaseContext {
  readonly craft: Pick<CraftFacts, 'hasPositionHold' | 'sensorSides'>;
  readonly windLimitMps: number;
}

/** One case of a deck: what is read out and what is right is worked out when it is drawn. */
export interface CardOfCases {
  readonly id: string;
  readonly of: (context: CaseContext) => Omit<DrillCase, 'id'>;
}

export type Deck = readonly CardOfCases[];

/** Every pairing of two lists, in order. */
export const pairs = <A, B>(as: readonly A[], bs: readonly B[]): readonly (readonly [A, B])[] =>
  as.flatMap((a) => bs.map((b) => [a, b] as const));
