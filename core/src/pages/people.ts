import type { Units } from '../vocabulary/units';

/** What an account may do in its school: the owner, its first trainer, may forget a pilot. */
export type Role = 'owner' | 'trainer';

/** Who is signed in. */
export interface Me {
  readonly accountId: string;
  readonly name: string;
  readonly schoolName: string;
  /** Absent in what an older version kept: a trainer. */
  readonly role?: Role;
  /** Absent on a phone that last signed in before there were any. */
  readonly units?: Units;
}

/** Pilots that something new can be written of: a forgotten one stays in what was written before. */
export const toPickFrom = <P extends { readonly forgottenAt?: string | null }>(
  pilots: readonly P[],
): readonly P[] => pilots.filter(({ forgottenAt }) => !forgottenAt);

/** A private link to a pilot's own page that still leads somewhere. */
export interface PilotLink {
  readonly id: string;
  readonly madeAt: string;
  readonly expiresAt: string;
  /** What follows is absent in a copy kept by an older version. Null: nobody has opened it. */
  readonly lastUsedAt?: string | null;
  /** It belongs to the first device that opens it. */
  readonly binds?: boolean;
  /** Hour and place of sessions may be told. */
  readonly tellsWhen?: boolean;
}
