export interface FieldProblem {
  readonly field: string;
  readonly message: string;
}

/** The server's answer when it does not do what was asked, in words a trainer can act on. */
export class ApiProblem extends Error {
  constructor(readonly status: number, message: string, readonly errors: readonly FieldProblem[] = []) {
    super(message);
  }
}

/** No answer at all: no signal, or the server is not there. */
export class NoConnection extends Error {
  constructor() {
    super('No connection to the server. Check the signal; nothing you typed is lost.');
  }
}

interface ProblemDocument {
  readonly detail?: string;
  readonly errors?: readonly FieldProblem[];
}

async function problemIn(response: Response): Promise<ApiProblem> {
  const isProblem = response.headers.get('Content-Type')?.includes('application/problem+json') ?? false;
  const document = isProblem ? ((await response.json()) as ProblemDocument) : {};
  return new ApiProblem(response.status, document.detail ?? `The server answered ${response.status}. Try again.`, document.errors);
}

/** How a body is sent: a file as it is, everything else as JSON. */
const sent = (body: unknown): RequestInit =>
  (body instanceof File ? { headers: { 'Content-Type': 'application/octet-stream' }, body } : { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) });

async function ask(method: 'GET' | 'PUT' | 'POST', path: string, body?: unknown): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, { method, credentials: 'same-origin', ...(body === undefined ? {} : sent(body)) });
  } catch {
    throw new NoConnection();
  }
  if (!response.ok) throw await problemIn(response);
  return response;
}

export const get = async <T>(path: string): Promise<T> => (await (await ask('GET', path)).json()) as T;
export const put = async (path: string, body: unknown): Promise<unknown> => (await ask('PUT', path, body)).json();
export const post = async (path: string, body: unknown = {}): Promise<void> => { await ask('POST', path, body); };
/** Sends a file and reads what is answered. */
export const postFile = async <T>(path: string, file: File): Promise<T> => (await (await ask('POST', path, file)).json()) as T;
