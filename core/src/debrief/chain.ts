import { causeOf, type CauseId } from '../causes/causes';
import type { Answers } from '../evidence/question';
import { labelOf, questionOf, type QuestionId } from '../evidence/questions';
import type { OccurrenceKind } from '../vocabulary/flying';

/** One step from the first thing that went wrong to the outcome. */
export interface Link {
  readonly words: string;
  /** The cause it stands for, if it is one. */
  readonly causeId: CauseId | null;
  /** Whether training can break it. */
  readonly breakable: boolean;
}

/** Earliest in the making first: what was decided on the ground comes before what the hands did. */
const FAMILY_ORDER = [
  'person-and-surroundings',
  'settings',
  'energy-and-link',
  'hold-and-air',
  'orientation',
  'obstacles',
  'stick-handling',
  'own-wash',
] as const;

/** Answers that were so before the hands did anything, when they are out of the ordinary. */
const SURROUNDINGS: Readonly<Partial<Record<QuestionId, readonly string[]>>> = {
  light: ['glare', 'dusk', 'silhouette'],
  precipitation: ['light', 'rain'],
  wildlife: ['near'],
  attention: ['talked-to', 'looked-away', 'on-screen'],
  feeling: ['froze', 'rushed', 'tense', 'celebrating'],
  craft_check: ['not-done', 'defect'],
  calibration: ['not-done', 'near-metal'],
  setting_expected: ['different'],
  wind_side: ['tail', 'cross'],
  airflow_step: ['yes'],
  position_hold: ['dropped', 'off'],
  low_battery: ['ignored'],
  radio_path: ['blocked'],
};
const HANDS: Readonly<Partial<Record<QuestionId, readonly string[]>>> = {
  first_move: ['opposite', 'sideways', 'nothing'],
  correction_effect: ['grew', 'oscillated', 'none'],
  sticks_before: ['large', 'released', 'wrong-stick'],
  motors_cut: ['by-mistake'],
  auto_phase: ['cancelled'],
};
const MOST_OF_EACH = 2;

const said = (
  known: Answers,
  wanted: Readonly<Partial<Record<QuestionId, readonly string[]>>>,
): readonly Link[] =>
  Object.entries(wanted)
    .filter(([id, values]) => values.includes(known.choices[id] ?? ''))
    .slice(0, MOST_OF_EACH)
    .map(([id]) => {
      const question = questionOf(id);
      const label = question.kind === 'choice' ? labelOf(question, known.choices[id]!) : '';
      return { words: `${question.short}: ${label.toLowerCase()}`, causeId: null, breakable: false };
    });

function outcome(known: Answers, kind: OccurrenceKind): Link {
  const what = known.choices['obstacle_kind'];
  const question = questionOf('obstacle_kind');
  const label =
    what && what !== 'none' && question.kind === 'choice' ? `: ${labelOf(question, what).toLowerCase()}` : '';
  return { words: `${kind === 'crash' ? 'Crash' : 'Near-miss'}${label}`, causeId: null, breakable: false };
}

/**
 * A chain to start from: what was so beforehand, contributing causes, the primary cause (which training can
 * break), what the
 * hands did, the outcome. The trainer changes it as it really was.
 */
export function proposeChain(
  known: Answers,
  primary: CauseId,
  contributing: readonly CauseId[],
  kind: OccurrenceKind,
): readonly Link[] {
  const place = (id: CauseId) => FAMILY_ORDER.indexOf(causeOf(id).family);
  const link = (causeId: CauseId, breakable: boolean): Link => ({
    words: causeOf(causeId).name,
    causeId,
    breakable,
  });
  const others = [...contributing].sort((a, b) => place(a) - place(b));
  const before = others.filter((id) => place(id) <= place(primary));
  return [
    ...said(known, SURROUNDINGS),
    ...before.map((id) => link(id, false)),
    link(primary, true),
    ...others.filter((id) => !before.includes(id)).map((id) => link(id, false)),
    ...said(known, HANDS),
    outcome(known, kind),
  ];
}

/**
 * The same chain with another primary cause: its link takes the place of the old one, or is marked where it
 * stands already.
 * Everything else that a trainer wrote stays.
 */
export function withPrimary(
  chain: readonly Link[],
  before: CauseId | null,
  primary: CauseId,
): readonly Link[] {
  const there = chain.some((link) => link.causeId === primary);
  return chain.map((link) => {
    if (link.causeId === primary) return { ...link, breakable: true };
    if (link.causeId === null || link.causeId !== before) return link;
    return there
      ? { ...link, breakable: false }
      : { words: causeOf(primary).name, causeId: primary, breakable: true };
  });
}

/** Where the drills go: the first link that training can break; −1 when there is none. */
export const firstBreakable = (chain: readonly Link[]): number =>
  chain.findIndex((link) => link.breakable && link.causeId !== null);

/** The cause to which that link points; null when the chain names none. */
export const linkToBreak = (chain: readonly Link[]): CauseId | null =>
  chain[firstBreakable(chain)]?.causeId ?? null;

/** What is wrong with a chain, said so that it can be mended; null when nothing is. */
export function chainProblem(chain: readonly Link[], primary: CauseId): string | null {
  if (chain.length === 0) return null;
  const first = chain[firstBreakable(chain)];
  if (!first)
    return 'No link of the chain is one that training can break: mark the one the drills should go to.';
  if (first.causeId !== primary)
    return `The first link that training can break is "${causeOf(first.causeId!).name}": make it the primary cause, or unmark it.`;
  return null;
}
