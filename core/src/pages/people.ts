import type { Role, TokenRole } from '../people/roles';
import type { Units } from '../vocabulary/units';

/** Who is signed in. */
export interface Me {
  readonly accountId: string;
  readonly name: string;
  readonly schoolName: string;
  /** Absent in what an older version kept. */
  readonly role?: Role;
  /** Absent on a phone that last signed in before there were any. */
  readonly units?: Units;
  /** The school is one of made-up people, opened to try things in. */
  readonly sandbox?: boolean;
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

/** An account of the school. */
export interface Account {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
  /** It opens nothing any more. */
  readonly endedAt: string | null;
  /** Null: not since sessions are written down. */
  readonly lastSeenAt: string | null;
}

/** A link that is out: to a new account, or to a new password for one that is there. */
export interface Invitation {
  readonly id: string;
  readonly role: Role;
  readonly accountId: string | null;
  readonly madeAt: string;
  readonly expiresAt: string;
}

/** What a program of the school asks with; told once, when it is made. */
export interface ApiToken {
  readonly id: string;
  readonly name: string;
  readonly role: TokenRole;
  readonly madeBy: string;
  readonly madeAt: string;
  /** To five minutes; null: not yet. */
  readonly lastUsedAt: string | null;
}

export interface PeoplePage {
  readonly accounts: readonly Account[];
  readonly invitations: readonly Invitation[];
  readonly tokens: readonly ApiToken[];
}

export type DeviceKind = 'phone' | 'desk';

/** Somewhere that one is signed in. */
export interface OwnSession {
  readonly id: string;
  /** Empty: begun before this was written down. */
  readonly device: DeviceKind | '';
  readonly madeAt: string;
  readonly usedAt: string | null;
  /** It is the one that asks. */
  readonly here: boolean;
}

/** The link by which a calendar program reads one's days; null: there is none, or it was not used yet. */
export interface OwnCalendar {
  readonly madeAt: string | null;
  readonly lastUsedAt: string | null;
}

/** Another school where one's address signs in. */
export interface OtherSchool {
  readonly id: string;
  readonly name: string;
  /** With the password that one is signed in with here. */
  readonly opens: boolean;
}

/** One's own second factor. */
export interface OwnSecondFactor {
  /** Null: none is asked for. */
  readonly since: string | null;
  /** Spare codes that are left. */
  readonly spare: number;
}

/** One that is being set up, told once. */
export interface NewSecondFactor {
  /** To type into a code app, base32. */
  readonly secret: string;
  /** The same as an address that code apps read from a picture. */
  readonly address: string;
}

/** How long a school keeps records of pilots who do not fly any more. */
export interface RetentionPage {
  /** Null: until somebody is forgotten by hand. */
  readonly keepYears: number | null;
  /** Pilots who have not flown for longer, the longest first. */
  readonly over: readonly { readonly id: string; readonly name: string; readonly lastDay: string }[];
}

/** What an invitation leads to, told to whoever holds it. */
export interface Invited {
  readonly schoolName: string;
  readonly invitedBy: string;
  readonly role: Role;
  /** Set: a new password for this account. */
  readonly email: string | null;
  /** Set: an own sign-in for this pilot. */
  readonly pilotName: string | null;
}
