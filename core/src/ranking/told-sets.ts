import { CHAINS_RECODED } from './cases-chains-recoded';
import { RECODED } from './cases-recoded';
import { THIRD_RECODED } from './cases-third-recoded';
import { TOLD_CASES } from './cases-told';
import { TOLD_CHAINS } from './cases-told-chains';
import { FOURTH_TOLD_CASES } from './cases-told-fourth';
import { THIRD_TOLD_CASES } from './cases-told-third';
import type { ToldCase } from './told-case';
import type { Evidence } from '../evidence/evidence';

/** Stories that were told in one go and coded afterwards, a second time on another day. */
export interface ToldSet {
  readonly name: string;
  readonly cases: readonly ToldCase[];
  /** The second coding, in the order of the cases; of the newest there is none yet. */
  readonly again: readonly Evidence[];
}

export const TOLD_SETS: readonly ToldSet[] = [
  { name: 'told freely', cases: TOLD_CASES, again: RECODED },
  { name: 'told freely, one for each cause', cases: THIRD_TOLD_CASES, again: THIRD_RECODED },
  { name: 'told freely, chains only', cases: TOLD_CHAINS, again: CHAINS_RECODED },
  { name: 'told freely, nothing moved after reading', cases: FOURTH_TOLD_CASES, again: [] },
];

/** The stories of a set with the answers of their second coding. */
export const codedAgain = ({ cases, again }: ToldSet): readonly ToldCase[] =>
  again.map((evidence, i) => ({ ...cases[i]!, evidence }));
