import { causeOf, type CauseId } from '../causes/causes';
import type { Answers } from '../evidence/question';
import type { QuestionId } from '../evidence/questions';
import { type Said, sentence } from '../vocabulary/said';
import type { OccurrenceKind } from '../vocabulary/flying';

/** One step from the first thing that went wrong to the outcome. */
export interface Link {
  readonly words: string;
  /** The cause it stands for, if it is one. */
  readonly causeId: CauseId | null;
  /** Whether training can break it. */
  readonly breakable: boolean;
}

/** A link as it is proposed: its words are still to be said. */
export type ProposedLink = Omit<Link, 'words'> & { readonly said: Said };

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

const answered = (
  known: Answers,
  wanted: Readonly<Partial<Record<QuestionId, readonly string[]>>>,
): readonly ProposedLink[] =>
  Object.entries(wanted)
    .filter(([id, values]) => values.includes(known.choices[id] ?? ''))
    .slice(0, MOST_OF_EACH)
    .map(([question]) => ({
      said: sentence('chain.answer', { question, value: known.choices[question]! }),
      causeId: null,
      breakable: false,
    }));

function outcome(known: Answers, kind: OccurrenceKind): ProposedLink {
  const what = known.choices['obstacle_kind'];
  const said = what && what !== 'none' ? sentence(`chain.${kind}-with`, { what }) : sentence(`chain.${kind}`);
  return { said, causeId: null, breakable: false };
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
): readonly ProposedLink[] {
  const place = (id: CauseId) => FAMILY_ORDER.indexOf(causeOf(id).family);
  const link = (causeId: CauseId, breakable: boolean): ProposedLink => ({
    said: sentence('chain.cause', { cause: causeId }),
    causeId,
    breakable,
  });
  const others = [...contributing].sort((a, b) => place(a) - place(b));
  const before = others.filter((id) => place(id) <= place(primary));
  return [
    ...answered(known, SURROUNDINGS),
    ...before.map((id) => link(id, false)),
    link(primary, true),
    ...others.filter((id) => !before.includes(id)).map((id) => link(id, false)),
    ...answered(known, HANDS),
    outcome(known, kind),
  ];
}

/**
 * The same chain with another primary cause: its link takes the place of the old one, or is marked where it
 * stands already.
 * Everything else that a trainer wrote stays.
 * @param words the name of the new primary cause
 */
export function withPrimary(
  chain: readonly Link[],
  before: CauseId | null,
  primary: CauseId,
  words: string,
): readonly Link[] {
  const there = chain.some((link) => link.causeId === primary);
  return chain.map((link) => {
    if (link.causeId === primary) return { ...link, breakable: true };
    if (link.causeId === null || link.causeId !== before) return link;
    return there ? { ...link, breakable: false } : { words, causeId: primary, breakable: true };
  });
}

/** Where the drills go: the first link that training can break; −1 when there is none. */
export const firstBreakable = (chain: readonly Link[]): number =>
  chain.findIndex((link) => link.breakable && link.causeId !== null);

/** The cause to which that link points; null when the chain names none. */
export const linkToBreak = (chain: readonly Link[]): CauseId | null =>
  chain[firstBreakable(chain)]?.causeId ?? null;

/** What is wrong with a chain, said so that it can be mended; null when nothing is. */
export function chainProblem(chain: readonly Link[], primary: CauseId): Said | null {
  if (chain.length === 0) return null;
  const first = chain[firstBreakable(chain)];
  if (!first) return sentence('chain.none-breakable');
  if (first.causeId !== primary) return sentence('chain.first-is-not-primary', { cause: first.causeId });
  return null;
}
