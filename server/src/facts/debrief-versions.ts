import type { Findings } from '@skelby/core/debrief/findings';
import type { Experience } from '@skelby/core/ranking/experience';
import type { SchoolTx } from '../db/in-school';

export interface DebriefRow {
  readonly id: string;
  readonly number: number;
  readonly state: 'open' | 'closed';
  readonly findings: Findings;
  readonly lesson: Experience | null;
}

/** The version of a debrief that stands. */
export const latestDebrief = ({ tx }: SchoolTx, occurrenceId: string) =>
  tx('debriefs').where({ occurrenceId }).orderBy('number', 'desc').first() as Promise<DebriefRow | undefined>;
