import { answersOf, type Evidence } from '../evidence/evidence';
import type { CraftFacts } from '../vocabulary/craft-facts';
import type { Case } from './cases';
import type { MentionId } from './mentions';
import { rank } from './rank';

const MOST_ASKED = 40;

/**
 * Questions asked in the ranking's own order until the right cause is first and stays; what a case does not tell is
 * asked and skipped. What is asked in one go beforehand counts as one.
 * @param mentioned null: not asked beforehand
 */
export function questionsUntilRight(
  { cause, evidence }: Case,
  craft: CraftFacts,
  mentioned: readonly MentionId[] | null,
): number {
  const told: Record<string, Evidence[string]> = {};
  const skipped = new Set<string>();
  let stays = 0;
  for (let asked = 0; asked <= MOST_ASKED; asked += 1) {
    const { causes, nextQuestions } = rank(answersOf(told as Evidence), craft, undefined, mentioned ?? []);
    if (causes[0]!.id !== cause) stays = asked + 1;
    const next = nextQuestions.find(({ id }) => !skipped.has(id));
    if (!next) break;
    const answer = evidence[next.id];
    if (answer === undefined) skipped.add(next.id);
    else told[next.id] = answer;
  }
  return stays + (mentioned === null ? 0 : 1);
}
