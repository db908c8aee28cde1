import { cohenKappa } from '@skelby/core/agreement/agreement';
import type { Evidence } from '@skelby/core/evidence/evidence';
import { QUESTIONS } from '@skelby/core/evidence/questions';

/** How far two codings of the same stories agree. */
export interface CodersAgreement {
  /** Answers that either gave, and of these those that both gave alike. */
  readonly given: number;
  readonly alike: number;
  /** Cohen's kappa over stories and questions, "not told" an answer like others (Educ. Psychol. Meas. 20, 1960). */
  readonly kappa: number;
}

const NOT_TOLD = '';
/** A number told twice is one answer as long as neither is half as much again. */
const NEAR = 1.5;

const same = (a: Evidence[string] | undefined, b: Evidence[string] | undefined): boolean => {
  const [x, y] = [Number(a), Number(b)];
  if (x > 0 && y > 0) return Math.max(x, y) <= NEAR * Math.min(x, y);
  return (a ?? NOT_TOLD) === (b ?? NOT_TOLD);
};

/** @param second of the same stories, in the same order */
export function agreementOf(first: readonly Evidence[], second: readonly Evidence[]): CodersAgreement {
  let [given, alike] = [0, 0];
  const cells: (readonly [string, string])[] = [];
  // An answer is another one in every question; told or not told is the same in all.
  const name = (id: string, answer: Evidence[string] | undefined) =>
    answer === undefined ? NOT_TOLD : `${id} ${Number(answer) > 0 ? 'number' : String(answer)}`;
  first.forEach((told, i) => {
    for (const { id } of QUESTIONS) {
      const [a, b] = [told[id], second[i]?.[id]];
      const isSame = same(a, b);
      if (a !== undefined || b !== undefined) [given, alike] = [given + 1, alike + (isSame ? 1 : 0)];
      const [one, other] = [name(id, a), name(id, b)];
      cells.push([one, isSame ? one : other === one ? `${other}, otherwise` : other]);
    }
  });
  return { given, alike, kappa: cohenKappa(cells)?.value ?? NaN };
}
