import type { CraftFacts } from '../vocabulary/craft-facts';

/**
 * Answers that tell the same story are weighed together, so that one fact is not counted twice. Every
 * question and
 * every sum belongs to one story.
 */
export const EVIDENCE_CLUSTERS = [
  'phase',
  'mirror',
  'relative',
  'sight',
  'wash',
  'obstacle',
  'gap',
  'place',
  'hold',
  'air',
  'hands',
  'height',
  'settings',
  'failsafe',
  'heading',
  'energy',
  'link',
  'mind',
  'ground',
  'animals',
  'weather',
  'condition',
  'people',
  'undone',
] as const;
export type EvidenceCluster = (typeof EVIDENCE_CLUSTERS)[number];

interface Asked<Id extends string> {
  readonly id: Id;
  readonly story: EvidenceCluster;
  /** Whether it makes sense to ask, given what is known. Absent: always. An answer given anyway is taken. */
  readonly when?: (known: Answers, craft: CraftFacts) => boolean;
}

export interface ChoiceQuestion<Id extends string = string> extends Asked<Id> {
  readonly kind: 'choice';
  /** Ids of the answers that can be picked. */
  readonly values: readonly string[];
}

export type Unit = 'm' | 'm/s' | '%' | 'spans';

export interface NumberQuestion<Id extends string = string> extends Asked<Id> {
  readonly kind: 'number';
  readonly unit: Unit;
  readonly least: number;
  readonly most: number;
  /** How far off a judgement by eye usually is, as a share of the value; per cent points for a charge. */
  readonly spread: number;
}

export type Question<Id extends string = string> = ChoiceQuestion<Id> | NumberQuestion<Id>;

/** A number as somebody judged it, and how far off it may be (one standard deviation, in its own unit). */
export interface Estimate {
  readonly value: number;
  readonly within: number;
}

/**
 * What is known: value ids by question id, and numbers in SI units with their uncertainty. `unknown` is an
 * answer; absent is not asked.
 */
export interface Answers {
  readonly choices: Readonly<Record<string, string>>;
  readonly numbers: Readonly<Record<string, Estimate>>;
}

export const NOTHING: Answers = { choices: {}, numbers: {} };
