import type { FindWordedDrill } from '@skelby/copy/drill-book';
import type { Block } from '@skelby/core/plan/layout/block';
import { MODE_WORDS, PURPOSE_WORDS, SIDE_WORDS } from './copy';

/** A block of a session in words: "6 × Clock hover, nose left". */
export function blockWords(
  { reps, drillId, side }: Pick<Block, 'reps' | 'drillId' | 'side'>,
  findDrill: FindWordedDrill,
): string {
  return `${reps} × ${findDrill(drillId).name}${side ? `, ${SIDE_WORDS[side].toLowerCase()}` : ''}`;
}

/** What a block is for, and the mode it is flown in: "test, in height hold mode". */
export const purposeWords = ({ purpose, mode = null }: Pick<Block, 'purpose' | 'mode'>): string =>
  [PURPOSE_WORDS[purpose], ...(mode ? [`in ${MODE_WORDS[mode]} mode`] : [])].join(', ').toLowerCase();
