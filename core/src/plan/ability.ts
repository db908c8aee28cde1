import { LEVELS, type Level } from '../vocabulary/training';
import { flownOrder } from '../vocabulary/flown-order';
import type { Rep } from '../clearance/facts';
import { depthOf } from '../drills/prerequisites';
import { drillOf, type DrillId } from '../drills/drills';
import { daysBetween, type Day } from '../vocabulary/day';

/** What is known of a skill, on the logit scale of the Rasch model. */
export interface Ability {
  readonly mean: number;
  /** Standard deviation. */
  readonly sd: number;
}

/**
 * One step of a drill's level, and one prerequisite more before it, in logits: house assumptions, until a
 * school's reps say better.
 */
const LOGITS_PER_LEVEL = 1;
const LOGITS_PER_STEP = 0.35;
/** A beginner at a first drill succeeds in about half of the tries, give or take a lot. */
const BEFORE: Ability = { mean: 0, sd: 1.5 };
/** Skill moves between days: variance added for each. */
const DRIFT_PER_DAY = 0.02;

/**
 * Rasch (1960): the chance that a pilot of ability θ meets a standard of difficulty b is 1 / (1 + exp(b −
 * θ)).
 */
export const raschChance = (ability: number, difficulty: number): number =>
  1 / (1 + Math.exp(difficulty - ability));

/** Difficulty of a drill at a level, logits. The standard's own is level 0. */
export const difficultyOf = (drillId: DrillId, level: Level = 0): number =>
  LOGITS_PER_STEP * depthOf(drillId) + LOGITS_PER_LEVEL * level;

/**
 * Chance that the next rep is met, with what is not known about the ability averaged in (the usual
 * probit-like shrinking of the logit).
 */
export const chanceMet = ({ mean, sd }: Ability, drillId: DrillId, level: Level = 0): number =>
  raschChance((mean - difficultyOf(drillId, level)) / Math.sqrt(1 + (Math.PI * sd * sd) / 8), 0);

/**
 * One rep's news, in the manner of Elo (1978) with its uncertainty (Glickman 1999): the surprise, weighed by
 * how little was known.
 */
export function afterRep(before: Ability, difficulty: number, met: boolean): Ability {
  const chance = raschChance(before.mean, difficulty);
  const variance = 1 / (1 / before.sd ** 2 + chance * (1 - chance));
  return { mean: before.mean + variance * ((met ? 1 : 0) - chance), sd: Math.sqrt(variance) };
}

/** So many of the last reps of each drill tell as much of the skill as all of them: chances to three in a hundred. */
export const REPS_THAT_TELL = 100;

type AbilityRep = Pick<Rep, 'id' | 'drillId' | 'met' | 'day' | 'flownAt' | 'takenBack'> & {
  readonly level?: number;
};
/** What of a rep tells of a skill, its place among the others given by their order. */
export type TellingRep = Pick<AbilityRep, 'drillId' | 'met' | 'day' | 'level'>;

/** A skill as it was after its last rep. */
interface Known extends Ability {
  readonly last: Day;
}

function rested({ mean, sd, last }: Known, until: Day): Ability {
  // Mostly one after another on one day: no calendar is asked then.
  const days = last === until ? 0 : Math.max(0, daysBetween(last, until));
  return { mean, sd: Math.min(BEFORE.sd, Math.sqrt(sd * sd + DRIFT_PER_DAY * days)) };
}

/** @param before undefined: nothing was flown of it yet */
function knownAfter(before: Known | undefined, { drillId, met, day, level = 0 }: TellingRep): Known {
  const now = before ? rested(before, day) : BEFORE;
  return { ...afterRep(now, difficultyOf(drillId, level as Level), met), last: day };
}

/**
 * What a pilot's reps say of each skill, by the group of its drills: those of every purpose, less sure with each day in
 * between.
 * @param reps in the order they were flown, without those taken back
 */
export function abilitiesOf(reps: readonly TellingRep[], today: Day): Readonly<Record<string, Ability>> {
  const known = new Map<string, Known>();
  for (const rep of reps) {
    const { group } = drillOf(rep.drillId);
    known.set(group, knownAfter(known.get(group), rep));
  }
  return Object.fromEntries([...known].map(([group, each]) => [group, rested(each, today)]));
}

const countedIn = (group: string, reps: readonly AbilityRep[]): readonly AbilityRep[] =>
  reps.filter((rep) => !rep.takenBack && drillOf(rep.drillId).group === group).sort(flownOrder);

/** The same of one skill, of reps in any order; those taken back do not count. */
export const abilityIn = (group: string, reps: readonly AbilityRep[], today: Day): Ability =>
  abilitiesOf(countedIn(group, reps), today)[group] ?? BEFORE;

/** Nine of ten lie within so many standard deviations (normal distribution). */
const NINE_OF_TEN = 1.645;

/** How often a drill should be met at its standard, after so many reps. */
export interface AbilityMoment {
  readonly day: Day;
  readonly chance: number;
  /** Ends of what nine of ten lie between. */
  readonly low: number;
  readonly high: number;
}

const momentOf = (ability: Ability, drillId: DrillId, day: Day): AbilityMoment => {
  const at = (spread: number) => raschChance(ability.mean + spread * ability.sd, difficultyOf(drillId));
  return { day, chance: chanceMet(ability, drillId), low: at(-NINE_OF_TEN), high: at(NINE_OF_TEN) };
};

/**
 * How that grew, rep by rep of the drill's skill, and how it stands today: days without flying widen it.
 * @param reps in any order; those taken back do not count
 * @returns nothing where no rep of the skill was flown
 */
export function abilityPath(
  drillId: DrillId,
  reps: readonly AbilityRep[],
  today: Day,
): readonly AbilityMoment[] {
  let known: Known | undefined;
  const moments = countedIn(drillOf(drillId).group, reps).map((rep) => {
    known = knownAfter(known, rep);
    return momentOf(known, drillId, rep.day);
  });
  return known ? [...moments, momentOf(rested(known, today), drillId, today)] : [];
}

/** Practice teaches most where the pilot succeeds in about 70 to 85 of a hundred tries. */
export const AIM_LOW = 0.7;
export const AIM_HIGH = 0.85;
export const AIM = (AIM_LOW + AIM_HIGH) / 2;

/** The level at which the pilot should succeed about as often as teaches most. */
export const levelFor = (ability: Ability, drillId: DrillId): Level =>
  [...LEVELS].sort(
    (a, b) => Math.abs(chanceMet(ability, drillId, a) - AIM) - Math.abs(chanceMet(ability, drillId, b) - AIM),
  )[0]!;
