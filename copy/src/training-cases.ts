import type { TrainingCaseId } from '@skelby/core/agreement/training-cases';
import { TRAINING_CASE_WORDS } from './en/training-cases';

export const trainingCaseWords = (id: TrainingCaseId) => TRAINING_CASE_WORDS[id];
