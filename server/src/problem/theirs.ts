import { Problem } from './problem';

/**
 * What somebody's phone kept is not taken for another who signed in on it since, maybe in another school.
 * @param account as whoever sends says; nothing: an app older than the server
 * @throws Problem 401, on which a phone looks who is signed in
 */
export function assertTheirs(
  { accountId }: { readonly accountId: string | null },
  account?: string | null,
): void {
  if (account && account !== accountId)
    throw new Problem(
      401,
      'Another account',
      'Somebody else is signed in here now: sign in to send what is yours.',
    );
}
