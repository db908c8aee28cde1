import { isFirstEdition } from './clearing-rule';
import type { WeaknessFacts } from './facts';
import { firstEditionOf } from './first-edition';
import type { Clearance } from './rungs';
import { type Checkpoint, secondEditionOf } from './second-edition';

export type { Chart, Check, Clearance, Rung } from './rungs';

/**
 * The five rungs of clearance, worked out afresh from what happened: the trainer's moves and the
 * reps flown. Nothing is stored that this cannot work out again.
 * @param since goes on from there, see `secondEditionOf`
 */
export const clearanceOf = (facts: WeaknessFacts, since?: Checkpoint | null): Clearance =>
  isFirstEdition(facts.rule) ? firstEditionOf(facts) : secondEditionOf(facts, since);
