import type { Answers } from '../evidence/question';
import { questionOf, type QuestionId } from '../evidence/questions';
import type { CraftFacts } from '../vocabulary/craft-facts';

/** What settles a case at once, where it is so: asked before anything is called likely, and early. */
export const SETTLES: readonly QuestionId[] = ['auto_return', 'setting_expected', 'motors_cut'];

/**
 * What a good trainer always asks: mind, hold, automatics and link; at a gap, what went wrong first; and where the nose
 * did not point away, which way the first correction went.
 */
const CORE: readonly QuestionId[] = [
  'attention',
  'feeling',
  'position_hold',
  'setting_expected',
  'auto_return',
  'link',
  'gap_reason',
  'first_move',
];

const isAsked = ({ choices, numbers }: Answers, id: QuestionId): boolean =>
  choices[id] !== undefined || numbers[id] !== undefined;

function canBeAsked(id: QuestionId, known: Answers, craft: CraftFacts): boolean {
  if (id === 'position_hold' && !craft.hasPositionHold) return false;
  if (id === 'first_move') return (known.choices['nose'] ?? 'away') !== 'away';
  return questionOf(id).when?.(known, craft) ?? true;
}

/** Of what is always asked, what was not asked yet. */
export const coreLeft = (known: Answers, craft: CraftFacts): readonly QuestionId[] =>
  CORE.filter((id) => !isAsked(known, id) && canBeAsked(id, known, craft));

export const hasAskedEnough = (known: Answers, craft: CraftFacts): boolean =>
  coreLeft(known, craft).length === 0;
