import { v7 as uuid } from 'uuid';
import type { SchoolTx } from '../db/in-school';

export interface Change {
  /** Named by whoever asks, so that the same asked again is seen; absent: a new one. */
  readonly id?: string;
  readonly action: string;
  readonly subject:
    | 'pilot'
    | 'craft'
    | 'site'
    | 'flight'
    | 'occurrence'
    | 'weakness'
    | 'plan'
    | 'rep'
    | 'experience'
    | 'school'
    | 'session'
    | 'test-set'
    | 'link'
    | 'account'
    | 'file'
    | 'drill';
  readonly subjectId: string;
  readonly pilotId?: string | null;
  readonly reason?: string | null;
  readonly data?: unknown;
}

/** Adds to the history: who, when, what, why. */
export async function recordEvent({ tx, schoolId, accountId }: SchoolTx, change: Change): Promise<void> {
  await tx('events').insert({
    schoolId,
    id: change.id ?? uuid(),
    accountId,
    action: change.action,
    subject: change.subject,
    subjectId: change.subjectId,
    pilotId: change.pilotId ?? null,
    reason: change.reason || null,
    data: JSON.stringify(change.data ?? {}),
  });
}

/** What differs between a stored row and new fields, old value first; undefined when nothing does. */
export function differences(
  row: Readonly<Record<string, unknown>>,
  fields: Readonly<Record<string, unknown>>,
) {
  const changed = Object.entries(fields).filter(
    ([name, value]) => JSON.stringify(row[name]) !== JSON.stringify(value),
  );
  return changed.length === 0
    ? undefined
    : Object.fromEntries(changed.map(([name, value]) => [name, [row[name], value]]));
}
