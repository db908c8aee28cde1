import type { DebriefFields } from '@skelby/core/schemas/debrief';
import type { ConfirmFields, MoveFields, PlanFields, RepFields } from '@skelby/core/schemas/loop';
import type { OccurrenceFields } from '@skelby/core/schemas/records';
import type { DrillVersion } from '@skelby/core/drills/school-book';
import type { SessionFields } from '@skelby/core/schemas/session';
import type { Waiting } from './waiting';

interface Bodies {
  readonly rep: RepFields;
  readonly 'rep-taken-back': { readonly reason: string };
  readonly occurrence: OccurrenceFields;
  readonly withdrawn: { readonly reason: string };
  readonly confirmation: ConfirmFields;
  readonly 'confirmation-taken-back': { readonly reason: string };
  readonly debrief: DebriefFields;
  readonly plan: PlanFields;
  readonly move: MoveFields;
  readonly pilots: Readonly<Record<string, unknown>>;
  readonly craft: Readonly<Record<string, unknown>>;
  readonly sites: Readonly<Record<string, unknown>>;
  readonly session: SessionFields;
  readonly drill: DrillVersion['fields'] & { readonly base: number; readonly reason: string };
}
type Kind = keyof Bodies;

const KEY = '([0-9a-f-]{36})';
const PATHS: Readonly<Record<Kind, RegExp>> = {
  rep: new RegExp(`^/reps/${KEY}$`),
  'rep-taken-back': new RegExp(`^/reps/${KEY}/taken-back$`),
  occurrence: new RegExp(`^/occurrences/${KEY}$`),
  withdrawn: new RegExp(`^/occurrences/${KEY}/withdrawn$`),
  confirmation: new RegExp(`^/occurrences/${KEY}/confirmation$`),
  'confirmation-taken-back': new RegExp(`^/occurrences/${KEY}/confirmation/taken-back$`),
  debrief: new RegExp(`^/occurrences/${KEY}/debrief/${KEY}$`),
  plan: new RegExp(`^/weaknesses/${KEY}/plans/${KEY}$`),
  move: new RegExp(`^/weaknesses/${KEY}/moves/${KEY}$`),
  pilots: new RegExp(`^/pilots/${KEY}$`),
  craft: new RegExp(`^/craft/${KEY}$`),
  sites: new RegExp(`^/sites/${KEY}$`),
  session: new RegExp(`^/sessions/${KEY}$`),
  drill: new RegExp(`^/drills/([\\w-]+)/versions/${KEY}$`),
};

export interface Done<K extends Kind> {
  readonly id: string;
  /** The key of what belongs to it: a version of the debrief, a plan, a move. */
  readonly part: string;
  readonly body: Bodies[K];
  /** When it was made here, from its key. */
  readonly madeAt: string;
}

/** A UUID of version 7 begins with the moment it was made (RFC 9562). */
export const madeAt = (key: string): string =>
  new Date(Number.parseInt(key.replaceAll('-', '').slice(0, 12), 16)).toISOString();

/** All entries of one kind, in the order they were made. */
export const done = <K extends Kind>(kind: K, items: readonly Waiting[]): readonly Done<K>[] =>
  items.flatMap((item) => {
    const [, id, part = ''] = PATHS[kind].exec(item.path) ?? [];
    return id === undefined
      ? []
      : [{ id, part, body: item.body as unknown as Bodies[K], madeAt: madeAt(item.key) }];
  });

export interface Confirmed {
  readonly occurrenceId: string;
  readonly causeId: string;
  readonly weaknessId: string;
  readonly moveId: string;
  readonly planId: string;
  readonly at: string;
}

/** Causes confirmed here, by a word or by closing a debrief. */
export const confirmed = (items: readonly Waiting[]): readonly Confirmed[] => [
  ...done('confirmation', items).map(({ id, body: { causeId, weaknessId, moveId, planId, at } }) => ({
    occurrenceId: id,
    causeId,
    weaknessId,
    moveId,
    planId,
    at,
  })),
  ...done('debrief', items).flatMap(({ id, body: { state, findings, weaknessId, moveId, planId, at } }) =>
    state === 'closed' && findings.primary
      ? [{ occurrenceId: id, causeId: findings.primary, weaknessId, moveId, planId, at }]
      : [],
  ),
];
