import type { Answers, Estimate, NumberQuestion } from './question';
import { isQuestionId, questionOf } from './questions';

/** A number as it is stored and sent: alone, or with how far off it may be; always in SI units. */
export type SentNumber =
  number | { readonly value: number; readonly within?: number; readonly unit?: string };
/** Evidence as it is stored and sent, by question id. */
export type Evidence = Readonly<Record<string, string | SentNumber>>;

const QUARTERS = ['away', 'right', 'toward', 'left'] as const;

/** The quarter in which a bearing lies, 0° being away from the pilot, clockwise seen from above. */
export const quarterOf = (bearingDeg: number): (typeof QUARTERS)[number] =>
  QUARTERS[Math.floor((((bearingDeg % 360) + 360 + 45) % 360) / 90)]!;

const judged = (sent: SentNumber, { spread, unit }: NumberQuestion): Estimate => {
  const value = typeof sent === 'number' ? sent : sent.value;
  const within = typeof sent === 'number' ? undefined : sent.within;
  return { value, within: within ?? (unit === '%' ? spread : spread * value) };
};

/**
 * Valid evidence as the ranking takes it: a bearing becomes its quarter, and a bare number gets the usual
 * uncertainty.
 */
export function answersOf(evidence: Evidence): Answers {
  const choices: Record<string, string> = {};
  const numbers: Record<string, Estimate> = {};
  for (const [id, sent] of Object.entries(evidence)) {
    const question = questionOf(id);
    if (question.kind === 'number') numbers[id] = judged(sent as SentNumber, question);
    else choices[id] = typeof sent === 'number' ? quarterOf(sent) : (sent as string);
  }
  return { choices, numbers };
}

/** What can still be read of evidence that was kept by an earlier version of the questions. */
export function readable(evidence: Evidence): Evidence {
  return Object.fromEntries(
    Object.entries(evidence).filter(([id, sent]) => {
      if (!isQuestionId(id) || sent === null) return false;
      const question = questionOf(id);
      if (question.kind === 'choice')
        return typeof sent === 'string'
          ? question.values.includes(sent)
          : id === 'nose' && typeof sent === 'number';
      return Number.isFinite(typeof sent === 'number' ? sent : (sent as { value?: unknown }).value);
    }),
  );
}
