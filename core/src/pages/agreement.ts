import type { TrainingCaseId } from '../agreement/training-cases';
import type { CauseId } from '../causes/causes';

export interface CaseJudged {
  readonly caseId: TrainingCaseId;
  readonly causeId: CauseId;
}

/** What trainers said of the same cases: of nobody but oneself before one has judged a case oneself. */
export interface AgreementPage {
  readonly own: readonly CaseJudged[];
  /** By case and cause how many other trainers said so. */
  readonly others: Readonly<Partial<Record<TrainingCaseId, Readonly<Partial<Record<CauseId, number>>>>>>;
  /** For a lead alone, in the order of names: what each trainer judged of the cases that the lead has judged, too. */
  readonly trainers: readonly { readonly name: string; readonly judged: readonly CaseJudged[] }[];
}
