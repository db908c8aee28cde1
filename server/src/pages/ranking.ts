import { assertPlain } from '../problem/plain';
import { answersOf, type Evidence } from '@skelby/core/evidence/evidence';
import {
  craftFacts,
  type CraftFacts,
  type CraftRecord,
  USUAL_CRAFT,
} from '@skelby/core/vocabulary/craft-facts';
import { inUnits, SI_UNITS } from '@skelby/core/vocabulary/units';
import { rank } from '@skelby/core/ranking/rank';
import { craftGivenShape, rankShape } from '@skelby/core/schemas/ranking';
import { startOf, sumsFor, workOut } from '@skelby/core/sums/sums';
import type { SchoolTx } from '../db/in-school';
import { badField } from '../problem/problem';
import { modelOf } from '../facts/experience';

async function craftGiven(
  { tx }: SchoolTx,
  craft: string | Partial<CraftRecord> | null,
): Promise<CraftFacts> {
  if (craft === null) return craftFacts(USUAL_CRAFT);
  if (typeof craft !== 'string') {
    await craftGivenShape.validate(craft, { abortEarly: false });
    return craftFacts({ ...USUAL_CRAFT, ...craft });
  }
  const row = (await tx('craft').where({ id: craft }).first()) as CraftRecord | undefined;
  if (!row)
    throw badField(
      'craft',
      'There is no such craft in your school: give the key of one that there is, or describe it.',
    );
  return craftFacts(row);
}

/**
 * Ranks the causes for the evidence sent, with the sums that have something to say about it. Saves nothing.
 */
export async function rankEvidence(school: SchoolTx, body: unknown) {
  assertPlain(body);
  const sent = await rankShape.validate(body ?? {}, { abortEarly: false });
  const craft = await craftGiven(school, sent.craft ?? null);
  const known = answersOf((sent.evidence ?? {}) as Evidence);
  const sums = sumsFor(known).map((sum) => {
    const values = startOf(sum, known, craft);
    const outcome = workOut(sum, values, craft);
    const said = {
      id: sum.id,
      question: sum.question,
      inputs: values,
      formula: sum.formula,
      source: sum.source,
      assumes: sum.assumes,
    };
    if ('problem' in outcome) return { ...said, problem: outcome.problem };
    const { tone, answer, figures } = outcome.worked;
    return {
      ...said,
      tone,
      answer: inUnits(answer, SI_UNITS),
      figures: figures.map(({ label, value, unit }) => ({ label, value, unit })),
    };
  });
  return { ...rank(known, craft, await modelOf(school)), sums };
}
