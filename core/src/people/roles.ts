import type { TrainerCommandName } from '../commands/commands';

/** What somebody of the staff is in the school, from the most they may do to the least. */
export const ROLES = ['owner', 'lead', 'trainer', 'reader'] as const;
/** And a pilot, who sees their own page and nothing else. */
export const ACCOUNT_ROLES = [...ROLES, 'pilot'] as const;
export type Role = (typeof ACCOUNT_ROLES)[number];

/** What may be done in a school, as far as it is given to some and not to others. */
export const RIGHTS = [
  'own',
  'read',
  'train',
  'keep-records',
  'take-out',
  'history',
  'bring-in',
  'set-school',
  'people',
  'forget',
] as const;
export type Right = (typeof RIGHTS)[number];

/** Who may do what: the one table of it, for server and screens. */
const MAY: Readonly<Record<Right, readonly Role[]>> = {
  // One's own account.
  own: ACCOUNT_ROLES,
  read: ['owner', 'lead', 'trainer', 'reader'],
  train: ['owner', 'lead', 'trainer'],
  'keep-records': ['owner', 'lead', 'trainer'],
  'take-out': ['owner', 'lead', 'trainer'],
  history: ['owner', 'lead', 'trainer'],
  'bring-in': ['owner', 'lead'],
  'set-school': ['owner', 'lead'],
  people: ['owner', 'lead'],
  forget: ['owner'],
};

/** @param role absent: kept by a version that knew none, when everybody trained and set the school */
export const may = (role: Role | undefined, right: Right): boolean => MAY[right].includes(role ?? 'lead');

/** What a program with a token of the school gets in for, as far as its role goes: no account, no setting, no history. */
export const MAY_BY_TOKEN: readonly Right[] = ['read', 'train', 'keep-records', 'take-out'];
/** What a token may be made for. */
export const TOKEN_ROLES = ['reader', 'trainer'] as const;
export type TokenRole = (typeof TOKEN_ROLES)[number];

/** The right that each command of a trainer asks for. */
export const RIGHT_OF: Readonly<Record<TrainerCommandName, Right>> = {
  'log-occurrence': 'train',
  'keep-flown': 'train',
  'withdraw-occurrence': 'train',
  'confirm-cause': 'train',
  'take-confirmation-back': 'train',
  'save-debrief': 'train',
  'change-plan': 'train',
  'stamp-weakness': 'train',
  'announce-tests': 'train',
  'call-off-tests': 'train',
  'record-rep': 'train',
  'take-rep-back': 'train',
  'record-course-fact': 'train',
  'confirm-rep-error': 'train',
  'move-weakness': 'train',
  'settle-history': 'train',
  'undo-settling': 'train',
  'save-session': 'train',
  'save-pilot': 'keep-records',
  'save-craft': 'keep-records',
  'save-site': 'keep-records',
  'save-flight': 'keep-records',
  'revoke-link': 'keep-records',
  'hand-over': 'keep-records',
  'save-drill-version': 'set-school',
  'set-units': 'set-school',
  'set-methods': 'set-school',
  'set-rule': 'set-school',
  'set-reporting': 'set-school',
  'set-retention': 'set-school',
  'switch-experience': 'set-school',
};

/** Whose role somebody may set, and to what: nobody makes more of others than they are. */
export const maySetRole = (mine: Role, theirs: Role, to: Role): boolean => {
  if (!may(mine, 'people')) return false;
  // A pilot's account stays one, and nobody else's becomes one.
  if ((theirs === 'pilot') !== (to === 'pilot')) return false;
  return mine === 'owner' || (theirs !== 'owner' && to !== 'owner');
};
