import { CASE_SENTENCES } from './cases';
import { FIELD_SENTENCES } from './fields';
import { FLYING_SENTENCES } from './flying';
import { LOG_SENTENCES } from './log';
import { RECORDING_SENTENCES } from './recording';
import { SUM_SENTENCES } from './sums';
import { TRAINING_SENTENCES } from './training';
import type { SentenceId } from '@skelby/core/vocabulary/sentence-ids';

/**
 * Every sentence that a rule decides on. `{name}` stands for a figure as it is, `{name|form}` for one that is put
 * into words; see `say`.
 */
export const SENTENCES: Readonly<Record<SentenceId, string>> = {
  ...FIELD_SENTENCES,
  ...TRAINING_SENTENCES,
  ...FLYING_SENTENCES,
  ...CASE_SENTENCES,
  ...SUM_SENTENCES,
  ...LOG_SENTENCES,
  ...RECORDING_SENTENCES,
};
