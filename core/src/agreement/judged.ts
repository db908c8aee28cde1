import { CAUSES, type CauseId } from '../causes/causes';
import type { AgreementPage, CaseJudged } from '../pages/agreement';
import { type Agreement, cohenKappa, gwetAc1, type SaidOfCase } from './agreement';
import { TRAINING_CASES, type TrainingCase, type TrainingCaseId } from './training-cases';

/** How one person's judgements stand to those the cases were written for. */
export interface AgainstSet {
  readonly cases: number;
  readonly same: number;
  readonly ac1: Agreement | null;
  readonly kappa: Agreement | null;
}

const CAUSES_ON_OFFER = CAUSES.length;

export function againstSet(judged: readonly CaseJudged[]): AgainstSet {
  const pairs = judged.flatMap(({ caseId, causeId }) => {
    const written = TRAINING_CASES.find(({ id }) => id === caseId);
    return written ? [[causeId, written.causeId] as const] : [];
  });
  const said = pairs.map(([one, other]): SaidOfCase =>
    one === other ? { [one]: 2 } : { [one]: 1, [other]: 1 },
  );
  return {
    cases: pairs.length,
    same: pairs.filter(([one, other]) => one === other).length,
    ac1: gwetAc1(said, CAUSES_ON_OFFER),
    kappa: cohenKappa(pairs),
  };
}

/** How far all trainers of the school who judged these cases say the same. */
export const amongTrainers = ({ own, others }: AgreementPage): Agreement | null =>
  gwetAc1(
    own.map(({ caseId, causeId }): SaidOfCase => {
      const theirs: SaidOfCase = others[caseId] ?? {};
      return { ...theirs, [causeId]: (theirs[causeId] ?? 0) + 1 };
    }),
    CAUSES_ON_OFFER,
  );

export interface CaseApart {
  readonly caseId: TrainingCaseId;
  readonly mine: CauseId;
  readonly written: CauseId;
  /** What others said of it and how many, most first. */
  readonly others: readonly (readonly [CauseId, number])[];
}

/** Cases that somebody judged otherwise, in the order of the set. */
export const casesApart = ({ own, others }: AgreementPage): readonly CaseApart[] =>
  TRAINING_CASES.flatMap(({ id, causeId: written }) => {
    const mine = own.find(({ caseId }) => caseId === id)?.causeId;
    if (mine === undefined) return [];
    const theirs = (Object.entries(others[id] ?? {}) as [CauseId, number][]).sort(
      ([one, a], [other, b]) => b - a || one.localeCompare(other),
    );
    const isApart = mine !== written || theirs.some(([causeId]) => causeId !== mine);
    return isApart ? [{ caseId: id, mine, written, others: theirs }] : [];
  });

/** Those still to be judged by this person, in an order of their own: two beside each other cannot copy. */
export function stillToJudge(own: readonly CaseJudged[], accountId: string): readonly TrainingCase[] {
  const place = (id: string) =>
    [...(accountId + id)].reduce((sum, letter) => (Math.imul(sum, 31) + letter.charCodeAt(0)) | 0, 7);
  return TRAINING_CASES.filter(({ id }) => !own.some(({ caseId }) => caseId === id)).sort(
    (one, other) => place(one.id) - place(other.id),
  );
}
