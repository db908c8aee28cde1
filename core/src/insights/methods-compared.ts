import { type MethodAnswer, METHOD_QUESTIONS, type MethodQuestion, METHODS } from '../methods/methods';
import type { InsightsPage, WeaknessWent } from '../pages/insights';
import { lastingFrom, OPENINGS, SIGNATURES } from './lasting-from';
import { type LogRank, logRank, type Stratum, type Survival, survival } from './survival';

/** Fewer weaknesses than these tell nothing of a way of teaching. */
const FEWEST_OF_A_WAY = 3;

export interface WayInsight {
  readonly answer: MethodAnswer;
  readonly weaknesses: number;
  /** Days from opening to signature. */
  readonly toClear: Survival;
}

export interface MethodInsight {
  readonly question: MethodQuestion;
  /** Ways with enough to tell of, in the order in which they are offered: never by who does better. */
  readonly ways: readonly WayInsight[];
  /** Whether the first two last as long, each cause held beside itself; null: nothing to compare. */
  readonly test: LogRank | null;
}

const sameCause = (one: readonly WeaknessWent[], other: readonly WeaknessWent[], to: string): Stratum[] =>
  [...new Set(one.map(({ causeId }) => causeId))].map((causeId) => {
    const of = (all: readonly WeaknessWent[]) =>
      lastingFrom(
        all.filter((each) => each.causeId === causeId),
        ...([to, OPENINGS, SIGNATURES] as const),
      );
    return { one: of(one), other: of(other) };
  });

/** How long weaknesses took that were taught one way and the other, from what was kept when they were opened. */
export const methodsCompared = ({
  weaknesses,
  to,
}: Pick<InsightsPage, 'weaknesses' | 'to'>): readonly MethodInsight[] =>
  METHOD_QUESTIONS.flatMap((question): readonly MethodInsight[] => {
    const taught = METHODS[question]
      .map((answer) => ({
        answer,
        own: weaknesses.filter((each) => each.taught?.[question] === answer),
      }))
      .filter(({ own }) => own.length >= FEWEST_OF_A_WAY);
    const [one, other] = taught;
    if (!one || !other) return [];
    return [
      {
        question,
        ways: taught.map(({ answer, own }) => ({
          answer,
          weaknesses: own.length,
          toClear: survival(lastingFrom(own, to, OPENINGS, SIGNATURES)),
        })),
        test: logRank(sameCause(one.own, other.own, to)),
      },
    ];
  });
