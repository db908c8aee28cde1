import type { Says } from '../commands/of-a-pilot';

/** What the pilot says of a weakness, by the private link. */
export interface SaidByPilot {
  readonly id: string;
  readonly says: Says;
  readonly words: string | null;
  readonly saidAt: string;
  readonly cameInAt: string;
}
