import { isTrainingCase, type TrainingCaseId } from '@skelby/core/agreement/training-cases';
import type { CauseId } from '@skelby/core/causes/causes';
import type { AgreementPage, CaseJudged } from '@skelby/core/pages/agreement';
import { may } from '@skelby/core/people/roles';
import { causeId } from '@skelby/core/schemas/fields';
import type { Context } from 'koa';
import { v7 as uuid } from 'uuid';
import { object } from 'yup';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';
import { bodyOf } from '../http/body';
import { assertPlain } from '../problem/plain';
import { conflict, notFound } from '../problem/problem';

interface JudgedRow extends CaseJudged {
  readonly accountId: string;
  readonly name: string;
}

/** Of the cases that whoever asks has judged, and by accounts that are still open. */
const JUDGED = `
  select j.account_id, a.name, j.case_id, j.cause_id
    from case_judgements j join accounts a on a.school_id = j.school_id and a.id = j.account_id
   where (a.ended_at is null or a.id = :accountId)
     and j.case_id in (select case_id from case_judgements where account_id = :accountId)
   order by a.name, a.id, j.case_id`;

/** What trainers said of the same cases: nothing of anybody's before one has judged the case oneself. */
export async function agreementPage({ tx, accountId, role }: SchoolTx): Promise<AgreementPage> {
  const rows = (await rowsOf<JudgedRow>(tx, tx.raw(JUDGED, { accountId }))).filter(({ caseId }) =>
    isTrainingCase(caseId),
  );
  const judged = ({ caseId, causeId: said }: JudgedRow): CaseJudged => ({ caseId, causeId: said });
  const others: Partial<Record<TrainingCaseId, Partial<Record<CauseId, number>>>> = {};
  const trainers = new Map<string, { readonly name: string; readonly judged: CaseJudged[] }>();
  for (const row of rows) {
    if (row.accountId === accountId) continue;
    const ofCase = (others[row.caseId] ??= {});
    ofCase[row.causeId] = (ofCase[row.causeId] ?? 0) + 1;
    const trainer = trainers.get(row.accountId) ?? { name: row.name, judged: [] };
    trainer.judged.push(judged(row));
    trainers.set(row.accountId, trainer);
  }
  return {
    own: rows.filter((row) => row.accountId === accountId).map(judged),
    others,
    // Figures by trainer are for that trainer and a lead.
    trainers: may(role, 'people') ? [...trainers.values()] : [],
  };
}

const judgementShape = object({ causeId: causeId('cause') }).noUnknown();

/**
 * Judges a case: what is said first, without having seen what others said, stays.
 * @throws Problem 404 for a case that is none, 409 for another word on one that is judged, 422
 */
export async function judgeCase({ tx, schoolId, accountId }: SchoolTx, ctx: Context): Promise<CaseJudged> {
  const { caseId } = ctx['params'] as { caseId: string };
  if (!isTrainingCase(caseId)) throw notFound('training case');
  assertPlain(bodyOf(ctx));
  const { causeId: said } = await judgementShape.validate(bodyOf(ctx), { abortEarly: false });
  await tx('case_judgements')
    .insert({ schoolId, id: uuid(), accountId, caseId, causeId: said })
    .onConflict(['school_id', 'account_id', 'case_id'])
    .ignore();
  const stands = (await tx('case_judgements').where({ accountId, caseId }).first('cause_id')) as {
    causeId: CauseId;
  };
  if (stands.causeId !== said)
    throw conflict('You have judged this case: what was said before seeing others stays.');
  return { caseId, causeId: said };
}
