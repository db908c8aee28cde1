import type { CauseId } from '../causes/causes';
import type { Case } from './cases';

/** A case that is told freely, with what followed from its cause where something did. */
export interface ToldCase extends Case {
  readonly then?: CauseId;
}
