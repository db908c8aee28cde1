/** What an account may do in its school: the owner, its first trainer, may forget a pilot. */
export type Role = 'owner' | 'trainer';

/** Pilots that something new can be written of: a forgotten one stays in what was written before. */
export const toPickFrom = <P extends { readonly forgottenAt?: string | null }>(
  pilots: readonly P[],
): readonly P[] => pilots.filter(({ forgottenAt }) => !forgottenAt);
