import type { Answers } from '../evidence/question';
import type { QuestionId } from '../evidence/questions';

/** Whoever could answer a question that is asked under a condition only has told the condition as well. */
interface Implies {
  readonly when: (known: Answers) => readonly QuestionId[] | null;
  readonly question: QuestionId;
  readonly values: readonly string[];
}

/** The questions, once all of them are answered. */
const told =
  (...ids: readonly QuestionId[]) =>
  ({ choices, numbers }: Answers): readonly QuestionId[] | null =>
    ids.every((id) => (choices[id] ?? 'unknown') !== 'unknown' || numbers[id] !== undefined) ? ids : null;

const AUTOMATIC = ['commanded', 'link-loss', 'battery'];

const ALL: readonly Implies[] = [
  { when: told('auto_phase'), question: 'auto_return', values: AUTOMATIC },
  { when: told('return_height_m', 'tallest_m'), question: 'auto_return', values: AUTOMATIC },
  { when: told('gap_ratio'), question: 'phase', values: ['gap'] },
  { when: told('gap_reason'), question: 'phase', values: ['gap'] },
  { when: told('pilot_moved'), question: 'pilot_relative', values: ['on'] },
  { when: told('camera_view'), question: 'view', values: ['camera-view', 'both'] },
  { when: told('seen_at_m'), question: 'noticed', values: ['in-time', 'late'] },
  { when: told('surface'), question: 'phase', values: ['takeoff', 'landing', 'ground'] },
  { when: told('setting_why'), question: 'setting_expected', values: ['different'] },
];

export interface Implied {
  readonly question: QuestionId;
  readonly values: readonly string[];
  /** The answers that say so. */
  readonly of: readonly QuestionId[];
}

/** What is implied and was not said itself; each question once. */
export function impliedBy(known: Answers): readonly Implied[] {
  const implied = new Map<string, Implied>();
  for (const { when, question, values } of ALL) {
    if (known.choices[question] !== undefined || implied.has(question)) continue;
    const of = when(known);
    if (of) implied.set(question, { question, values, of });
  }
  return [...implied.values()];
}
