import { object } from 'yup';
import { command } from './command';

/** Ends a pilot's private link. */
export const revokeLink = command({
  name: 'revoke-link',
  address: '/links/:id/revoked',
  schema: object({}),
});
