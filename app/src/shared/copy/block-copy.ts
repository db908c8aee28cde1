import type { FindDrill } from '@skelby/core/drills/drill-book';
import type { Block } from '@skelby/core/plan/layout/block';
import { SIDE_WORDS } from './copy';

/** A block of a session in words: "6 × Clock hover, nose left". */
export function blockWords(
  { reps, drillId, side }: Pick<Block, 'reps' | 'drillId' | 'side'>,
  findDrill: FindDrill,
): string {
  return `${reps} × ${findDrill(drillId).name}${side ? `, ${SIDE_WORDS[side].toLowerCase()}` : ''}`;
}
