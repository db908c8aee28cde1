import { said } from '@skelby/copy/say';
import { figureWords, sumWords } from '@skelby/copy/sums';
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
    const { question, formula, source, assumes } = sumWords(sum.id);
    const about = { id: sum.id, question, inputs: values, formula, source, assumes };
    if ('problem' in outcome) return { ...about, problem: said(outcome.problem) };
    const { tone, answer, figures } = outcome.worked;
    return {
      ...about,
      tone,
      answer: inUnits(said(answer), SI_UNITS),
      figures: figures.map(({ id, value, unit }) => ({ label: figureWords(id), value, unit })),
    };
  });
  const { causes, ...ranking } = rank(known, craft, await modelOf(school));
  return {
    ...ranking,
    causes: causes.map(({ id, probability, chain, reasons }) => ({
      id,
      probability,
      chain,
      reasons: reasons.map(({ said: words, ...reason }) => ({ ...reason, words: said(words) })),
    })),
    sums,
  };
}
