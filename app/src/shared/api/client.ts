import { reach } from './reach';

export interface FieldProblem {
  readonly field: string;
  readonly message: string;
}

/**
 * Where somebody else changed the same thing: what is stored, by whom, and what to add so that one's own goes
 * through.
 */
export interface Clash {
  readonly theirs?: Readonly<Record<string, unknown>>;
  readonly by?: string | null;
  readonly override?: Readonly<Record<string, unknown>>;
  /** Signed out from elsewhere: what this device holds is to go. */
  readonly wipe?: boolean;
  /** The password was right, and this is asked for as well. */
  readonly needs?: 'code' | 'school';
  /** Of these, by name. */
  readonly schools?: readonly { readonly id: string; readonly name: string }[];
}

/** The server's answer when it does not do what was asked, in words a trainer can act on. */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly errors: readonly FieldProblem[] = [],
    readonly clash: Clash = {},
  ) {
    super(message);
  }
}

/** No answer at all: no signal, or the server is not there. */
export class NoConnection extends Error {
  constructor() {
    super('No connection to the server. Check the signal; nothing you typed is lost.');
  }
}

interface ProblemDocument extends Clash {
  readonly detail?: string;
  readonly errors?: readonly FieldProblem[];
}

async function problemIn(response: Response): Promise<ApiProblem> {
  const isProblem = response.headers.get('Content-Type')?.includes('application/problem+json') ?? false;
  const document = isProblem ? ((await response.json()) as ProblemDocument) : {};
  return new ApiProblem(
    response.status,
    document.detail ?? `The server answered ${response.status}. Try again.`,
    document.errors,
    document,
  );
}

/** How a body is sent: a file as it is, everything else as JSON. */
const sent = (
  body: unknown,
): Pick<RequestInit, 'body'> & { readonly headers?: Readonly<Record<string, string>> } =>
  body instanceof File
    ? { headers: { 'Content-Type': 'application/octet-stream' }, body }
    : { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) };

/** Stands before the key of a pilot's account in the place of a link's token: the browser says by itself who is signed in. */
const OF_ACCOUNT = 'account:';
/** What a pilot who is signed in goes by where others go by the token of a link. */
export const tokenOfAccount = (accountId: string): string => `${OF_ACCOUNT}${accountId}`;
export const isOfAccount = (token: string): boolean => token.startsWith(OF_ACCOUNT);

/** What a request says of who sends it. With an account it is whose it is to be: another may be signed in by now. */
const sentBy = (token: string): Readonly<Record<string, string>> =>
  isOfAccount(token) ? { 'X-Account': token.slice(OF_ACCOUNT.length) } : { Authorization: `Bearer ${token}` };

/** A connection that hangs is as good as none. */
const LONGEST_WAIT_MS = 60_000;

/** What stands behind the ways to ask that are named below. */
export async function ask(
  method: 'GET' | 'PUT' | 'POST' | 'DELETE',
  path: string,
  body?: unknown,
  token?: string,
): Promise<Response> {
  let response: Response;
  try {
    const { headers = {}, ...rest } = body === undefined ? {} : sent(body);
    response = await fetch(`/api${path}`, {
      method,
      credentials: 'same-origin',
      signal: AbortSignal.timeout(LONGEST_WAIT_MS),
      headers: {
        ...headers,
        ...(token ? sentBy(token) : {}),
      },
      ...rest,
    });
  } catch {
    reach.lost();
    throw new NoConnection();
  }
  reach.found();
  if (!response.ok) throw await problemIn(response);
  return response;
}

export const get = async <T>(path: string): Promise<T> => read<T>(await ask('GET', path));
/** What is read of an answer that breaks off half-way is no answer. */
async function read<T>(response: Response): Promise<T> {
  try {
    return (await response.json()) as T;
  } catch {
    reach.lost();
    throw new NoConnection();
  }
}

export const put = async (path: string, body: unknown): Promise<unknown> =>
  read<unknown>(await ask('PUT', path, body));
/** As whoever holds a pilot's private link, or is signed in as one. */
export const getAs = async <T>(token: string, path: string): Promise<T> =>
  read<T>(await ask('GET', path, undefined, token));
export const putAs = async (token: string, path: string, body: unknown): Promise<unknown> =>
  read<unknown>(await ask('PUT', path, body, token));
/** Sends and reads what is answered. */
export const postFor = async <T>(path: string, body: unknown): Promise<T> =>
  read<T>(await ask('POST', path, body));
export const post = async (path: string, body: unknown = {}): Promise<void> => {
  await ask('POST', path, body);
};
/** Sends a file and reads what is answered. */
export const postFile = async <T>(path: string, file: File): Promise<T> =>
  (await (await ask('POST', path, file)).json()) as T;
/** As whoever holds a link, before anybody is signed in. */
export const postAs = async (token: string, path: string, body: unknown): Promise<void> => {
  await ask('POST', path, body, token);
};
