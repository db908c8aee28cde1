import type {
  Invited,
  NewSecondFactor,
  OwnCalendar,
  OwnSecondFactor,
  OwnSession,
  PeoplePage,
  RetentionPage,
} from '@skelby/core/pages/people';
import type { Role, TokenRole } from '@skelby/core/people/roles';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { get, getAs, post, postAs, postFor, put } from '../shared/api/client';

const PEOPLE = ['people'];
const SESSIONS = ['own-sessions'];
const SECOND = ['own-second-factor'];
const CALENDAR = ['own-calendar'];

/** Everybody of the school. Read from the server alone: nothing of it is done without signal. */
export const usePeople = () =>
  useQuery({ queryKey: PEOPLE, queryFn: () => get<PeoplePage>('/people'), gcTime: 0 });

/** What is done to people; each looks at the list again. */
export function usePeopleActs() {
  const client = useQueryClient();
  const look = () => void client.invalidateQueries({ queryKey: PEOPLE });
  return {
    set: useMutation({
      mutationFn: ({ id, ...body }: { readonly id: string; readonly role: Role; readonly ended: boolean }) =>
        put(`/people/${id}`, body),
      onSuccess: look,
    }),
    invite: useMutation({
      mutationFn: (body: { readonly role: Role; readonly accountId: string | null }) =>
        postFor<{ readonly token: string }>('/people/invitations', body),
      onSuccess: look,
    }),
    takeBack: useMutation({
      mutationFn: (id: string) => put(`/people/invitations/${id}/ended`, {}),
      onSuccess: look,
    }),
    makeToken: useMutation({
      mutationFn: (body: { readonly name: string; readonly role: TokenRole }) =>
        postFor<{ readonly token: string }>('/people/tokens', body),
      onSuccess: look,
    }),
    endToken: useMutation({
      mutationFn: (id: string) => put(`/people/tokens/${id}/ended`, {}),
      onSuccess: look,
    }),
  };
}

/** What an invitation leads to. */
export const useInvited = (token: string) =>
  useQuery({
    queryKey: ['invitation', token],
    queryFn: () => getAs<Invited>(token, '/invitation'),
    enabled: token !== '',
    retry: false,
    gcTime: 0,
  });

export interface Joining {
  readonly name?: string;
  readonly email?: string;
  readonly password: string;
}

/** Takes an invitation up; whoever does is signed in. */
export function useJoin(token: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (fields: Joining) => postAs(token, '/invitation', fields),
    onSuccess: () => client.resetQueries({ queryKey: ['me'] }),
  });
}

/** Where one is signed in. */
export const useOwnSessions = () =>
  useQuery({ queryKey: SESSIONS, queryFn: () => get<readonly OwnSession[]>('/me/sessions'), gcTime: 0 });

export function useOwnAccountActs() {
  const client = useQueryClient();
  const look = () => void client.invalidateQueries({ queryKey: SESSIONS });
  return {
    changePassword: useMutation({
      mutationFn: (fields: { readonly now: string; readonly password: string }) =>
        post('/me/password', fields),
      onSuccess: look,
    }),
    /** Null: all but this one. */
    end: useMutation({
      mutationFn: (id: string | null) => post('/me/sessions/ended', { id }),
      onSuccess: look,
    }),
  };
}

/** The link of one's own calendar. */
export const useOwnCalendar = () =>
  useQuery({ queryKey: CALENDAR, queryFn: () => get<OwnCalendar>('/me/calendar'), gcTime: 0 });

/** Making it, which ends the one before, and ending it. What is told once stands in what was answered, and nowhere else. */
export function useCalendarActs() {
  const client = useQueryClient();
  const look = () => void client.invalidateQueries({ queryKey: CALENDAR });
  const make = useMutation({
    mutationFn: () => postFor<{ readonly token: string }>('/me/calendar', {}),
    onSuccess: look,
  });
  const end = useMutation({
    mutationFn: () => post('/me/calendar/ended', {}),
    onSuccess: () => {
      make.reset();
      look();
    },
  });
  return { make, end };
}

/** Whether a code is asked for beside one's password. */
export const useOwnSecondFactor = () =>
  useQuery({ queryKey: SECOND, queryFn: () => get<OwnSecondFactor>('/me/second-factor'), gcTime: 0 });

/** Setting it up, a first code, and taking it off. What is told once stands in what was answered, and nowhere else. */
export function useSecondFactorActs() {
  const client = useQueryClient();
  const look = () => void client.invalidateQueries({ queryKey: SECOND });
  const begin = useMutation({
    mutationFn: (now: string) => postFor<NewSecondFactor>('/me/second-factor', { now }),
    gcTime: 0,
  });
  const on = useMutation({
    mutationFn: (code: string) =>
      postFor<{ readonly codes: readonly string[] }>('/me/second-factor/on', { code }),
    gcTime: 0,
    onSuccess: () => {
      begin.reset();
      look();
    },
  });
  const off = useMutation({
    mutationFn: (now: string) => post('/me/second-factor/off', { now }),
    onSuccess: () => {
      on.reset();
      look();
    },
  });
  return { begin, on, off };
}

/** Whom the school has not seen for longer than it keeps. Read from the server alone. */
export const useRetention = () =>
  useQuery({ queryKey: ['retention'], queryFn: () => get<RetentionPage>('/school/retention'), gcTime: 0 });
