import { TRAINING_CASES, type TrainingCaseId } from '@skelby/core/agreement/training-cases';
import type { CauseId } from '@skelby/core/causes/causes';
import { v7 as uuid } from 'uuid';
import type { SchoolTx } from '../db/in-school';

/** What the second trainer of the story took for the cause, where it was written otherwise: what it hit, not why. */
const OTHERWISE: Readonly<Partial<Record<TrainingCaseId, CauseId>>> = {
  'the-radio': 'orientation-nose-in',
  'the-larch': 'obstacle-thin',
};

/** The second trainer has judged the training cases; whoever signs in as the first still has them to judge. */
export async function judgeCases({ tx, schoolId, accountId }: SchoolTx): Promise<void> {
  await tx('case_judgements').insert(
    TRAINING_CASES.map(({ id: caseId, causeId }) => ({
      ...{ schoolId, id: uuid(), accountId, caseId, causeId: OTHERWISE[caseId] ?? causeId },
    })),
  );
}
