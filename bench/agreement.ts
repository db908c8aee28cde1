import type { Evidence } from '@skelby/core/evidence/evidence';
import { QUESTIONS } from '@skelby/core/evidence/questions';

/** How far two codings of the same stories agree. */
export interface Agreement {
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
export function agreementOf(first: readonly Evidence[], second: readonly Evidence[]): Agreement {
  let [given, alike, agreed, cells] = [0, 0, 0, 0];
  const [ofFirst, ofSecond] = [new Map<string, number>(), new Map<string, number>()];
  const count = (of: Map<string, number>, answer: string) => of.set(answer, (of.get(answer) ?? 0) + 1);
  first.forEach((told, i) => {
    for (const { id } of QUESTIONS) {
      const [a, b] = [told[id], second[i]?.[id]];
      const isSame = same(a, b);
      cells += 1;
      agreed += isSame ? 1 : 0;
      if (a !== undefined || b !== undefined) [given, alike] = [given + 1, alike + (isSame ? 1 : 0)];
      // An answer is another one in every question; told or not told is the same in all.
      const name = (answer: Evidence[string] | undefined) =>
        answer === undefined ? NOT_TOLD : `${id} ${Number(answer) > 0 ? 'number' : String(answer)}`;
      count(ofFirst, name(a));
      count(ofSecond, name(b));
    }
  });
  const byChance = [...ofFirst].reduce(
    (sum, [answer, times]) => sum + (times / cells) * ((ofSecond.get(answer) ?? 0) / cells),
    0,
  );
  return { given, alike, kappa: (agreed / cells - byChance) / (1 - byChance) };
}
