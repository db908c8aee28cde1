import { answersOf, type Evidence } from '../evidence/evidence';
import { QUESTIONS } from '../evidence/questions';
import type { CraftFacts } from '../vocabulary/craft-facts';
import type { Case } from './cases';
import { rank } from './rank';

/** Cases made harder by machine: what really comes in is neither all that happened nor all true. */

/** Each case without the answer that speaks most for its cause. */
export const strongestLost = (cases: readonly Case[], craft: CraftFacts): readonly Case[] =>
  cases.map((each) => {
    const chanceWithout = (id: string) => {
      const evidence = without(each.evidence, id);
      const { causes } = rank(answersOf(evidence), craft);
      return { evidence, chance: causes.find((cause) => cause.id === each.cause)!.probability };
    };
    const least = Object.keys(each.evidence)
      .map(chanceWithout)
      .reduce((a, b) => (b.chance < a.chance ? b : a));
    return { ...each, evidence: least.evidence };
  });

const without = (evidence: Evidence, id: string): Evidence =>
  Object.fromEntries(Object.entries(evidence).filter(([each]) => each !== id));

/** Each case with one of its answers remembered wrongly. @param chance uniform numbers, 0 to 1 */
export const oneWrong = (cases: readonly Case[], chance: () => number): readonly Case[] =>
  cases.flatMap((each): readonly Case[] => {
    const asked = QUESTIONS.filter(({ id, kind }) => kind === 'choice' && each.evidence[id] !== undefined);
    const question = asked[Math.floor(chance() * asked.length)];
    if (question?.kind !== 'choice') return [];
    const others = question.values.filter((id) => id !== each.evidence[question.id] && id !== 'unknown');
    const wrong = others[Math.floor(chance() * others.length)]!;
    return [{ ...each, evidence: { ...each.evidence, [question.id]: wrong } }];
  });
